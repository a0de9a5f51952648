import type { PartIndex } from '../calendar'
import type { JointDraws } from '../domain'
import type { Term } from './accounts'
import { BATCH, type Batch } from './batch'
import { SLICES, SLICE_BITS } from './compound'
import { drawOnce } from './once'
import type { ActivitySampler, Sampler } from './sampler'
import { startOf } from './starts'
import { SUM_SLICES, TRIP_SLICES } from './tables'

const HALF = 2 ** 16
const SLICE_MASK = SLICES - 1
const SUM_MASK = SUM_SLICES - 1
/** Constants of this module, not of another: the engine folds them into the loops. */
const TABLE_SHIFT = SLICE_BITS
const SLICE_SHIFT = 32 - Math.log2(TRIP_SLICES)
const ROW = BATCH

/**
 * All that is drawn. Every draw is made in the same order whatever the habits, so that two habit sets meet the same luck
 * (common random numbers): once a trip, then each day, then each part.
 */

/**
 * The crews' levels, the capacities, the starting levels.
 * @param numbers the number of the batch's first trip, or the number of each
 */
export function drawTrips(sampler: Sampler, batch: Batch, numbers: number | readonly number[]): void {
  const { model, accounts, normal, levels, containers, wordsPerTrip } = sampler
  const { words, own, capacity, limit, off, size } = batch
  drawWords(batch, wordsPerTrip)
  let word = 0
  for (let a = 0; a < levels.length; a++, word++)
    for (let j = 0, w = word; j < size; j++, w += wordsPerTrip)
      own[a * ROW + j] = levels[a]![words[w]! >>> SLICE_SHIFT]!
  for (let c = 0; c < containers.length; c++) {
    const { capacity: slices, starts, heater } = containers[c]!
    const { limit: given, side, start } = model.containers[c]!
    const row = c * ROW
    for (let j = 0, w = word; j < size; j++, w += wordsPerTrip) {
      const share = slices[words[w]! >>> SLICE_SHIFT]!
      capacity[row + j] = share
      limit[row + j] = given === null || side === 'supply' ? (given ?? 0) : given * share
      let sum = heater
      for (let k = 0; k < starts.length; k++) sum += startOf(starts[k]!, share, words[w + 1 + k]!, normal)
      off[row + j] = sum - start
    }
    word += 1 + starts.length
  }
  if (sampler.chances.draws) takeRows(sampler, batch, numbers, sampler.chances.draws)
  for (const { container, liquid, solids } of accounts.flush) {
    off.copyWithin(liquid * ROW, container * ROW, (container + 1) * ROW)
    off.fill(0, solids * ROW, (solids + 1) * ROW)
  }
}

/**
 * What was learned together stays together: a trip takes a whole row. The rate of an activity goes with its own factor, so
 * that its litres are right on the mean and nearly so in spread; its number of uses is the model's.
 */
function takeRows(
  { model, containers }: Sampler,
  { own, capacity, limit, off, size }: Batch,
  numbers: number | readonly number[],
  { rows, columns, values }: JointDraws,
): void {
  const activities = model.activities.length
  const ofContainers = 2 * activities
  for (let j = 0; j < size; j++) {
    const number = typeof numbers === 'number' ? numbers + j : numbers[j]!
    const row = (number % rows) * columns
    for (let a = 0; a < activities; a++) own[a * ROW + j] = values[row + a]! * values[row + activities + a]!
    for (let c = 0; c < containers.length; c++) {
      const { limit: given, side, start } = model.containers[c]!
      const share = values[row + ofContainers + c]!
      capacity[c * ROW + j] = share
      limit[c * ROW + j] = given === null || side === 'supply' ? (given ?? 0) : given * share
      off[c * ROW + j] = values[row + ofContainers + containers.length + c]! - start
    }
  }
}

/**
 * A day's numbers, its heat, and who of those that do something at most once does it when.
 * @param i the first part of the day @param isWatched whether somebody asks for each activity's own
 */
export function drawDay(sampler: Sampler, batch: Batch, i: number, isWatched: boolean): void {
  const { heat, halves, size } = batch
  const { wordsPerDay, heats } = sampler
  drawWords(batch, wordsPerDay)
  for (let j = 0; j < size; j++) heat[j] = Math.floor((halves[j * 2 * wordsPerDay]! * heats) / HALF)
  drawOnce(sampler, batch, i, isWatched)
}

/** Each trip's next numbers in one loop: nothing else touches the generators. */
function drawWords({ streams, size, words }: Batch, each: number): void {
  for (let j = 0; j < size; j++) {
    const stream = streams[j]!
    const end = (j + 1) * each
    for (let k = j * each; k < end; k++) words[k] = stream.next()
  }
}

