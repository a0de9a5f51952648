import { blockedBy, switched } from '@/core/habits'
import type { Document, Gear, Habit, Id, LandRule } from '@/core/domain'
import { owned } from '@/core/quantities'
import { crewOf, rigOf, stayOf } from './find'

/** Recipes on a draft: habits, and the gear and rules they stand on. */

/** Switches off every habit that lacks its gear or permission, in every stay. */
export function dropBlocked(draft: Document): void {
  for (const stay of draft.stays) {
    const rig = draft.rigs.find(({ id }) => id === stay.rig)
    if (!rig) continue
    const isKept = (id: Id) => {
      const habit = draft.habits.find((candidate) => candidate.id === id)
      return habit !== undefined && blockedBy(habit, rig, stay) === null
    }
    if (!stay.habits.every(({ habit }) => isKept(habit)))
      stay.habits = stay.habits.filter(({ habit }) => isKept(habit))
  }
}

/** Lists gear of a rig or takes it off; habits that need it go off with it. */
export function setGear(draft: Document, rigId: Id, gear: Gear, has: boolean): void {
  const rig = rigOf(draft, rigId)
  rig.gear = rig.gear.filter((item) => item !== gear)
  if (has) rig.gear.push(gear)
  else dropBlocked(draft)
}

/**
 * Records what the land allows, or forgets it (`allowed` null): then it is not allowed, and habits that need it go off.
 * @param date `YYYY-MM-DD`
 */
export function setRule(
  draft: Document,
  stayId: Id,
  rule: LandRule,
  allowed: boolean | null,
  source: string,
  date: string,
): void {
  const stay = stayOf(draft, stayId)
  const litres = stay.rules.find((recorded) => recorded.rule === rule)?.litres ?? null
  stay.rules = stay.rules.filter((recorded) => recorded.rule !== rule)
  if (allowed !== null) stay.rules.push({ rule, allowed, litres: allowed ? litres : null, source, date })
  dropBlocked(draft)
}

/** A habit of the owner's own: no effect until it has one. */
export function newHabit(id: Id, name: string): Habit {
  return {
    id,
    name,
    note: '',
    group: null,
    where: null,
    effects: [],
    vessel: null,
    when: { parts: null, daylight: false, lowest: null },
    gear: [],
    permission: null,
    cautions: [],
    bother: owned(1),
  }
}

/**
 * Switches a habit of a stay on or off; its rivals give way. @param days both ends included; null: the whole stay
 * @param today the day of a stay under way, from which on it is switched
 */
export function setHabit(
  draft: Document,
  stayId: Id,
  habit: Id,
  on: boolean,
  days: [number, number] | null = null,
  today = 0,
): void {
  const stay = stayOf(draft, stayId)
  stay.habits = switched(draft.habits, stay.habits, habit, on, days, today)
}

/** Who takes part in a habit that is on; nobody or everybody: everyone. */
export function setHabitPersons(draft: Document, stayId: Id, habit: Id, persons: readonly Id[]): void {
  const stay = stayOf(draft, stayId)
  const on = stay.habits.find((entry) => entry.habit === habit)
  const everyone = crewOf(draft, stay.crew).persons.length
  if (on) on.persons = persons.length === 0 || persons.length === everyone ? null : [...persons]
}

export function removeHabit(draft: Document, habitId: Id): void {
  draft.habits = draft.habits.filter(({ id }) => id !== habitId)
  for (const stay of draft.stays) stay.habits = stay.habits.filter(({ habit }) => habit !== habitId)
}

/** Adds the habits of the catalogue that the document does not have. */
export function addMissingHabits(draft: Document, catalogue: readonly Habit[]): void {
  for (const habit of catalogue) if (!draft.habits.some(({ id }) => id === habit.id)) draft.habits.push(habit)
}
