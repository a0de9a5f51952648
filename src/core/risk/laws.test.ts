import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { count, ledger } from '../count'
import { flushRatios } from '../habits'
import { compile, compileChances } from '../compile'
import { caseOf, type Document } from '../domain'
import { documentArb, reuseArb } from '../../../tests/support/generate'
import { samplerFor, withoutSpread } from '../../../tests/support/spreads'
import { example, use } from '../../../tests/support/build'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { BATCH } from './batch'
import { compoundTables, SLICES } from './compound'
import {
  flushRange,
  joinSamples,
  playTrips,
  riskOf,
  sampleTrips,
  samplerOf,
  storyOf,
  tripAt,
  tripLuck,
  type Sampler,
} from './index'
import { switchHabitIn } from '../../../tests/support/inDocument'
import { often } from '../../../tests/support/thorough'

const anyStay = fc.oneof(documentArb, reuseArb)

function moments(values: ArrayLike<number>): { mean: number; variance: number } {
  let [mean, squares] = [0, 0]
  for (let i = 0; i < values.length; i++) mean += values[i]! / values.length
  for (let i = 0; i < values.length; i++) squares += (values[i]! - mean) ** 2 / values.length
  return { mean, variance: squares }
}

/** Every trip's level of a container at the end of a part. */
function levelsAt(
  sampler: Sampler,
  container: number,
  part: number,
  seed: number,
  trips: number,
): Float64Array {
  const levels = new Float64Array(trips)
  playTrips(sampler, tripLuck(seed, 0, trips), null, {
    part: ({ off, size }, i, first) => {
      const base = sampler.accounts.base[container * sampler.model.grid.count + i]!
      if (i === part) for (let j = 0; j < size; j++) levels[first + j] = base + off[container * BATCH + j]!
    },
  })
  return levels
}

