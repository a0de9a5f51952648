import type { Term } from './accounts'
import { BATCH, type Batch } from './batch'
import { SLICES, SLICE_BITS } from './compound'
import { GUIDE_BITS, type ActivitySampler, type Sampler } from './sampler'
import { SUM_SLICES, TRIP_SLICES } from './tables'

const WHOLE = 2 ** 32
const HALF_MASK = 2 ** 16 - 1
const SLICE_MASK = SLICES - 1
const SUM_MASK = SUM_SLICES - 1
/** Constants of this module, not of another: the engine folds them into the loops. */
const PAIR_SHIFT = SLICE_BITS + 1
const ROW = BATCH

/**
 * All that is drawn. Every draw is made in the same order whatever the habits, so that two habit sets meet the same luck
 * (common random numbers): once a trip, then each day, then each part.
 */

/** The crews' levels, the capacities, the starting levels. */
export function drawTrips(sampler: Sampler, batch: Batch): void {
  const { model, accounts, normal, levels, containers } = sampler
  const { own, capacity, limit, off, size } = batch
  for (let j = 0; j < size; j++) {
    const stream = batch.streams[j]!
    for (let a = 0; a < levels.length; a++) own[a * ROW + j] = sliceOf(levels[a]!, stream.next())
    for (let c = 0; c < containers.length; c++) {
      const container = containers[c]!
      const share = sliceOf(container.capacity, stream.next())
      const { limit: given, side, start } = model.containers[c]!
      capacity[c * ROW + j] = share
      limit[c * ROW + j] = given === null || side === 'supply' ? (given ?? 0) : given * share
      let sum = container.heater
      for (const { level, shape, size: error } of container.starts) {
        const u = stream.next() >>> 0
        sum += shape === 'even' ? (level + error * (u / WHOLE - 0.5)) * share : level + error * sliceOf(normal, u)
      }
      off[c * ROW + j] = sum - start
    }
    for (const { container, liquid, solids } of accounts.flush) {
      off[liquid * ROW + j] = off[container * ROW + j]!
      off[solids * ROW + j] = 0
    }
  }
} // prettier-ignore

function sliceOf(slices: Float64Array, random: number): number {
  return slices[Math.floor(((random >>> 0) / WHOLE) * TRIP_SLICES)]!
}

/** A day's numbers, its heat, and who of those that do something at most once does it when. */
export function drawDay(sampler: Sampler, batch: Batch, day: number): void {
  const { heat, words, size } = batch
  const { wordsPerDay, heats } = sampler
  drawWords(batch, wordsPerDay)
  for (let j = 0; j < size; j++) heat[j] = Math.floor(((words[j * wordsPerDay]! >>> 0) / WHOLE) * heats)
  for (const activity of sampler.activities)
    if (activity.once.length > 0) drawOnce(batch, activity, day, wordsPerDay)
}

/** All random numbers of a day in one loop: nothing else then touches the generators. */
function drawWords({ streams, size, words }: Batch, wordsPerDay: number): void {
  for (let j = 0; j < size; j++) {
    const stream = streams[j]!
    const end = (j + 1) * wordsPerDay
    for (let k = j * wordsPerDay; k < end; k++) words[k] = stream.next()
  }
}

/**
 * One draw for each and the day. Systematic: the points u, u + 1, … on the day's uses laid end to end, so one use at most
 * where they add up to 1 or less, and the mean whatever they add up to.
 */
function drawOnce(batch: Batch, activity: ActivitySampler, day: number, wordsPerDay: number): void {
  const { heat, words, size, own, onceUses, onceSums } = batch
  const { index, heats, once, sums, firstOnce } = activity
  const ofOne = sums(1)
  const first = index * 4 * ROW
  onceUses.fill(0, first, first + 4 * ROW)
  onceSums.fill(0, first, first + 4 * ROW)
  for (let unit = 0; unit < once.length; unit++) {
    const { upTo, guide } = once[unit]!
    for (let j = 0, w = 1 + firstOnce + unit; j < size; j++, w += wordsPerDay) {
      const word = words[w]!
      const day4 = day * heats + (heats === 1 ? 0 : heat[j]!)
      const row = day4 * 4
      const total = upTo[row + 3]!
      // A second point of the same draw, where the day's uses add up to more than 1, lies beyond every guide's reach.
      for (
        let at = word >>> 0, part = guide[(day4 << GUIDE_BITS) + (word >>> (32 - GUIDE_BITS))]!;
        at < total;
        at += WHOLE
      ) {
        while (at >= upTo[row + part]!) part++
        const k = first + part * ROW + j
        onceUses[k]! += 1
        // The low bits say nothing of the hour and are free for the litres.
        onceSums[k]! += own[index * ROW + j]! * ofOne[word & SUM_MASK]!
      }
    }
  }
}

