import type { Term } from './accounts'
import { BATCH, type Batch } from './batch'
import { SLICES, SLICE_BITS } from './compound'
import type { ActivitySampler, OnceTable, Sampler } from './sampler'
import { SUM_SLICES, TRIP_SLICES } from './tables'

const WHOLE = 2 ** 32
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

/** The crews' levels, the capacities, the starting levels. */
export function drawTrips(sampler: Sampler, batch: Batch): void {
  const { model, accounts, normal, levels, containers, wordsPerTrip } = sampler
  const { words, own, capacity, limit, off, size } = batch
  drawWords(batch, wordsPerTrip)
  let word = 0
  for (let a = 0; a < levels.length; a++, word++)
    for (let j = 0, w = word; j < size; j++, w += wordsPerTrip) own[a * ROW + j] = levels[a]![words[w]! >>> SLICE_SHIFT]!
  for (let c = 0; c < containers.length; c++) {
    const { capacity: slices, starts, heater } = containers[c]!
    const { limit: given, side, start } = model.containers[c]!
    const row = c * ROW
    for (let j = 0, w = word; j < size; j++, w += wordsPerTrip) {
      const share = slices[words[w]! >>> SLICE_SHIFT]!
      capacity[row + j] = share
      limit[row + j] = given === null || side === 'supply' ? (given ?? 0) : given * share
      let sum = heater
      for (let k = 0; k < starts.length; k++) {
        const { level, shape, size: error } = starts[k]!
        const u = words[w + 1 + k]!
        sum += shape === 'even' ? (level + error * ((u >>> 0) / WHOLE - 0.5)) * share : level + error * normal[u >>> SLICE_SHIFT]!
      }
      off[row + j] = sum - start
    }
    word += 1 + starts.length
  }
  for (const { container, liquid, solids } of accounts.flush) {
    off.copyWithin(liquid * ROW, container * ROW, (container + 1) * ROW)
    off.fill(0, solids * ROW, (solids + 1) * ROW)
  }
} // prettier-ignore

/**
 * A day's numbers, its heat, and who of those that do something at most once does it when.
 * @param i the first part of the day @param isWatched whether somebody asks for each activity's own
 */
export function drawDay(sampler: Sampler, batch: Batch, i: number, isWatched: boolean): void {
  const { heat, halves, size, dayOff } = batch
  const { wordsPerDay, heats, accounts, activities } = sampler
  drawWords(batch, wordsPerDay)
  for (let j = 0; j < size; j++) heat[j] = Math.floor((halves[j * 2 * wordsPerDay]! * heats) / HALF)
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

/** Each trip's next numbers in one loop: nothing else touches the generators. */
function drawWords({ streams, size, words }: Batch, each: number): void {
  for (let j = 0; j < size; j++) {
    const stream = streams[j]!
    const end = (j + 1) * each
    for (let k = j * each; k < end; k++) words[k] = stream.next()
  }
}

/** In which part of the day a draw falls, 4 for none: as many as there are sums it reaches. Without a branch, since no guess about it would be any good. */
function placeOnce(sampler: Sampler, batch: Batch, { heats }: ActivitySampler, { half, upTo }: OnceTable, i: number): void {
  const { size, halves, heat, placed } = batch
  const { wordsPerDay, model } = sampler
  const step = 2 * wordsPerDay
  const first = model.grid.day[i]! * heats * 4
  if (heats === 1) {
    const [t0, t1, t2, t3] = [upTo[first]! - 1, upTo[first + 1]! - 1, upTo[first + 2]! - 1, upTo[first + 3]! - 1]
    for (let j = 0, h = half; j < size; j++, h += step) {
      const at = halves[h]!
      placed[j] = ((t0 - at) >>> 31) + ((t1 - at) >>> 31) + ((t2 - at) >>> 31) + ((t3 - at) >>> 31)
    }
    return
  }
  for (let j = 0, h = half; j < size; j++, h += step) {
    const at = halves[h]! + 1
    const row = first + heat[j]! * 4
    placed[j] = ((upTo[row]! - at) >>> 31) + ((upTo[row + 1]! - at) >>> 31) + ((upTo[row + 2]! - at) >>> 31) + ((upTo[row + 3]! - at) >>> 31)
  }
} // prettier-ignore

/** What the placed uses of a day add to the accounts, each in its part; those of no part add nothing to a row of their own. */
function addOnceDay(sampler: Sampler, batch: Batch, { index, sums }: ActivitySampler, { half }: OnceTable, term: Term, i: number): void {
  const { size, halves, own, placed, dayOff } = batch
  const { wordsPerDay, accounts, model } = sampler
  const { ofUses, weights, first, second, factor } = term
  const ofOne = sums(1)
  const byPart = new Float64Array(5)
  for (let k = i; k < model.grid.count && model.grid.day[k] === model.grid.day[i]; k++) byPart[model.grid.part[k]!] = weights[k]!
  const stride = accounts.count * ROW
  const [to, other, row] = [first * ROW, second * ROW, index * ROW]
  for (let j = 0, h = litresOf(half); j < size; j++, h += 2 * wordsPerDay) {
    const part = placed[j]!
    const amount = byPart[part]! * (ofUses ? 1 : own[row + j]! * ofOne[halves[h]! & SUM_MASK]!)
    const at = part * stride + j
    dayOff[at + to]! += amount
    if (second >= 0) dayOff[at + other]! += factor * amount
  }
} // prettier-ignore

/** The litres of a use lie in the low bits of the other half of its word: those say nothing of an hour. */
function litresOf(half: number): number {
  return half ^ 1
}

function forgetOnce({ onceUses, onceSums }: Batch, index: number): void {
  onceUses.fill(0, index * 5 * ROW, (index + 1) * 5 * ROW)
  onceSums.fill(0, index * 5 * ROW, (index + 1) * 5 * ROW)
}

function keepOnce({ wordsPerDay }: Sampler, batch: Batch, { index, sums }: ActivitySampler, { half }: OnceTable): void {
  const { size, halves, own, placed, onceUses, onceSums } = batch
  const ofOne = sums(1)
  for (let j = 0; j < size; j++) {
    const at = (index * 5 + placed[j]!) * ROW + j
    onceUses[at]! += 1
    onceSums[at]! += own[index * ROW + j]! * ofOne[halves[j * 2 * wordsPerDay + litresOf(half)]! & SUM_MASK]!
  }
} // prettier-ignore

/** Which of a day's halves holds an activity's sixteen bits of a part. */
function halfOf({ model }: Sampler, { places }: ActivitySampler, part: number): number {
  return places[model.grid.part[part]!]!
}

/** Uses of an activity in a part and their litres: Poisson numbers, a look-up each. */
export function drawMany(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
  if (activity.heats > 1) drawHeated(sampler, batch, activity, part)
  else drawMild(sampler, batch, activity, part)
}

/** The plainest case straight to the two accounts it moves: nothing else asks for its uses or litres. */
export function drawThrough(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number, { first, second, factor, weights }: Term): void {
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
} // prettier-ignore

/** The plain case, with everything that does not differ between trips taken out of the loop. */
function drawMild(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
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

function drawHeated(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
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
export function drawExact(sampler: Sampler, batch: Batch, activity: ActivitySampler, part: number): void {
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