/** Which of a day's halves holds an activity's sixteen bits of a part. */
function halfOf({ model }: Sampler, { places }: ActivitySampler, part: PartIndex): number {
  return places[model.grid.part[part]!]!
}

/** Uses of an activity in a part and their litres: Poisson numbers, a look-up each. */
export function drawMany(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: PartIndex): void {
  if (activity.heats > 1) drawHeated(sampler, batch, activity, part)
  else drawMild(sampler, batch, activity, part)
}

/** The plainest case straight to the two accounts it moves: nothing else asks for its uses or litres. */
export function drawThrough(
  sampler: Sampler,
  batch: Batch,
  activity: ActivitySampler,
  part: PartIndex,
  { first, second, factor, weights }: Term,
): void {
  const { size, halves, off, own } = batch
  const { litres: table } = activity.compound
  const { wordsPerDay } = sampler
  const half = halfOf(sampler, activity, part)
  const code = activity.code[part]!
  const weight = weights[part]! * activity.scale[part]!
  const row = activity.index * ROW
  const [to, other] = [first * ROW, second * ROW]
  const step = 2 * wordsPerDay
  // Two trips a turn; the rows have room for the last.
  for (let j = 0, h = half; j < size; j += 2, h += 2 * step) {
    const [one, two] = [code + halves[h]!, code + halves[h + step]!]
    const ofOne = weight * own[row + j]! * table[((one >> 16) << TABLE_SHIFT) | (one & SLICE_MASK)]!
    const ofTwo = weight * own[row + j + 1]! * table[((two >> 16) << TABLE_SHIFT) | (two & SLICE_MASK)]!
    off[to + j]! += ofOne
    off[to + j + 1]! += ofTwo
    off[other + j]! += factor * ofOne
    off[other + j + 1]! += factor * ofTwo
  }
}

/** The plain case, with everything that does not differ between trips taken out of the loop. */
function drawMild(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: PartIndex): void {
  const { size, halves, uses, sums, own } = batch
  const { needsUses, index } = activity
  const { litres, uses: usesOf } = activity.compound
  const { wordsPerDay } = sampler
  const half = halfOf(sampler, activity, part)
  const code = activity.code[part]!
  const scale = activity.scale[part]!
  const row = index * ROW
  for (let j = 0, h = half; j < size; j++, h += 2 * wordsPerDay) {
    const w = code + halves[h]!
    const at = ((w >> 16) << TABLE_SHIFT) | (w & SLICE_MASK)
    sums[j] = own[row + j]! * scale * litres[at]!
    if (needsUses) uses[j] = scale * usesOf[at]!
  }
}

function drawHeated(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: PartIndex): void {
  const { size, halves, heat, uses, sums, own } = batch
  const { code, scale, heats, needsUses, index } = activity
  const { litres, uses: usesOf } = activity.compound
  const half = halfOf(sampler, activity, part)
  for (let j = 0; j < size; j++) {
    const q = part * heats + heat[j]!
    const w = code[q]! + halves[j * 2 * sampler.wordsPerDay + half]!
    const at = ((w >> 16) << TABLE_SHIFT) | (w & SLICE_MASK)
    sums[j] = own[index * ROW + j]! * scale[q]! * litres[at]!
    if (needsUses) uses[j] = scale[q]! * usesOf[at]!
  }
}

/** The same for exact uses, with what the day's heat changes; their litres vary all the same. */
export function drawExact(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: PartIndex): void {
  const { wordsPerDay, heats, heatChange, model } = sampler
  const { size, halves, heat, uses, sums, own } = batch
  const half = halfOf(sampler, activity, part)
  const { index, perStep, sums: sumOf } = activity
  const day = model.grid.day[part]!
  const ofOne = sumOf(1)
  const [mean, step] = [activity.uses[part]!, perStep[part]!]
  let n = mean
  let whole = Math.floor(n)
  let ofWhole = sumOf(whole)
  for (let j = 0; j < size; j++) {
    const bits = halves[j * 2 * wordsPerDay + half]!
    if (step > 0) {
      n = mean + step * heatChange[day * heats + heat[j]!]!
      whole = Math.floor(n)
      ofWhole = sumOf(whole)
    }
    uses[j] = n
    // The fraction of a use takes the same bits in another order, so that its luck is its own.
    const fraction = (n - whole) * ofOne[((bits & 127) * 4 + (bits >>> 14)) & SUM_MASK]!
    sums[j] = own[index * ROW + j]! * (ofWhole[bits >>> 7]! * (whole === 0 ? 0 : 1) + fraction)
  }
}
