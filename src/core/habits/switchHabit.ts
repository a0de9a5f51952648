import type { Habit, HabitOn, Id, StayCase } from '../model'
import { found } from '../model'

/**
 * The case with a habit on or off. Switching one on replaces its rivals: of a *how* and of a *where* at most one is on
 * (model.md section 4). The input is not changed.
 * @param days day numbers, both ends included; null: the whole stay
 */
export function switchHabit(
  stayCase: StayCase,
  habitId: Id,
  on: boolean,
  days: [number, number] | null = null,
): StayCase {
  return withStayHabits(stayCase, switched(stayCase.habits, stayCase.stay.habits, habitId, on, days))
}

/** The same, for the list of habits that are on. Who takes part stays as it was. */
export function switched(
  habits: readonly Habit[],
  habitsOn: readonly HabitOn[],
  habitId: Id,
  on: boolean,
  days: [number, number] | null = null,
): HabitOn[] {
  const others = habitsOn.filter(({ habit }) => habit !== habitId)
  if (!on) return others
  const habit = found(habits, habitId, 'habit')
  const persons = habitsOn.find(({ habit }) => habit === habitId)?.persons ?? null
  const free = others.filter(({ habit: id }) => !areRivals(habit, found(habits, id, 'habit')))
  return [...free, { habit: habitId, days, persons }]
}

/** Whether two habits are the same choice of how, or of where. */
export function areRivals(a: Pick<Habit, 'group' | 'where'>, b: Pick<Habit, 'group' | 'where'>): boolean {
  return (a.group !== null && a.group === b.group) || (a.where !== null && a.where === b.where)
}

/** The case with just these habits on, all of the stay long; those that are on keep who takes part. */
export function withHabits(stayCase: StayCase, ids: readonly Id[]): StayCase {
  const now = stayCase.stay.habits
  const on = ids.map((habit) => ({
    habit,
    days: null,
    persons: now.find((one) => one.habit === habit)?.persons ?? null,
  }))
  return withStayHabits(stayCase, on)
}

function withStayHabits(stayCase: StayCase, habits: HabitOn[]): StayCase {
  return { ...stayCase, stay: { ...stayCase.stay, habits } }
}
