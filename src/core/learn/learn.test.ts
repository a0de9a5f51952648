import fc from 'fast-check'
import { randomLogNormal, randomNormal, randomPoisson } from 'd3-random'
import { mersenne } from 'pure-rand/generator/mersenne'
import { expect, it } from 'vitest'
import { example, use } from '../../../tests/support/build'
import { count, ledger } from '../count'
import { compile, compileChances } from '../compile'
import { caseOf } from '../domain'
import { sampleTrips, samplerOf } from '../risk'
import { owned } from '../quantities'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { CONTRADICTS, learn, nowFrom, trackOf, type Evidence } from './index'
import { choleskyOf, countedRate, jointDraws, levelNow } from './posterior'
import { stretchesOf } from './panel'
import { through } from './gaussian'

/** A sink of 8 L a use, 6 a day, from 200 L of fresh into 300 L of gray; starts at 05:00. */
function sink(spread = 0.35, levelSpread = 0.2) {
  const document = example({
    fresh: [200, 0, 200],
    gray: [300, 1, 0],
    black: [50, 1, 0],
    uses: [
      {
        ...use('sink', { rate: 6, volume: 8 }),
        spread: owned(spread),
        levelSpread: owned(levelSpread),
        dispersion: 1,
      },
    ],
  })
  document.stays[0]!.start = '2027-06-01T05:00'
  for (const container of document.rigs[0]!.containers) if ('spread' in container) container.spread = owned(0)
  const stayCase = caseOf(document, 'stay')
  return { stayCase, model: compile(stayCase) }
}
const used = (at: number, n: number, litres: number | null = null): Evidence => ({
  kind: 'used',
  at,
  activity: 0,
  n,
  litres,
  isExtra: false,
})
const FRESH = 0
const QUARTERS = [0, 0.25, 0.5, 0.75, 1]

it('by hand: ten counted uses and 100 L measured where 80 were expected', () => {
  const { stayCase, model } = sink()
  const evidence: Evidence[] = [
    used(0.5, 10),
    { kind: 'measured', at: 1, container: FRESH, level: 100, deviation: 2 },
  ]
  const { activities, levels } = learn(stayCase, model, evidence, { counted: new Set(['sink']), until: 1 })
  // 10 uses × 8 L: own factor 80² × 0.2², single uses 10 × 8² × 0.35², the stick 2².
  const [own, single, stick] = [256, 78.4, 4]
  const gain = (own / (own + single + stick)) * (20 / 80)
  expect(activities[0]!.factor).toBeCloseTo(1 + gain, 9)
  const left = 0.04 * (1 - own / (own + single + stick))
  expect(activities[0]!.spread * activities[0]!.factor).toBeCloseTo(Math.sqrt(left), 9)
  expect(levels[FRESH]!.mean).toBeCloseTo(100 + ((120 - 100) * stick) / (own + single + stick), 9)
  expect(activities[0]!.logged).toBe(10)
  // A metered use says what it took, and the tank follows it as nearly as a meter tells: half as much again is no slip of the finger.
  const metered = learn(stayCase, model, [used(0.5, 1, 12)], { counted: new Set(['sink']), until: 1 })
  expect(metered.levels[FRESH]!.mean).toBeCloseTo(188, 0)
  expect(metered.activities[0]!.factor).toBeCloseTo(1 + (0.04 / (0.04 + 0.35 ** 2)) * 0.5, 2)
})

it('uses that took nothing, a meter that stood still, none at all: every number stays one', () => {
  const { stayCase, model } = sink()
  for (const uses of [
    Array.from({ length: 12 }, (_, k) => used(0.05 * (k + 1), 1, 0)),
    Array.from({ length: 60 }, (_, k) => used(0.01 * (k + 1), 2, 0)),
    [used(0.5, 0, 0), used(0.6, 0, 5), used(0.7, 1, 0)],
  ]) {
    const after = learn(
      stayCase,
      model,
      [...uses, { kind: 'measured', at: 1, container: FRESH, level: 150, deviation: 2 }],
      { counted: new Set(['sink']), until: 1 },
    )
    const { factor, spread, posterior } = after.activities[0]!
    for (const one of [
      factor,
      spread,
      posterior.median,
      posterior.low80,
      posterior.high80,
      ...after.levels.map(({ mean }) => mean),
    ])
      expect(Number.isFinite(one)).toBe(true)
    expect(factor).toBeGreaterThan(0)
  }
})

