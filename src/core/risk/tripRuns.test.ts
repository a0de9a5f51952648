import { expect, it } from 'vitest'
import { ledger } from '../count'
import { flushRatios } from '../habits'
import { owned } from '../quantities'
import { samplerFor, withoutSpread } from '../../../tests/support/spreads'
import { runOf, runStep } from '../../../tests/support/generateRuns'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { BATCH, flushRange, joinSamples, playTrips, riskOf, sampleTrips, storyOf, tripLuck } from './index'

/** The trailer's twelve nights with a dump in the middle, gray moved into black, and water fetched. */
function withRuns() {
  const document = trailerDemo()
  const [stay] = document.stays
  stay!.horizonDays = owned(14)
  stay!.runs = [
    runOf('over', 3, 'evening', [runStep('by-head', 'gray', 'black', { as: 'head', within: owned(5) })]),
    runOf('dump', 5, 'midday', [
      runStep('top-up', 'fresh', 'black', { as: 'school' }),
      runStep('empty', 'black', null),
      runStep('empty', 'gray', null),
      runStep('charge', null, 'black', { as: 'school' }),
      runStep('fill', null, 'fresh'),
    ]),
    runOf('again', 9, 'midday', [runStep('loads', 'gray', 'tote', { as: 'all' }, 2)]),
  ]
  for (const container of document.rigs[0]!.containers)
    if ('spread' in container) container.spread = owned(0.05)
  return document
}

it('levels with runs: their quantiles are those of all trips sorted, to one fine bin, and none lies outside the bins', () => {
  const sampler = samplerFor(withRuns(), 'harrow-ridge')
  const { model } = sampler
  const { count } = model.grid
  const trips = 2000
  const sample = sampleTrips(sampler, { seed: 4, from: 0, to: trips, bandParts: count })
  const levels = model.containers.map(() => Array.from({ length: count }, () => new Float64Array(trips)))
  playTrips(sampler, tripLuck(4, 0, trips), null, {
    part: ({ off, size }, i, first) =>
      model.containers.forEach((_, c) => {
        const base = sampler.accounts.base[c * count + i]!
        for (let j = 0; j < size; j++) levels[c]![i]![first + j] = base + off[c * BATCH + j]!
      }),
  })
  const { fans } = riskOf(model, sample, 12)
  const { lowest, width } = sample.bands!
  fans.forEach(({ low, middle, high }, c) => {
    for (let part = 0; part < count; part += 5) {
      const sorted = levels[c]![part]!.sort()
      const bin = width[c * count + part]!
      for (const [row, q] of [
        [low, 0.1],
        [middle, 0.5],
        [high, 0.9],
      ] as const)
        expect(Math.abs(row[part]! - sorted[Math.floor(q * trips)]!)).toBeLessThanOrEqual(bin)
      expect(sorted[0]!).toBeGreaterThan(lowest[c * count + part]!)
      expect(sorted.at(-1)!).toBeLessThan(lowest[c * count + part]! + 512 * bin)
    }
  })
  // A bin is still fine: hundreds of them to a tank.
  const gray = model.containers.findIndex(({ id }) => id === 'gray')
  expect(Math.max(...width.subarray(gray * count, (gray + 1) * count))).toBeLessThan(3)
})

it('trips with runs come to the same no matter who plays them, and no tank is past full right after it was filled', () => {
  const sampler = samplerFor(withRuns(), 'harrow-ridge')
  const piece = (from: number, to: number) => sampleTrips(sampler, { seed: 11, from, to, bandParts: 30 })
  const whole = piece(0, 900)
  const joined = joinSamples([piece(0, 300), piece(300, 555), piece(555, 900)])
  expect(joined.days).toEqual(whole.days)
  expect(joined.stopper).toEqual(whole.stopper)
  const { model } = sampler
  playTrips(sampler, tripLuck(5, 0, 256), null, {
    runs: ({ off, capacity, size }, i) =>
      model.containers.forEach(({ ceiling, side }, c) => {
        if (side === 'carrier') return
        for (let j = 0; j < size; j++) {
          const level = sampler.accounts.afterRuns.get(i)![c]! + off[c * BATCH + j]!
          expect(level).toBeLessThanOrEqual(ceiling * capacity[c * BATCH + j]! + 1e-6)
        }
      }),
  })
})

it('liquid on the solids starts again at an emptying, in the trips as in the ledger', () => {
  const document = withoutSpread(withRuns())
  const sampler = samplerFor(document, 'harrow-ridge', undefined, true)
  const { model } = sampler
  const withFlush = { ...sampler }
  expect(withFlush.accounts.flush).toEqual([])
  const ratios = flushRatios(model, ledger(model), model.grid.count)[0]!
  const dump = model.runs.find(({ id }) => id === 'dump')!.part
  // Two uses before and after: what stood before the dump is gone.
  const [before, after] = [
    ratios.ratios[dump - 1]!,
    ratios.ratios.slice(dump + 1).find((ratio) => ratio !== null)!,
  ]
  expect(after).toBeGreaterThan(before)
  const own = samplerFor(document, 'harrow-ridge')
  expect(flushRange(own, { seed: 1, trials: 10, parts: 40, floor: 2 })).toBeNull()
})

it('a story tells what was since the last run that touched the stopper', () => {
  const sampler = samplerFor(withRuns(), 'harrow-ridge', undefined, true)
  const sample = sampleTrips(sampler, { seed: 4, from: 0, to: 400, bandParts: 0 })
  const { grid, containers, runs } = sampler.model
  let told = 0
  for (let trip = 0; trip < 400 && told < 12; trip++) {
    const story = storyOf(sampler, 4, trip)
    if (!story) continue
    told += 1
    expect(story.days).toBe(sample.days[trip])
    const stopper = containers.findIndex(({ id }) => id === story.stopper)
    const touching = runs.filter(
      ({ part, steps }) =>
        grid.edges[part]! < story.days && steps.some(({ from, to }) => from === stopper || to === stopper),
    )
    const last = touching.at(-1)
    expect(story.since).toBe(last ? grid.edges[last.part]! : null)
    for (const reason of story.reasons)
      if (reason.kind === 'activity') expect(reason.usual).toBeGreaterThanOrEqual(0)
  }
  expect(told).toBeGreaterThan(3)
})
