import { found, type Document, type Effect, type Habit, type Id } from '@/core/domain'
import type { DayNumber } from '@/core/calendar'
import { owned } from '@/core/quantities'
import * as edits from '@/document/edits'
import { action } from './action'

/** From `today` on; days that were lived keep what they had. */
export const setHabit = action('habit', edits.setHabit)
/** On some of its days; null: on all of them. */
export const typeHabitDays = action(
  'habit',
  (draft, stay: Id, habit: Id, days: [number, number] | null) =>
    edits.setHabit(draft, stay, habit, true, days),
  (_stay, habit) => `days of ${habit}`,
)
/** The same as it is painted on the board: one that is on keeps what it had, but for its days. */
export const paintHabit = action(
  'habit',
  (
    draft,
    stay: Id,
    habit: Id,
    on: boolean,
    days: [number, number] | null,
    today: DayNumber,
    _key: string | null,
  ) => {
    const known = edits.stayOf(draft, stay).habits.find((one) => one.habit === habit)
    if (on && known) known.days = days
    else edits.setHabit(draft, stay, habit, on, days, today)
  },
  (_stay, _habit, _on, _days, _today, key) => key,
)
export const setHabitPersons = action('habit', edits.setHabitPersons)
/** Just these from `today` on; days that were lived keep theirs. @param on those that are on today */
export const setHabitSet = action(
  'habit',
  (draft, stay: Id, habits: readonly Id[], on: readonly Id[], today: DayNumber) => {
    if (today === 0) {
      edits.stayOf(draft, stay).habits = habits.map((habit) => ({ habit, days: null, persons: null }))
      return
    }
    for (const habit of on)
      if (!habits.includes(habit)) edits.setHabit(draft, stay, habit, false, null, today)
    for (const habit of habits) if (!on.includes(habit)) edits.setHabit(draft, stay, habit, true, null, today)
  },
)
export const addHabit = action(
  'habit',
  (draft, id: Id, name: string) => void draft.habits.push(edits.newHabit(id, name)),
)
export const addMissingHabits = action('habit', edits.addMissingHabits)
export const removeHabit = action('habit', edits.removeHabit)

const habitOf = (draft: Document, id: Id) => found(draft.habits, id, 'habit')

type HabitPatch = Partial<Pick<Habit, 'name' | 'note' | 'gear' | 'permission' | 'bother'>>
/** What a habit is called, says, needs or bothers; it goes off where that is not there. */
export const changeHabit = action(
  'habit',
  (draft, id: Id, patch: HabitPatch) => {
    Object.assign(habitOf(draft, id), patch)
    edits.dropBlocked(draft)
  },
  (id, patch) => `${Object.keys(patch).join()} ${id}`,
)
/** Effects that an owner builds; catching and reusing water comes with the catalogue. */
export const OWN_EFFECTS = ['rate', 'volume', 'replace', 'redirect'] as const
export type OwnEffect = (typeof OWN_EFFECTS)[number]

function effectOf(kind: OwnEffect, activity: Id, value: number): Effect {
  if (kind === 'replace') return { kind, activity, volume: owned(value), trickle: null }
  if (kind === 'redirect') return { kind, activity, share: owned(Math.min(1, value)), to: 'ground' }
  return { kind, activity, factor: owned(value) }
}
/** A use half as often, to start from. */
export const addEffect = action(
  'habit',
  (draft, habit: Id, activity: Id) =>
    void habitOf(draft, habit).effects.push(effectOf('rate', activity, 0.5)),
)
export const putEffect = action(
  'habit',
  (draft, habit: Id, at: number, kind: OwnEffect, activity: Id, value: number) =>
    void (habitOf(draft, habit).effects[at] = effectOf(kind, activity, value)),
  (habit, at) => `effect ${at} ${habit}`,
)
export const removeEffect = action(
  'habit',
  (draft, habit: Id, at: number) => void habitOf(draft, habit).effects.splice(at, 1),
)