describe('laws of the risk (model.md sections 5 and 10)', () => {
  it('all spreads zero and nothing dispersed: every trip is the deterministic count and its ledger, to the last bit', () => {
    fc.assert(
      fc.property(anyStay, (document) => {
        const sampler = samplerFor(withoutSpread(document))
        const { model, ledger } = sampler
        const counted = count(model)
        const ends = playTrips(sampler, tripLuck(3, 0, 5), null, {
          part: ({ off }, i) => {
            for (let c = 0; c < model.containers.length; c++) {
              const level = sampler.accounts.base[c * model.grid.count + i]! + off[c * BATCH]!
              expect(level).toBe(ledger.levels[c * model.grid.count + i]!)
            }
          },
        })
        for (let t = 0; t < 5; t++) {
          expect(ends.days[t]).toBe(counted.days ?? Infinity)
          expect(model.containers[ends.stopper[t]!]?.id ?? null).toBe(counted.stopper)
        }
      }),
      { numRuns: often(30, 80) },
    )
  })

  it('quantiles are ordered, of the count and of every level, and shares of stoppers and beyond add to 1', () => {
    fc.assert(
      fc.property(anyStay, fc.integer({ min: 1, max: 99 }), (document, seed) => {
        const sampler = samplerFor(document)
        const sample = sampleTrips(sampler, { seed, from: 0, to: 400, bandParts: 30 })
        const { planOn, likely, atBest, stoppers, beyond, fans, nights } = riskOf(sampler.model, sample, 7)
        expect(planOn.days).toBeLessThanOrEqual(likely.days)
        expect(likely.days).toBeLessThanOrEqual(atBest.days)
        expect(stoppers.reduce((sum, { share }) => sum + share, beyond)).toBeCloseTo(1, 12)
        expect(nights).toBe([...sample.days].filter((days) => days >= 7).length / 400)
        for (const { low, middle, high } of fans)
          low.forEach((level, i) => {
            expect(level).toBeLessThanOrEqual(middle[i]!)
            expect(middle[i]!).toBeLessThanOrEqual(high[i]!)
          })
      }),
      { numRuns: often(12, 25) },
    )
  })

  it('the quantiles of a level are those of all its trips sorted, to one fine bin, counts exactly', () => {
    const sampler = samplerFor(trailerDemo(), 'harrow-ridge', 12)
    const { model } = sampler
    const trips = 3000
    const sample = sampleTrips(sampler, { seed: 4, from: 0, to: trips, bandParts: model.grid.count })
    const { fans, planOn } = riskOf(model, sample, 10)
    const { lowest, width, parts } = sample.bands!
    fans.forEach((fan, c) => {
      for (const part of [0, 7, 20, model.grid.count - 1]) {
        const sorted = levelsAt(sampler, c, part, 4, trips).sort()
        const bin = width[c * parts + part]!
        const rows = [
          [fan.low, 0.1],
          [fan.middle, 0.5],
          [fan.high, 0.9],
        ] as const
        for (const [row, q] of rows)
          expect(Math.abs(row[part]! - sorted[Math.floor(q * trips)]!)).toBeLessThanOrEqual(bin)
        // No trip lies outside the bins, so none was squeezed into the outermost.
        expect(sorted[0]!).toBeGreaterThan(lowest[c * parts + part]!)
        expect(sorted.at(-1)!).toBeLessThan(lowest[c * parts + part]! + 512 * bin)
      }
    })
    expect(planOn.days).toBe([...sample.days].sort((a, b) => a - b)[Math.floor(0.1 * trips)])
  })

  it('the same seed is the same result, no matter who plays the trips and in which pieces', () => {
    const sampler = samplerFor(trailerDemo(), 'harrow-ridge')
    const piece = (from: number, to: number) => sampleTrips(sampler, { seed: 11, from, to, bandParts: 48 })
    const whole = piece(0, 1500)
    const joined = joinSamples([piece(0, 500), piece(500, 1037), piece(1037, 1500)])
    expect(joined.days).toEqual(whole.days)
    expect(joined.stopper).toEqual(whole.stopper)
    expect(joined.bands!.tally).toEqual(whole.bands!.tally)
    expect(piece(1037, 1038).days[0]).toBe(whole.days[1037])
    expect(sampleTrips(sampler, { seed: 12, from: 0, to: 500, bandParts: 0 }).days).not.toEqual(
      piece(0, 500).days,
    )
  })

  it('more trials narrow the error as 1/√n', () => {
    const sampler = samplerFor(trailerDemo(), 'harrow-ridge', 20)
    const spreadOf = (trips: number) => {
      const means = Array.from({ length: 40 }, (_, k) => {
        const { days } = playTrips(sampler, tripLuck(100 + k, 0, trips))
        return moments(days).mean
      })
      return Math.sqrt(moments(means).variance)
    }
    const ratio = spreadOf(100) / spreadOf(1600)
    // Four, give or take what forty repetitions leave open (a fifth of it, three times over).
    expect(ratio).toBeGreaterThan(2.5)
    expect(ratio).toBeLessThan(6.4)
  })

  it('common random numbers: what a habit buys varies less between seeds than on trips of their own', () => {
    const base = samplerFor(trailerDemo(), 'harrow-ridge', 20)
    const other = samplerFor(
      switchHabitIn(trailerDemo(), 'harrow-ridge', 'wet-soap-rinse', true),
      'harrow-ridge',
      20,
    )
    const mean = (sampler: Sampler, seed: number) =>
      moments(playTrips(sampler, tripLuck(seed, 0, 200)).days).mean
    const common = Array.from({ length: 25 }, (_, k) => mean(other, k + 1) - mean(base, k + 1))
    const apart = Array.from({ length: 25 }, (_, k) => mean(other, k + 1) - mean(base, k + 501))
    expect(moments(apart).variance / moments(common).variance).toBeGreaterThan(3)
  })

  it('moments of the sampled flows are those of theory, to 1 %', () => {
    const [rate, litres, days] = [6, 2, 10]
    const many = { ...use('many', { rate, volume: litres }), dispersion: 1 as const }
    const once = {
      ...use('once', { per: 'person', rate: 0.6, volume: 9, role: 'shower' }),
      dispersion: 1 as const,
    }
    const exact = use('exact', { rate: 2.5, volume: 4, role: 'toilet' })
    for (const activity of [many, once, exact])
      Object.assign(activity, {
        spread: { value: 0.35, by: 'owner' },
        levelSpread: { value: 0.2, by: 'owner' },
      })
    const document = example({
      fresh: [900, 10, 900],
      gray: [900, 0.9, 50],
      black: [900, 0.9, 50],
      persons: ['ann', 'bo'],
      uses: [many, once, exact],
    })
    document.stays[0]!.levels[1]!.error = { shape: 'normal', size: { value: 5, by: 'owner' } }
    document.stays[0]!.levels[2]!.error = { shape: 'even', size: { value: 12, by: 'owner' } }
    const sampler = samplerFor(document, 'stay', days)
    const [s2, l2] = [0.35 ** 2, 0.2 ** 2]
    /** A sum of n uses of v litres with the crew's own factor: its mean, and (1 + l²)·Var + l²·mean². */
    const level = (mean: number, variance: number) => (1 + l2) * variance + l2 * mean ** 2
    const poisson = level(rate * days * litres, rate * days * litres ** 2 * (1 + s2))
    const perDay = 0.6 * 81 * (1 + s2) - (0.6 * 9) ** 2
    const daily = level(2 * 0.6 * 9 * days, 2 * days * perDay)
    // Exactly 0.625 uses a part: a fraction of one use, with the spread of one.
    const fraction = level(2.5 * 4 * days, 4 * days * (0.625 * 4) ** 2 * s2)
    const trips = often(60_000, 120_000)
    const gray = moments(levelsAt(sampler, 1, days * 4 - 1, 1, trips))
    const black = moments(levelsAt(sampler, 2, days * 4 - 1, 1, trips))
    expect(gray.mean / (50 + rate * days * litres + 2 * 0.6 * 9 * days)).toBeCloseTo(1, 2)
    expect(Math.abs(gray.variance / (poisson + daily + 25) - 1)).toBeLessThan(0.01)
    expect(Math.abs(black.mean / 150 - 1)).toBeLessThan(0.01)
    expect(Math.abs(black.variance / (fraction + 144 / 12) - 1)).toBeLessThan(0.01)
  })

  it('a shower a day that heat makes more than one falls once or twice a day, and as often as it should', () => {
    const shower = {
      ...use('shower', { kind: 'shower', role: 'shower', per: 'person', rate: 0.9, volume: 9 }),
      dispersion: 1 as const,
    }
    const document = example({
      fresh: [9000, 10, 9000],
      gray: [9000, 0.9, 0],
      black: [90, 0.9, 0],
      uses: [shower],
    })
    document.crews[0]!.heat.showers.value = 0.25
    document.stays[0]!.weather.usual.value = document.crews[0]!.heat.above.value + 10
    document.stays[0]!.weather.spread.value = 0
    const [trips, days] = [4000, 3]
    const sampler = samplerFor(document, 'stay', days)
    const uses = new Float64Array(trips * days)
    playTrips(sampler, tripLuck(2, 0, trips), null, {
      drawn: ({ uses: row, size }, _, i, first) => {
        for (let j = 0; j < size; j++) uses[(first + j) * days + sampler.model.grid.day[i]!]! += row[j]!
      },
    })
    const { mean, variance } = moments(uses)
    expect([...new Set(uses)].sort((a, b) => a - b)).toEqual([1, 2])
    // Two steps of a quarter more: 1.35 a day, so a second one on 35 days of 100.
    expect(mean).toBeCloseTo(1.35, 1)
    expect(variance).toBeCloseTo(0.35 * 0.65, 1)
    expect(Math.abs(mean - 1.35)).toBeLessThan(4 * Math.sqrt((0.35 * 0.65) / uses.length))
  })

  it('a trip goes the same way whether or not anybody watches what is drawn', () => {
    fc.assert(
      fc.property(anyStay, fc.integer({ min: 1, max: 99 }), (document, seed) => {
        const sampler = samplerFor(document)
        const unseen = playTrips(sampler, tripLuck(seed, 0, 40))
        const seen = playTrips(sampler, tripLuck(seed, 0, 40), null, { drawn: () => undefined })
        for (let t = 0; t < 40; t++) {
          if (Number.isFinite(unseen.days[t]!)) expect(seen.days[t]).toBeCloseTo(unseen.days[t]!, 6)
          else expect(seen.days[t]).toBe(Infinity)
        }
      }),
      { numRuns: often(25, 60) },
    )
  })

  it('a table’s mean is exact whatever the mean, its variance within 1 % from a tenth of a use up', () => {
    const tables = compoundTables(0.35)
    for (const mean of [0.001, 0.02, 0.1, 0.37, 1, 2.9, 8, 31, 140, 900, 12_345, 900.5, 3e6]) {
      const { code, scale } = tables.drawOf(mean)
      let [uses, sums, squares] = [0, 0, 0]
      for (let u = 0; u < 2 ** 16; u++) {
        const w = code + u
        const at = (w >> 16) * SLICES + (w & (SLICES - 1))
        sums += scale * tables.litres[at]!
        uses += scale * tables.uses[at]!
        squares += (scale * tables.litres[at]!) ** 2
      }
      const n = 2 ** 16
      expect(uses / n / mean).toBeCloseTo(1, 5)
      expect(sums / n / mean).toBeCloseTo(1, 5)
      const variance = squares / n - (sums / n) ** 2
      // So many uses that several share a slice: a little of how they differ is lost.
      const most = mean <= 225 ? 0.013 : 0.03
      if (mean >= 0.1 && mean <= 1e6)
        expect(Math.abs(variance / (mean * (1 + 0.35 ** 2)) - 1)).toBeLessThan(most)
    }
  })

  it('the trip at a rank is that of all trips sorted by their counts, of equal ones by their number', () => {
    const counts = fc.array(fc.constantFrom(1, 2, 2.5, Infinity, 0), { minLength: 1, maxLength: 40 })
    fc.assert(
      fc.property(counts, (days) => {
        const sorted = [...days.keys()].sort((a, b) => (days[a] === days[b] ? a - b : days[a]! - days[b]!))
        expect(days.map((_, k) => tripAt(Float64Array.from(days), k + 1))).toEqual(sorted)
      }),
    )
  })

  it('a story’s reasons add up to how much nearer its limit the stopper came than on average', () => {
    const sampler = samplerFor(trailerDemo(), 'harrow-ridge', 20, true)
    const { model, ledger } = sampler
    const { days, stopper } = sampleTrips(sampler, { seed: 5, from: 0, to: 40, bandParts: 0 })
    for (let t = 0; t < 40; t++) {
      const story = storyOf(sampler, 5, t)!
      expect([story.days, story.stopper]).toEqual([days[t], model.containers[stopper[t]!]!.id])
      const c = stopper[t]!
      const sign = sampler.signs[c]!
      const part = model.grid.edges.findIndex((edge) => edge >= story.days) - 1
      let nearer = 0
      playTrips(sampler, tripLuck(5, t, t + 1), null, {
        part: ({ off, limit }, i) => {
          const change =
            sampler.accounts.base[c * model.grid.count + i]! +
            off[c * BATCH]! -
            ledger.levels[c * model.grid.count + i]!
          if (i === part) nearer = sign * (change - (limit[c * BATCH]! - model.containers[c]!.limit!))
        },
      })
      for (const reason of story.reasons)
        if (reason.kind === 'activity' && reason.uses > 0) {
          expect(reason.perUse).toBeGreaterThan(0.2)
          expect(reason.perUse).toBeLessThan(4)
        }
      expect(story.reasons.reduce((sum, { closer }) => sum + closer, 0)).toBeCloseTo(nearer, 6)
    }
  })

  it('the range of liquid on the solids closes on the flush ratio of the ledger where nothing varies, and is ordered where it does', () => {
    const single = trailerDemo()
    single.rigs[0]!.outlets[0]!.joined = ['gray', 'black']
    for (const document of [trailerDemo(), single]) {
      const { id } = document.stays[0]!
      const sampled = (of: Document) => {
        const model = compile(caseOf(of, id), { horizonDays: 12 })
        const sampler = samplerOf(model, compileChances(caseOf(of, id), model), { withFlush: true })
        return { model, range: flushRange(sampler, { seed: 1, trials: 300, parts: 40, floor: 2 })! }
      }
      const { model, range } = sampled(withoutSpread(document))
      const least = flushRatios(model, ledger(model), 40)[0]!.least!
      for (const litres of [range.low, range.likely, range.high]) expect(litres).toBeCloseTo(least, 9)
      expect(range.under).toBe(least < 2 ? 1 : 0)
      const spread = sampled(document).range
      expect(spread.low).toBeLessThan(spread.likely)
      expect(spread.likely).toBeLessThan(spread.high)
    }
  })
})
