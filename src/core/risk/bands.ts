import type { ActivityIndex, ModelRun } from '../model'
import { rankOf } from './quantile'
import type { Sampler } from './sampler'
import { BATCH, type Batch } from './batch'

export const BINS = 512
/** How many standard deviations of a level the bins reach to either side of its mean. */
const REACH = 6

/** How often each level was met at the end of each part: bins of equal width about the mean. Row = container × part. */
export interface Bands {
  /** How many parts of the grid they cover, from the first. */
  parts: number
  lowest: Float64Array
  width: Float64Array
  perWidth: Float64Array
  tally: Uint32Array
}

/** Bins wide enough for any trip that matters; they depend on the stay alone, so tallies of several workers add up. */
export function newBands(sampler: Sampler, parts = sampler.model.grid.count): Bands {
  const { model, ledger } = sampler
  const rows = model.containers.length * parts
  const bands = {
    parts,
    lowest: new Float64Array(rows),
    width: new Float64Array(rows),
    perWidth: new Float64Array(rows),
    tally: new Uint32Array(rows * BINS),
  }
  const reaches = reachesOf(sampler)
  model.containers.forEach((_, c) => {
    for (let i = 0; i < parts; i++) {
      const row = c * parts + i
      const reach = reaches[c * model.grid.count + i]!
      bands.lowest[row] = ledger.levels[c * model.grid.count + i]! - reach
      bands.width[row] = (2 * reach) / BINS
      bands.perWidth[row] = 1 / bands.width[row]
    }
  })
  return bands
}

/**
 * Half the width of each container's bins at each part's end; row = container, column = part. A level's variance is at most
 * that of its start and, for each activity, level² · F² + (1 + cv²) · F · q where F is what it moved so far and q one use;
 * what a vessel may hold is added. A run leaves two containers it joins with the variance of both, and of their capacities.
 */
function reachesOf({ model, ledger, chances, runs }: Sampler): Float64Array {
  const { count } = model.grid
  const held = model.vessels.reduce((sum, { capacity }) => sum + capacity, 0)
  const varying = chances.activities.map(({ levelSpread, spread }, index) => ({
    levelVariance: (levelSpread + 0.1) ** 2,
    perUse: (1 + spread ** 2) * largestUse(model, index),
  }))
  const byRuns = new Float64Array(model.containers.length)
  const rows = model.containers.map((_, c) => ({
    started: startVariance(chances, c),
    moved: new Float64Array(model.activities.length),
    streams: model.streams.flatMap(({ from, to, activity }, s) =>
      from === c || to === c ? [{ activity, s }] : [],
    ),
  }))
  const variance = (c: number) =>
    varying.reduce((sum, { levelVariance, perUse }, a) => {
      const litres = rows[c]!.moved[a]!
      return sum + levelVariance * litres ** 2 + perUse * litres
    }, rows[c]!.started + byRuns[c]!)
  const reaches = new Float64Array(model.containers.length * count)
  for (let i = 0; i < count; i++) {
    for (const run of runs.get(i)?.all ?? []) joinVariances(run, byRuns, variance, { chances, model })
    rows.forEach(({ moved, streams }, c) => {
      for (const { activity, s } of streams) moved[activity]! += ledger.amounts[s * count + i]!
      reaches[c * count + i] = REACH * Math.sqrt(variance(c)) + held + 1e-6
    })
  }
  return reaches
}

function startVariance({ containers }: Sampler['chances'], c: number): number {
  const { starts, spread } = containers[c]!
  return starts.reduce((sum, { level, size }) => sum + size ** 2 + (level * spread) ** 2, 0)
}

function joinVariances(
  { steps }: ModelRun,
  byRuns: Float64Array,
  variance: (container: number) => number,
  { chances, model }: Pick<Sampler, 'chances' | 'model'>,
): void {
  for (const { from, to } of steps) {
    const ends = [from, to].filter((end) => end >= 0)
    const ofCapacity = ends.reduce(
      (sum, end) => sum + (model.containers[end]!.capacity * chances.containers[end]!.spread) ** 2,
      0,
    )
    const both = ends.map(variance)
    ends.forEach((end, e) => (byRuns[end]! += ofCapacity + (both[1 - e] ?? 0)))
  }
}

/** L (or uses) of one use at most, over all streams and parts. */
function largestUse(model: Sampler['model'], activity: ActivityIndex): number {
  const { count } = model.grid
  const litres = model.volume
    .subarray(activity * count, (activity + 1) * count)
    .reduce((a, b) => Math.max(a, b), 0)
  return model.streams
    .filter((stream) => stream.activity === activity)
    .reduce((most, { ofDraw, fixed }) => Math.max(most, ofDraw * litres + fixed), 0)
}

/** @param i the part at whose end the batch stands */
export function recordLevels(bands: Bands, { model, accounts }: Sampler, batch: Batch, i: number): void {
  const { parts, lowest, perWidth, tally } = bands
  const { off, size } = batch
  for (let c = 0; c < model.containers.length; c++) {
    const row = c * parts + i
    const shift = accounts.base[c * model.grid.count + i]! - lowest[row]!
    const by = perWidth[row]!
    const at = row * BINS
    const from = c * BATCH
    for (let j = 0; j < size; j++) {
      const bin = ((shift + off[from + j]!) * by) | 0
      // One comparison for both ends: below zero is a large number without its sign.
      tally[at + (bin >>> 0 < BINS ? bin : bin < 0 ? 0 : BINS - 1)]! += 1
    }
  }
}

/** Adds the tally of another worker. */
export function addBands(sum: Bands, other: Bands): void {
  for (let k = 0; k < sum.tally.length; k++) sum.tally[k]! += other.tally[k]!
}

/**
 * The q-quantile of each part's level: the middle of the bin in which the (⌊qN⌋ + 1)-th smallest lies, so at most one bin
 * off. @param trials N, all that were tallied @returns row by row as `Bands`
 */
export function bandQuantiles(
  { lowest, width, tally }: Bands,
  trials: number,
  quantiles: readonly number[],
): Float64Array[] {
  const ranks = quantiles.map((q) => rankOf(trials, q))
  const found = quantiles.map(() => new Float64Array(lowest.length))
  for (let row = 0; row < lowest.length; row++) {
    let [seen, next] = [0, 0]
    for (let bin = 0; bin < BINS && next < ranks.length; bin++) {
      seen += tally[row * BINS + bin]!
      while (next < ranks.length && seen >= ranks[next]!) {
        found[next]![row] = lowest[row]! + (bin + 0.5) * width[row]!
        next++
      }
    }
  }
  return found
}
