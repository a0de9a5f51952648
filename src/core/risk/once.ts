import type { Term } from './accounts'
import { BATCH, type Batch } from './batch'
import type { ActivitySampler, OnceTable, Sampler } from './sampler'
import { SUM_SLICES } from './tables'

/** Constants of this module, not of another: the engine folds them into the loops. */
const SUM_MASK = SUM_SLICES - 1
const ROW = BATCH

/**
 * Those who do something at most once a day: one draw each says in which part, and what it brings goes to the accounts in
 * that part. Where an activity's own uses are asked for (a vessel, a watch) they are kept by activity instead.
 * @param i the first part of the day @param isWatched whether somebody asks for each activity's own
 */
export function drawOnce(sampler: Sampler, batch: Batch, i: number, isWatched: boolean): void {
  const { accounts, activities } = sampler
  batch.dayOff.fill(0)
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

/**
 * In which part of the day a draw falls, 4 for none: as many as there are sums it reaches. Without a branch, since no guess
 * about it would be any good.
 */
function placeOnce(
  sampler: Sampler,
  batch: Batch,
  { heats }: ActivitySampler,
  { half, upTo }: OnceTable,
  i: number,
): void {
  const { size, halves, heat, placed } = batch
  const { wordsPerDay, model } = sampler
  const step = 2 * wordsPerDay
  const first = model.grid.day[i]! * heats * 4
  if (heats === 1) {
    const [t0, t1, t2, t3] = [
      upTo[first]! - 1,
      upTo[first + 1]! - 1,
      upTo[first + 2]! - 1,
      upTo[first + 3]! - 1,
    ]
    for (let j = 0, h = half; j < size; j++, h += step) {
      const at = halves[h]!
      placed[j] = ((t0 - at) >>> 31) + ((t1 - at) >>> 31) + ((t2 - at) >>> 31) + ((t3 - at) >>> 31)
    }
    return
  }
  for (let j = 0, h = half; j < size; j++, h += step) {
    const at = halves[h]! + 1
    const row = first + heat[j]! * 4
    placed[j] =
      ((upTo[row]! - at) >>> 31) +
      ((upTo[row + 1]! - at) >>> 31) +
      ((upTo[row + 2]! - at) >>> 31) +
      ((upTo[row + 3]! - at) >>> 31)
  }
}

/** What the placed uses of a day add to the accounts, each in its part; those of no part add nothing to a row of their own. */
function addOnceDay(
  sampler: Sampler,
  batch: Batch,
  { index, sums }: ActivitySampler,
  { half }: OnceTable,
  term: Term,
  i: number,
): void {
  const { size, halves, own, placed, dayOff } = batch
  const { wordsPerDay, accounts, model } = sampler
  const { ofUses, weights, first, second, factor } = term
  const ofOne = sums(1)
  const byPart = new Float64Array(5)
  for (let k = i; k < model.grid.count && model.grid.day[k] === model.grid.day[i]; k++)
    byPart[model.grid.part[k]!] = weights[k]!
  const stride = accounts.count * ROW
  const [to, other, row] = [first * ROW, second * ROW, index * ROW]
  for (let j = 0, h = litresOf(half); j < size; j++, h += 2 * wordsPerDay) {
    const part = placed[j]!
    const amount = byPart[part]! * (ofUses ? 1 : own[row + j]! * ofOne[halves[h]! & SUM_MASK]!)
    const at = part * stride + j
    dayOff[at + to]! += amount
    if (second >= 0) dayOff[at + other]! += factor * amount
  }
}

/** The litres of a use lie in the low bits of the other half of its word: those say nothing of an hour. */
function litresOf(half: number): number {
  return half ^ 1
}

function forgetOnce({ onceUses, onceSums }: Batch, index: number): void {
  onceUses.fill(0, index * 5 * ROW, (index + 1) * 5 * ROW)
  onceSums.fill(0, index * 5 * ROW, (index + 1) * 5 * ROW)
}

function keepOnce(
  { wordsPerDay }: Sampler,
  batch: Batch,
  { index, sums }: ActivitySampler,
  { half }: OnceTable,
): void {
  const { size, halves, own, placed, onceUses, onceSums } = batch
  const ofOne = sums(1)
  for (let j = 0; j < size; j++) {
    const at = (index * 5 + placed[j]!) * ROW + j
    onceUses[at]! += 1
    onceSums[at]! += own[index * ROW + j]! * ofOne[halves[j * 2 * wordsPerDay + litresOf(half)]! & SUM_MASK]!
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
export function addDay(
  { onceAccounts, accounts }: Sampler,
  { size, off, dayOff }: Batch,
  partOfDay: number,
): void {
  for (const account of onceAccounts) {
    const [to, from] = [account * ROW, (partOfDay * accounts.count + account) * ROW]
    for (let j = 0; j < size; j++) off[to + j]! += dayOff[from + j]!
  }
}