it('a second way: trips drawn one by one and weighed by what the panel showed', () => {
  const { stayCase, model } = sink()
  const generator = mersenne(7)
  const uniform = () => (generator.next() >>> 0) / 2 ** 32
  const lognormal = (mean: number, cv: number) => {
    const sigma = Math.sqrt(Math.log(1 + cv * cv))
    return randomLogNormal.source(uniform)(Math.log(mean) - sigma ** 2 / 2, sigma)
  }
  const [own, litres, rate, noise] = [
    lognormal(1, 0.2),
    lognormal(8, 0.35),
    lognormal(1, 0.15),
    randomNormal.source(uniform)(0, 0.01),
  ]
  const poisson = (mean: number) => randomPoisson.source(uniform)(mean)()
  // Read at the end of the first day and of the second: quarters 'half' (50 to 75 %), then 'a quarter'.
  const shown = [2, 1]
  const likelihood = (step: number, share: number) =>
    stretchesOf({ edges: QUARTERS, step }).find(({ from, to }) => share >= from && share < to)!.likelihood
  let [mass, ownSum, levelSum, levelSquares] = [0, 0, 0, 0]
  for (let trip = 0; trip < 40_000; trip++) {
    const [m, r] = [own(), rate()]
    let level = 200
    let weight = 1
    for (const step of shown) {
      for (let n = poisson(6 * r); n > 0; n--) level -= m * litres()
      weight *= likelihood(step, level / 200 + noise())
    }
    mass += weight
    ownSum += weight * m
    levelSum += weight * level
    levelSquares += weight * level * level
  }
  const evidence: Evidence[] = shown.map((step, day) => ({
    kind: 'panel',
    at: day + 1,
    container: FRESH,
    edges: QUARTERS,
    step,
  }))
  const { activities, levels } = learn(stayCase, model, evidence, { counted: new Set(), until: 2 })
  const level = levelSum / mass
  expect(Math.abs(activities[0]!.factor - ownSum / mass)).toBeLessThan(0.015)
  expect(Math.abs(levels[FRESH]!.mean - level)).toBeLessThan(2.5)
  const deviation = (levels[FRESH]!.high80 - levels[FRESH]!.mean) / 1.2816
  expect(deviation / Math.sqrt(levelSquares / mass - level * level)).toBeCloseTo(1, 0)
})

it('the order of arrival does not matter, what is known is known, and nothing seen changes nothing but the width', () => {
  const { stayCase, model } = sink()
  const evidence: Evidence[] = [
    used(0.2, 3),
    used(0.9, 2, 21),
    { kind: 'panel', at: 1.1, container: FRESH, edges: QUARTERS, step: 3 },
    { kind: 'known', at: 1.5, container: 1, level: 0 },
    { kind: 'left-out', at: 1.25, until: 1.5, activity: 0, factor: 0 },
  ]
  const counted = new Set<string>()
  const expected = learn(stayCase, model, evidence, { counted, until: 2 })
  fc.assert(
    fc.property(fc.shuffledSubarray(evidence, { minLength: evidence.length }), (shuffled) => {
      const { filter } = learn(stayCase, model, shuffled, { counted, until: 2 })
      expect(filter.state).toEqual(expected.filter.state)
    }),
    { numRuns: 20 },
  )
  const emptied = learn(stayCase, model, evidence, { counted, until: 1.5 })
  expect(emptied.levels[1]).toEqual({ mean: 0, low80: 0, high80: 0 })
  const nothing = learn(stayCase, model, [], { counted, until: 1 })
  // A tail of it lies past full, and is cut: a Gaussian of 24 L would be there with one in forty.
  expect(nothing.levels[FRESH]!.mean).toBeLessThan(200 - 48)
  expect(nothing.levels[FRESH]!.mean).toBeGreaterThan(200 - 48 - 3)
  expect(nothing.activities[0]!.cut).toBeCloseTo(0, 9)
  // Left out: a whole day without a use.
  const away = learn(stayCase, model, [{ kind: 'left-out', at: 0, until: 1, activity: 0, factor: 0 }], {
    counted,
    until: 1,
  })
  expect(away.levels[FRESH]!.mean).toBe(200)
})