/** Which of a day's numbers holds an activity's sixteen bits of a part, and how far to shift it. */
function bitsOf({ firstPlace, model }: Sampler, { places }: ActivitySampler, part: number) {
  const place = places[model.grid.part[part]!]!
  return { word: firstPlace + (place >> 1), shift: (place & 1) << 4 }
}

/** Uses of an activity in a part and their litres: Poisson numbers, a look-up each. */
export function drawMany(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
  if (activity.heats > 1) drawHeated(sampler, batch, activity, part)
  else drawMild(sampler, batch, activity, part)
}

/** The plainest case straight to the two accounts it moves: nothing else asks for its uses or litres. */
export function drawThrough(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number, { first, second, factor, weights }: Term): void {
  const { size, words, off, own } = batch
  const { pairs } = activity.compound
  const { wordsPerDay } = sampler
  const { word, shift } = bitsOf(sampler, activity, part)
  const code = activity.code[part]!
  const weight = weights[part]! * activity.scale[part]!
  const row = activity.index * ROW
  const [to, other] = [first * ROW, second * ROW]
  for (let j = 0, k = word; j < size; j++, k += wordsPerDay) {
    const w = code + ((words[k]! >>> shift) & HALF_MASK)
    const litres = weight * own[row + j]! * pairs[((w >> 16) << PAIR_SHIFT) | ((w & SLICE_MASK) << 1)]!
    off[to + j]! += litres
    off[other + j]! += factor * litres
  }
} // prettier-ignore

/** The plain case, with everything that does not differ between trips taken out of the loop. */
function drawMild(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
  const { size, words, uses, sums, own } = batch
  const { needsUses, index } = activity
  const { pairs } = activity.compound
  const { wordsPerDay } = sampler
  const { word, shift } = bitsOf(sampler, activity, part)
  const code = activity.code[part]!
  const scale = activity.scale[part]!
  const row = index * ROW
  for (let j = 0, k = word; j < size; j++, k += wordsPerDay) {
    const w = code + ((words[k]! >>> shift) & HALF_MASK)
    const at = ((w >> 16) << PAIR_SHIFT) | ((w & SLICE_MASK) << 1)
    sums[j] = own[row + j]! * scale * pairs[at]!
    if (needsUses) uses[j] = scale * pairs[at + 1]!
  }
}

function drawHeated(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
  const { size, words, heat, uses, sums, own } = batch
  const { code, scale, heats, needsUses, index } = activity
  const { pairs } = activity.compound
  const { word, shift } = bitsOf(sampler, activity, part)
  for (let j = 0; j < size; j++) {
    const q = part * heats + heat[j]!
    const w = code[q]! + ((words[j * sampler.wordsPerDay + word]! >>> shift) & HALF_MASK)
    const at = ((w >> 16) << PAIR_SHIFT) | ((w & SLICE_MASK) << 1)
    sums[j] = own[index * ROW + j]! * scale[q]! * pairs[at]!
    if (needsUses) uses[j] = scale[q]! * pairs[at + 1]!
  }
}

/** The same for exact uses, with what the day's heat changes; their litres vary all the same. */
export function drawExact(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
  const { wordsPerDay, heats, heatChange, model } = sampler
  const { size, words, heat, uses, sums, own } = batch
  const { word, shift } = bitsOf(sampler, activity, part)
  const { index, perStep, sums: sumOf } = activity
  const day = model.grid.day[part]!
  const ofOne = sumOf(1)
  let [n, whole, ofWhole] = [-1, 0, ofOne]
  for (let j = 0; j < size; j++) {
    const bits = (words[j * wordsPerDay + word]! >>> shift) & HALF_MASK
    const now = activity.uses[part]! + perStep[part]! * heatChange[day * heats + heat[j]!]!
    if (now !== n) {
      n = now
      whole = Math.floor(n)
      ofWhole = sumOf(whole)
    }
    uses[j] = n
    // The fraction of a use takes the same bits in another order, so that its luck is its own.
    const fraction = (n - whole) * ofOne[((bits & 127) * 4 + (bits >>> 14)) & SUM_MASK]!
    sums[j] = own[index * ROW + j]! * (ofWhole[bits >>> 7]! * (whole === 0 ? 0 : 1) + fraction)
  }
}

/** Adds the part's uses by those who do it at most once. */
export function addOnce(batch: Batch, { index }: ActivitySampler, partOfDay: number): void {
  const { size, uses, sums, onceUses, onceSums } = batch
  const at = (index * 4 + partOfDay) * ROW
  for (let j = 0; j < size; j++) {
    uses[j]! += onceUses[at + j]!
    sums[j]! += onceSums[at + j]!
  }
}
