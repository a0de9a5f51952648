import type { Document, Id, Swap } from '@/core/domain'
import { owned } from '@/core/quantities'
import { crewOf, stayOf } from './find'

/** Recipes on a draft: what a stay's budget is for, and how it is shared. */

/** @param night a day number; null: the last one */
export function setGoal(draft: Document, stayId: Id, night: number | null): void {
  stayOf(draft, stayId).budget.night = night
}

/** @param confidence share of trips; null: the stay's own */
export function setBudgetConfidence(draft: Document, stayId: Id, confidence: number | null): void {
  stayOf(draft, stayId).budget.confidence = confidence === null ? null : owned(confidence)
}

/** Somebody's uses are theirs, so many a day. @param rate null: shared like the others' */
export function setApart(draft: Document, stayId: Id, person: Id, activity: Id, rate: number | null): void {
  const { budget } = stayOf(draft, stayId)
  budget.apart = budget.apart.filter((one) => one.person !== person || one.activity !== activity)
  if (rate !== null) budget.apart.push({ person, activity, rate: owned(rate) })
}

export function addSwap(draft: Document, stayId: Id, swap: Swap): void {
  stayOf(draft, stayId).budget.swaps.push({ ...swap })
}

/** What was swapped on a day is as it was. */
export function dropSwaps(draft: Document, stayId: Id, day: number): void {
  const { budget } = stayOf(draft, stayId)
  budget.swaps = budget.swaps.filter((swap) => swap.day !== day)
}

/** An advice is not given again on this stay. */
export function declineAdvice(draft: Document, stayId: Id, advice: string): void {
  const { declined } = stayOf(draft, stayId).budget
  if (!declined.includes(advice)) declined.push(advice)
}

export function hearAllAdvice(draft: Document, stayId: Id): void {
  stayOf(draft, stayId).budget.declined = []
}

/** An activity of the owner's own that may be saved, or not. */
export function setSaves(draft: Document, crewId: Id, activity: Id, isSaved: boolean): void {
  const crew = crewOf(draft, crewId)
  crew.saves = crew.saves.filter((id) => id !== activity)
  if (isSaved) crew.saves.push(activity)
}
