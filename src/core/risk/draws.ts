import type { Term } from './accounts'
import { BATCH, type Batch } from './batch'
import { SLICES, SLICE_BITS } from './compound'
import type { ActivitySampler, OnceTable, Sampler } from './sampler'
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

/**
 * A day's numbers, its heat, and who of those that do something at most once does it when.
 * @param i the first part of the day @param isWatched whether somebody asks for each activity's own
 */
export function drawDay(sampler: Sampler, batch: Batch, i: number, isWatched: boolean): void {
  const { heat, words, size, dayOff } = batch
  const { wordsPerDay, heats, accounts, activities } = sampler
  drawWords(batch, wordsPerDay)
  for (let j = 0; j < size; j++) heat[j] = Math.floor(((words[j * wordsPerDay]! >>> 0) / WHOLE) * heats)
  dayOff.fill(0)
  for (const activity of activities) {
    if (activity.once.length === 0) continue
    const { index, once, isDirect } = activity
    if (!isDirect || isWatched) forgetOnce(batch, index)
    for (const table of once) {
      placeOnce(sampler, batch, activity, table, i)
      if (!isDirect || isWatched) keepOnce(sampler, batch, activity, table)
      else for (const term of accounts.terms[index]!) addOnceDay(sampler, batch, activity, table, term, i)
    }
  }
}

/** All random numbers of a day in one loop: nothing else then touches the generators. */
function drawWords({ streams, size, words }: Batch, wordsPerDay: number): void {
  for (let j = 0; j < size; j++) {
    const stream = streams[j]!
    const end = (j + 1) * wordsPerDay
    for (let k = j * wordsPerDay; k < end; k++) words[k] = stream.next()
  }
}

/** In which part of the day a draw falls, 4 for none: as many as there are sums it reaches. Without a branch, since no guess about it would be any good. */
function placeOnce(sampler: Sampler, batch: Batch, { heats }: ActivitySampler, { word, upTo }: OnceTable, i: number): void {
  const { size, words, heat, placed } = batch
  const { wordsPerDay, model } = sampler
  const first = model.grid.day[i]! * heats * 4
  if (heats === 1) {
    const [t0, t1, t2, t3] = [upTo[first]!, upTo[first + 1]!, upTo[first + 2]!, upTo[first + 3]!]
    for (let j = 0, w = word; j < size; j++, w += wordsPerDay) {
      const at = words[w]! >>> 2
      placed[j] = ((t0 - 1 - at) >>> 31) + ((t1 - 1 - at) >>> 31) + ((t2 - 1 - at) >>> 31) + ((t3 - 1 - at) >>> 31)
    }
    return
  }
  for (let j = 0, w = word; j < size; j++, w += wordsPerDay) {
    const at = words[w]! >>> 2
    const row = first + heat[j]! * 4
    placed[j] =
      ((upTo[row]! - 1 - at) >>> 31) + ((upTo[row + 1]! - 1 - at) >>> 31) + ((upTo[row + 2]! - 1 - at) >>> 31) + ((upTo[row + 3]! - 1 - at) >>> 31)
  }
} // prettier-ignore

/** What the placed uses of a day add to the accounts, each in its part; those of no part add nothing to a row of their own. */
function addOnceDay(sampler: Sampler, batch: Batch, { index, sums }: ActivitySampler, { word }: OnceTable, term: Term, i: number): void {
  const { size, words, own, placed, dayOff } = batch
  const { wordsPerDay, accounts, model } = sampler
  const { ofUses, weights, first, second, factor } = term
  const ofOne = sums(1)
  const byPart = new Float64Array(5)
  for (let k = i; k < model.grid.count && model.grid.day[k] === model.grid.day[i]; k++) byPart[model.grid.part[k]!] = weights[k]!
  const stride = accounts.count * ROW
  const [to, other, row] = [first * ROW, second * ROW, index * ROW]
  for (let j = 0, w = word; j < size; j++, w += wordsPerDay) {
    const part = placed[j]!
    // The low bits say nothing of the hour and are free for the litres.
    const amount = byPart[part]! * (ofUses ? 1 : own[row + j]! * ofOne[words[w]! & SUM_MASK]!)
    const at = part * stride + j
    dayOff[at + to]! += amount
    if (second >= 0) dayOff[at + other]! += factor * amount
  }
} // prettier-ignore

function forgetOnce({ onceUses, onceSums }: Batch, index: number): void {
  onceUses.fill(0, index * 5 * ROW, (index + 1) * 5 * ROW)
  onceSums.fill(0, index * 5 * ROW, (index + 1) * 5 * ROW)
}

function keepOnce({ wordsPerDay }: Sampler, batch: Batch, { index, sums }: ActivitySampler, { word }: OnceTable): void {
  const { size, words, own, placed, onceUses, onceSums } = batch
  const ofOne = sums(1)
  for (let j = 0; j < size; j++) {
    const at = (index * 5 + placed[j]!) * ROW + j
    onceUses[at]! += 1
    onceSums[at]! += own[index * ROW + j]! * ofOne[words[j * wordsPerDay + word]! & SUM_MASK]!
  }
} // prettier-ignore

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
  const at = (index * 5 + partOfDay) * ROW
  for (let j = 0; j < size; j++) {
    uses[j]! += onceUses[at + j]!
    sums[j]! += onceSums[at + j]!
  }
}

/** Adds what those who do something at most once a day brought to the accounts in a part. */
export function addDay({ onceAccounts, accounts }: Sampler, { size, off, dayOff }: Batch, partOfDay: number): void {
  for (const account of onceAccounts) {
    const [to, from] = [account * ROW, (partOfDay * accounts.count + account) * ROW]
    for (let j = 0; j < size; j++) off[to + j]! += dayOff[from + j]!
  }
} // prettier-ignore
