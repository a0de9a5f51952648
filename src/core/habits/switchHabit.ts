import { dayAndPartOf, type DayNumber } from '../calendar'
import type { Habit, HabitOn, Id, StayCase } from '../domain'
import { found } from '../domain'

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
  const { habits, stay } = stayCase
  return withStayHabits(stayCase, switched(habits, stay.habits, habitId, on, days, todayOf(stayCase)))
}

/**
 * The same, for the list of habits that are on. Who takes part stays as it was.
 * @param today the day of a stay under way: the days that were lived keep their habits
 */
export function switched(
  habits: readonly Habit[],
  habitsOn: readonly HabitOn[],
  habitId: Id,
  on: boolean,
  days: [number, number] | null = null,
  today: DayNumber = 0,
): HabitOn[] {
  const others = habitsOn.filter(({ habit }) => habit !== habitId)
  const known = habitsOn.find(({ habit }) => habit === habitId)
  if (!on) return known ? [...others, ...ended(known, today)] : others
  const habit = found(habits, habitId, 'habit')
  const free = others.flatMap((one) =>
    areRivals(habit, found(habits, one.habit, 'habit')) ? ended(one, today) : [one],
  )
  return [...free, { habit: habitId, days: days ?? from(known, today), persons: known?.persons ?? null }]
}

/** Farther than any stay may last. */
const LAST_DAY = 366

/** A habit up to the day before; nothing is left of one that had not begun. */
function ended(on: HabitOn, today: DayNumber): HabitOn[] {
  const [first, last] = on.days ?? [0, LAST_DAY]
  return first < today ? [{ ...on, days: [first, Math.min(last, today - 1)] }] : []
}

/** From today on; one that was on before goes on. */
function from(known: HabitOn | undefined, today: DayNumber): [number, number] | null {
  if (today === 0) return null
  return [known ? Math.min(known.days?.[0] ?? 0, today) : today, LAST_DAY]
}

/** Whether a habit is on from a day onwards; one that has ended is not. */
export function isOnFrom(habitsOn: readonly HabitOn[], habitId: Id, today: DayNumber): boolean {
  return habitsOn.some(({ habit, days }) => habit === habitId && (days === null || days[1] >= today))
}

/** The day a case begins on: 0, or of a stay under way today's. */
export function todayOf({ stay, now }: StayCase): DayNumber {
  return now ? dayAndPartOf(stay.start, now.at).day : 0
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
