import type { Chore, Document, Id } from '@/core/domain'
import { owned } from '@/core/quantities'
import { usualChores } from '../starters/chores'
import { crewOf, rigOf } from './find'

/** Recipes on a draft: what a rig wants done again and again. */

/** A chore is changed, or added. */
export function putChore(draft: Document, rigId: Id, chore: Chore): void {
  const { chores } = rigOf(draft, rigId)
  const at = chores.findIndex(({ id }) => id === chore.id)
  chores.splice(at < 0 ? chores.length : at, at < 0 ? 0 : 1, structuredClone(chore))
}

export function removeChore(draft: Document, rigId: Id, choreId: Id): void {
  const rig = rigOf(draft, rigId)
  rig.chores = rig.chores.filter(({ id }) => id !== choreId)
}

/** Done: nobody hears of it until it is due again. @param at wall time */
export function doneChore(draft: Document, rigId: Id, choreId: Id, at: string): void {
  const chore = rigOf(draft, rigId).chores.find(({ id }) => id === choreId)
  if (!chore) return
  if (chore.done === null || chore.done < at) chore.done = at
  chore.snoozed = null
}

/** @param until `YYYY-MM-DD`; null: it is heard again */
export function snoozeChore(draft: Document, rigId: Id, choreId: Id, until: string | null): void {
  const chore = rigOf(draft, rigId).chores.find(({ id }) => id === choreId)
  if (chore) chore.snoozed = until
}

/** The usual chores of this rig that are not on its list. */
export function addUsualChores(draft: Document, rigId: Id, crewId: Id): void {
  const rig = rigOf(draft, rigId)
  const known = new Set(rig.chores.map(({ id }) => id))
  const usual = usualChores(rig.containers, crewOf(draft, crewId).schools.sides)
  rig.chores.push(...usual.filter(({ id }) => !known.has(id)))
}

/** Changes of medium that were bought. */
export function setMediumStock(draft: Document, crewId: Id, changes: number): void {
  crewOf(draft, crewId).mediumStock = owned(changes)
}