it('a probe that stays where it was is held for stuck, left out, and believed again when it moves', () => {
  const { stayCase, model } = sink()
  const reading = (at: number, step: number, container = FRESH): Evidence => ({
    kind: 'panel',
    at,
    container,
    edges: QUARTERS,
    step,
  })
  const times = [0.5, 1, 1.5, 2, 2.5, 3, 3.5]
  // 48 L a day leave fresh and reach gray, whose panel is sound.
  const gray = times.map((at) => reading(at, Math.floor((48 * at) / 75), 1))
  const sound = times.map((at) => reading(at, Math.floor((200 - 48 * at) / 50)))
  const told = (fresh: Evidence[], until = 3.5) =>
    learn(stayCase, model, [...gray, ...fresh], { counted: new Set(), until })
  const stuck = times.map((at) => reading(at, 3))
  expect(told(stuck).isSuspect).toEqual([true, false, false])
  // As the count and the other tank have it.
  expect(Math.abs(told(stuck).levels[FRESH]!.mean - told([]).levels[FRESH]!.mean)).toBeLessThan(3)
  expect(told([...stuck, reading(3.6, 0)], 3.6).isSuspect[FRESH]).toBe(false)
  expect(told(sound).isSuspect).toEqual([false, false, false])
})

it('moments of a normal through stretches agree with fine sums; likelihoods of a panel add to one for any truth', () => {
  const stretches = stretchesOf({ edges: QUARTERS, step: 2 })
  const at = (x: number) => stretches.find(({ from, to }) => x >= from && x < to)!.likelihood
  let [mass, first, second] = [0, 0, 0]
  for (let k = -40_000; k < 60_000; k++) {
    const x = (k + 0.5) / 20_000
    const w = (at(x) * Math.exp(-0.5 * ((x - 0.7) / 0.2) ** 2)) / (0.2 * Math.sqrt(2 * Math.PI) * 20_000)
    mass += w
    first += w * x
    second += w * x * x
  }
  const seen = through(0.7, 0.04, stretches)
  expect(seen.logZ).toBeCloseTo(Math.log(mass), 5)
  expect(seen.mean).toBeCloseTo(first / mass, 5)
  expect(seen.variance).toBeCloseTo(second / mass - (first / mass) ** 2, 5)
  QUARTERS.forEach((_, truth) => {
    const all = QUARTERS.map((__, step) => stretchesOf({ edges: QUARTERS, step })[truth]!.likelihood)
    expect(all.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 12)
  })
})

it('joint draws have the mean and the covariance they are drawn from', () => {
  const { stayCase, model } = sink()
  const evidence: Evidence[] = [{ kind: 'measured', at: 1, container: FRESH, level: 140, deviation: 6 }]
  const { ground, filter } = learn(stayCase, model, evidence, { counted: new Set(), until: 1 })
  const generator = mersenne(3)
  const normal = randomNormal.source(() => (generator.next() >>> 0) / 2 ** 32)(0, 1)
  const { rows, columns, values } = jointDraws(ground, filter, 20_000, normal)
  const { mean, covariance, size } = filter.state
  expect(columns).toBe(size)
  const average = (k: number) => {
    let sum = 0
    for (let row = 0; row < rows; row++) sum += values[row * columns + k]!
    return sum / rows
  }
  for (let k = 0; k < size; k++) {
    const deviation = Math.sqrt(covariance[k * size + k]!)
    expect(Math.abs(average(k) - mean[k]!)).toBeLessThan(0.03 * deviation + 1e-9)
  }
  const fresh = size - model.containers.length + FRESH
  let together = 0
  for (let row = 0; row < rows; row++)
    together += (values[row * columns]! - mean[0]!) * (values[row * columns + fresh]! - mean[fresh]!)
  const scale = Math.sqrt(covariance[0]! * covariance[fresh * size + fresh]!)
  expect(Math.abs(together / rows - covariance[fresh]!)).toBeLessThan(0.03 * scale)
  expect(levelNow(ground, filter, FRESH).mean).toBeCloseTo(mean[fresh]!, 9)
  const root = choleskyOf(Float64Array.from([4, 2, 0, 2, 5, 0, 0, 0, 0]), 3)
  expect([...root]).toEqual([2, 0, 0, 1, 2, 0, 0, 0, 0])
})

