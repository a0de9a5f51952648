import { movedPerUse } from '../compile'
import type { ActivityIndex, ModelRun } from '../domain'
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
  /** The level in the first trip, and 1 where every other trip had the very same: then it is said as it is. */
  first: Float64Array
  isSame: Uint8Array
  trips: number
}

/** L (or uses) within which levels are the same. */
const SAME = 1e-9

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
    first: new Float64Array(rows),
    isSame: new Uint8Array(rows).fill(1),
    trips: 0,
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
 * what a vessel may hold is added. A run that surely empties a container, or fills it, leaves it the variance of that level;
 * another leaves the two containers it joins with the variance of both, and of their capacities.
 */
function reachesOf(sampler: Sampler): Float64Array {
  const { model, ledger, chances, runs, accounts } = sampler
  const { count } = model.grid
  const held = model.vessels.reduce((sum, { capacity }) => sum + capacity, 0)
  const varying = chances.activities.map(({ levelSpread, spread }, index) => ({
    levelVariance: (levelSpread + 0.1) ** 2,
    perUse: (1 + spread ** 2) * largestUse(model, index),
  }))
  const rows: Varied[] = model.containers.map((_, c) => ({
    started: startVariance(chances, c),
    moved: new Float64Array(model.activities.length),
    single: SINGLE * largestInto(model, c),
  }))
  const streams = model.containers.map((_, c) =>
    model.streams.flatMap(({ from, to, activity }, s) => (from === c || to === c ? [{ activity, s }] : [])),
  )
  const variance = ({ started, moved }: Varied) =>
    varying.reduce(
      (sum, { levelVariance, perUse }, a) => sum + levelVariance * moved[a]! ** 2 + perUse * moved[a]!,
      started,
    )
  const reach = (row: Varied) => REACH * Math.sqrt(variance(row)) + held + row.single
  const reaches = new Float64Array(model.containers.length * count)
  for (let i = 0; i < count; i++) {
    const base = model.containers.map((_, c) =>
      i === 0 ? accounts.starts[c]! : ledger.levels[c * count + i - 1]!,
    )
    for (const run of runs.get(i)?.all ?? []) afterRun(run, rows, base, sampler, { variance, reach })
    rows.forEach((row, c) => {
      for (const { activity, s } of streams[c]!) row.moved[activity]! += ledger.amounts[s * count + i]!
      reaches[c * count + i] = reach(row) + 1e-6
    })
  }
  return reaches
}

/** What a container's variance comes of: what it was after the last run, and what each activity moved since. */
interface Varied {
  started: number
  moved: Float64Array
  /** L of a few single uses: right after an emptying one large use is farther out than any variance says. */
  single: number
}
const SINGLE = 4

function startVariance(chances: Sampler['chances'], c: number): number {
  const { starts, spread } = chances.containers[c]!
  return starts.reduce((sum, { level, size }) => sum + size ** 2 + (level * spread) ** 2, 0)
}

interface Spreads {
  variance: (row: Varied) => number
  reach: (row: Varied) => number
}

/** Step by step what a run makes of the variances. @param base the levels before it on the mean, moved along */
function afterRun(
  { id, steps }: ModelRun,
  rows: readonly Varied[],
  base: number[],
  { model, chances, ledger }: Sampler,
  { variance, reach }: Spreads,
): void {
  const ofCapacity = (c: number) => (model.containers[c]!.capacity * chances.containers[c]!.spread) ** 2
  const set = (c: number, started: number) => {
    rows[c]!.started = started
    rows[c]!.moved.fill(0)
  }
  const played = ledger.runs.filter(({ run }) => run === id)
  for (const [s, { from, to, ask, value, scale }] of steps.entries()) {
    const isOut = from >= 0 && to < 0 && ask === 'down-to' && scale < 0
    const isIn = from < 0 && to >= 0 && ask === 'up-to' && model.payload === null
    if (isOut && (value === 0 || base[from]! - reach(rows[from]!) > value)) {
      set(from, 0)
    } else if (isIn && base[to]! + reach(rows[to]!) + REACH * Math.sqrt(ofCapacity(to)) < value) {
      set(to, ofCapacity(to))
    } else {
      const ends = [from, to].filter((end) => end >= 0)
      const both = ends.map((end) => variance(rows[end]!))
      ends.forEach((end, e) =>
        set(end, both[e]! + (both[1 - e] ?? 0) + ends.reduce((sum, one) => sum + ofCapacity(one), 0)),
      )
    }
    const { moved } = played[s]!
    if (from >= 0) base[from]! -= moved
    if (to >= 0) base[to]! += moved
  }
}

/** L (or uses) that one use moves into a container or out of it at most, of any activity. */
function largestInto(model: Sampler['model'], c: number): number {
  const touching = model.streams.filter(({ from, to }) => from === c || to === c)
  return Math.max(0, ...touching.map(({ activity }) => largestUse(model, activity)))
}

/** L (or uses) of one use at most, over all streams and parts. */
function largestUse(model: Sampler['model'], activity: ActivityIndex): number {
  const { count } = model.grid
  const litres = model.volume
    .subarray(activity * count, (activity + 1) * count)
    .reduce((a, b) => Math.max(a, b), 0)
  return model.streams
    .filter((stream) => stream.activity === activity)
    .reduce((most, stream) => Math.max(most, movedPerUse(stream, litres)), 0)
}

/** @param i the part at whose end the batch stands */
export function recordLevels(bands: Bands, { model, accounts }: Sampler, batch: Batch, i: number): void {
  const { parts, lowest, perWidth, tally, first, isSame } = bands
  const { off, size } = batch
  for (let c = 0; c < model.containers.length; c++) {
    const row = c * parts + i
    const shift = accounts.base[c * model.grid.count + i]! - lowest[row]!
    const by = perWidth[row]!
    const at = row * BINS
    const from = c * BATCH
    if (isSame[row] === 1) {
      const base = accounts.base[c * model.grid.count + i]!
      if (bands.trips === 0) first[row] = base + off[from]!
      const same = first[row]! - base
      for (let j = 0; j < size && isSame[row] === 1; j++)
        if (Math.abs(off[from + j]! - same) > SAME) isSame[row] = 0
    }
    for (let j = 0; j < size; j++) {
      const bin = ((shift + off[from + j]!) * by) | 0
      // One comparison for both ends: below zero is a large number without its sign.
      tally[at + (bin >>> 0 < BINS ? bin : bin < 0 ? 0 : BINS - 1)]! += 1
    }
  }
}

/** Adds the tally of another worker. */
export function addBands(sum: Bands, other: Bands): void {
  sum.trips += other.trips
  for (let k = 0; k < sum.tally.length; k++) sum.tally[k]! += other.tally[k]!
  for (let row = 0; row < sum.first.length; row++)
    if (other.isSame[row] === 0 || Math.abs(other.first[row]! - sum.first[row]!) > SAME) sum.isSame[row] = 0
}

/**
 * The q-quantile of each part's level: the middle of the bin in which the (⌊qN⌋ + 1)-th smallest lies, so at most one bin
 * off, and exact where all trips agree. @param trials N, all that were tallied @returns row by row as `Bands`
 */
export function bandQuantiles(
  { lowest, width, tally, first, isSame }: Bands,
  trials: number,
  quantiles: readonly number[],
): Float64Array[] {
  const ranks = quantiles.map((q) => rankOf(trials, q))
  const found = quantiles.map(() => new Float64Array(lowest.length))
  for (let row = 0; row < lowest.length; row++) {
    if (isSame[row] === 1) {
      for (const quantile of found) quantile[row] = first[row]!
      continue
    }
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