it('a counted rate by hand: 30 uses where 40 were expected', () => {
  const { mean, deviation } = countedRate(30, 40, 1)
  expect(mean).toBeCloseTo((1 / 0.0225 + 30) / (1 / 0.0225 + 40), 12)
  expect(deviation).toBeCloseTo(Math.sqrt(1 / 0.0225 + 30) / (1 / 0.0225 + 40), 12)
})

it('trips take the rows of joint draws in turn, no matter who plays them; where nothing is unsure they are the count', () => {
  const { stayCase, model } = sink()
  const evidence: Evidence[] = [{ kind: 'panel', at: 1, container: FRESH, edges: QUARTERS, step: 3 }]
  const learned = learn(stayCase, model, evidence, { counted: new Set(), until: 1 })
  const from = nowFrom(model, ledger(model), learned, '2027-06-02T05:00', 5)
  const later = compile(stayCase, { from })
  const sampler = samplerOf(later, compileChances(stayCase, later, from))
  const play = (first: number, last: number) => [
    ...sampleTrips(sampler, { seed: 2, from: first, to: last, bandParts: 0 }).days,
  ]
  const whole = play(0, 1200)
  expect([...play(0, 300), ...play(300, 1200)]).toEqual(whole)
  // More water left than the count says, for fresh reads above three quarters: longer, and less unsure than unread.
  const unread = learn(stayCase, model, [], { counted: new Set(), until: 1 })
  const blind = nowFrom(model, ledger(model), unread, '2027-06-02T05:00', 5)
  const blindly = compile(stayCase, { from: blind })
  const days = sampleTrips(samplerOf(blindly, compileChances(stayCase, blindly, blind)), {
    seed: 2,
    from: 0,
    to: 1200,
    bandParts: 0,
  }).days
  const low = (all: ArrayLike<number>) => Float64Array.from(all).sort()[120]!
  expect(low(whole)).toBeGreaterThan(low(days))

  const exact = sink(0, 0)
  exact.stayCase.crew.activities[0]!.dispersion = 0
  const known = learn(exact.stayCase, exact.model, [], { counted: new Set(), until: 1 })
  const now = nowFrom(exact.model, ledger(exact.model), known, '2027-06-02T05:00', 5)
  const rest = compile(exact.stayCase, { from: now })
  const sure = samplerOf(rest, compileChances(exact.stayCase, rest, now))
  const ends = sampleTrips(sure, { seed: 1, from: 0, to: 20, bandParts: 0 }).days
  for (const end of ends) expect(end).toBeCloseTo(count(rest).days!, 9)
})

it('no level lies outside of its tank, whatever was seen: means, bands and draws; what really breached stays so', () => {
  const { stayCase, model } = sink()
  const when = fc.double({ min: 0.05, max: 1.95, noNaN: true })
  const one = fc.oneof(
    fc.record({ at: when, n: fc.integer({ min: 1, max: 4 }) }).map(({ at, n }) => used(at, n)),
    when.map((at): Evidence => ({ kind: 'odd', at, from: 0, container: null })),
    fc
      .record({
        at: when,
        container: fc.constantFrom(0, 1),
        level: fc.double({ min: 0, max: 1, noNaN: true }),
      })
      .map(({ at, container, level }): Evidence => {
        const { capacity } = model.containers[container]!
        return { kind: 'measured', at, container, level: level * capacity, deviation: 0.02 * capacity }
      }),
    fc
      .record({ at: when, container: fc.constantFrom(0, 1), step: fc.integer({ min: 0, max: 4 }) })
      .map(({ at, container, step }): Evidence => ({ kind: 'panel', at, container, edges: QUARTERS, step })),
  )
  const generator = mersenne(7)
  const normal = randomNormal.source(() => (generator.next() >>> 0) / 2 ** 32)(0, 1)
  fc.assert(
    fc.property(fc.array(one, { maxLength: 12 }), (evidence) => {
      const { ground, filter, levels } = learn(stayCase, model, evidence, { counted: new Set(), until: 2 })
      const draws = jointDraws(ground, filter, 50, normal)
      model.containers.forEach(({ capacity }, c) => {
        const { mean, low80, high80 } = levels[c]!
        expect(low80).toBeGreaterThanOrEqual(0)
        expect(mean).toBeGreaterThanOrEqual(low80)
        expect(high80).toBeGreaterThanOrEqual(mean)
        if (low80 > capacity) return
        expect(high80).toBeLessThanOrEqual(capacity * 1.0001)
        for (let row = 0; row < draws.rows; row++) {
          const level = draws.values[(row + 1) * draws.columns - model.containers.length + c]!
          expect(level).toBeGreaterThanOrEqual(0)
          expect(level).toBeLessThanOrEqual(capacity * 1.0001)
        }
      })
    }),
    { numRuns: 150 },
  )
  // Sixty uses of 8 L into 300 L: gray is past full, and that is said.
  const breached = learn(stayCase, model, [used(0.5, 60)], { counted: new Set(['sink']), until: 1 })
  expect(breached.levels[1]!.mean).toBeGreaterThan(400)
})

it('two readings by a stick that contradict do not meet in the middle: both may be so, until a third decides', () => {
  const { stayCase, model } = sink()
  const stick = (at: number, level: number): Evidence => ({
    kind: 'measured',
    at,
    container: 1,
    level,
    deviation: 3,
  })
  const start: Evidence = { kind: 'known', at: 0.29, container: 1, level: 240 }
  const level = (...evidence: Evidence[]) =>
    learn(stayCase, model, [start, ...evidence], { counted: new Set(['sink']), until: 1 }).levels[1]!
  const both = level(stick(0.3, 240), stick(0.31, 30))
  expect(both.low80).toBeLessThan(45)
  expect(both.high80).toBeGreaterThan(225)
  expect(Math.abs(level(stick(0.3, 240), stick(0.31, 30), stick(0.32, 34)).mean - 34)).toBeLessThan(4)
  expect(Math.abs(level(stick(0.3, 240), stick(0.31, 30), stick(0.32, 238)).mean - 238)).toBeLessThan(4)
})

it('litres by a meter: a filling says what was missing, a slip of the finger teaches nothing, and no band is without width', () => {
  const { stayCase, model } = sink()
  const counted = new Set(['sink'])
  const told = (...evidence: Evidence[]) => learn(stayCase, model, evidence, { counted, until: 1 })
  const filled = (litres: number): Evidence => ({
    kind: 'known',
    at: 0.9,
    container: FRESH,
    level: 'full',
    moved: { litres, deviation: 4 },
  })
  // Ten uses of 8 L were made; 120 L filled it again: each took half as much again, or nearly.
  const more = told(used(0.5, 10), filled(120))
  expect(more.activities[0]!.factor).toBeGreaterThan(1.2)
  expect(more.levels[FRESH]!.mean).toBeCloseTo(200, 1)
  expect(told(used(0.5, 10), filled(80)).activities[0]!.factor).toBeCloseTo(1, 2)
  // 78 L for 7.8.
  const slip = told(used(0.4, 1, 7.8), used(0.5, 1, 78))
  expect(Math.abs(slip.activities[0]!.factor - told(used(0.4, 1, 7.8)).activities[0]!.factor)).toBeLessThan(
    0.02,
  )
  expect(Math.abs(slip.levels[FRESH]!.mean - (200 - 16))).toBeLessThan(4)
  const all = told(...Array.from({ length: 10 }, (_, k) => used(0.05 * (k + 1), 1, 8)))
  const { low80, high80 } = all.levels[1]!
  expect(high80 - low80).toBeGreaterThan(0.03 * 80)
})

it('two false readings do not hold a level for long: a dozen true ones bring it back', () => {
  const { stayCase, model } = sink()
  const panel = (at: number, step: number): Evidence => ({
    kind: 'panel',
    at,
    container: 1,
    edges: [0, 1 / 3, 2 / 3, 1],
    step,
  })
  // Gray takes 48 L a day: at a day and a half it stands at 72 of 300, in the lowest third; the panel says full, twice.
  const lies = [panel(0.5, 3), panel(0.7, 3)]
  const truths = Array.from({ length: 12 }, (_, k) => panel(0.75 + 0.06 * k, 0))
  const after = learn(stayCase, model, [...lies, ...truths], { counted: new Set(), until: 1.5 })
  const without = learn(stayCase, model, truths, { counted: new Set(), until: 1.5 })
  expect(Math.abs(after.levels[1]!.mean - without.levels[1]!.mean)).toBeLessThan(10)
  expect(after.levels[1]!.high80).toBeLessThan(100)
})

it('the track ends where the level now stands, whatever was read and whatever of it is held for wrong', () => {
  const { stayCase, model } = sink()
  const reading = fc.record({
    at: fc.double({ min: 0.05, max: 1.9, noNaN: true }),
    container: fc.constantFrom(0, 1),
    step: fc.constantFrom(0, 3, 4),
  })
  fc.assert(
    fc.property(fc.array(reading, { minLength: 6, maxLength: 20 }), (readings) => {
      const evidence = readings.map((one): Evidence => ({ kind: 'panel', edges: QUARTERS, ...one }))
      const learned = learn(stayCase, model, evidence, { counted: new Set(), until: 2 })
      const { levels } = trackOf(learned, evidence, 2)
      learned.levels.forEach(({ mean }, c) => expect(levels[c]!.at(-1)!).toBeCloseTo(mean, 6))
    }),
    { numRuns: 60 },
  )
})

it('a dirty probe that goes on to show two thirds after its tank was emptied is called', () => {
  const { stayCase, model } = sink()
  const panel = (at: number, step: number): Evidence => ({
    kind: 'panel',
    at,
    container: 1,
    edges: [0, 1 / 3, 2 / 3, 1],
    step,
  })
  const evidence: Evidence[] = [
    { kind: 'known', at: 0.1, container: 1, level: 0 },
    ...Array.from({ length: 20 }, (_, k) => panel(0.2 + 0.05 * k, 2)),
  ]
  const { isSuspect, levels } = learn(stayCase, model, evidence, { counted: new Set(), until: 1.25 })
  expect(isSuspect[1]).toBe(true)
  expect(levels[1]!.high80).toBeLessThan(100)
})

it('each reading stands beside the count: agrees, contradicts; what blurs the day most is to be counted next', () => {
  const { stayCase, model } = sink()
  const told = (evidence: Evidence[]) => learn(stayCase, model, evidence, { counted: new Set(), until: 2 })
  const panel = (step: number): Evidence => ({
    kind: 'panel',
    at: 1,
    container: FRESH,
    edges: QUARTERS,
    step,
  })
  // 152 L of 200 by the count: three quarters lit, or half.
  const [agrees] = told([panel(3)]).agreements
  expect(Math.abs(agrees!.counted.mean - 152)).toBeLessThan(3)
  expect(agrees!.read).toEqual({ from: 150, to: 200 })
  expect(agrees!.likely).toBeGreaterThan(0.3)
  expect(told([panel(0)]).agreements[0]!.likely).toBeLessThan(CONTRADICTS)
  // By a stick: sd √(48² (0.2² + 0.15²) + 6 · 8² (1 + 0.35²) + 1²) is 24 L.
  const stick = (level: number): Evidence => ({
    kind: 'measured',
    at: 1,
    container: FRESH,
    level,
    deviation: 1,
  })
  expect(told([stick(150)]).agreements[0]!.likely).toBeGreaterThan(0.8)
  expect(told([stick(152 - 24)]).agreements[0]!.likely).toBeCloseTo(0.3173, 2)
  expect(told([stick(92)]).agreements[0]!.likely).toBeLessThan(CONTRADICTS)
  expect(told([]).next).toEqual([{ activity: 0, share: 1 }])
  const several = caseOf(trailerDemo(), 'harrow-ridge')
  const { next } = learn(several, compile(several), [], { counted: new Set(), until: 1 })
  expect(several.crew.activities[next[0]!.activity]!.id).toBe('shower')
  expect(next.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
})
