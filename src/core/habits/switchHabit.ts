import { found, type Document, type HabitOn, type Id } from '../model'

/**
 * The document with a habit of a stay on or off. Switching one on replaces its rival of the same group
 * (model.md section 4). The input is not changed.
 * @param days day numbers, both ends included; null: the whole stay
 */
export function switchHabit(
  document: Document,
  stayId: Id,
  habitId: Id,
  on: boolean,
  days: [number, number] | null = null,
): Document {
  const stays = document.stays.map((stay) =>
    stay.id === stayId ? { ...stay, habits: switched(document, stay.habits, habitId, on, days) } : stay,
  )
  return { ...document, stays }
}

/** The same, for the list of habits that are on. */
export function switched(
  document: Pick<Document, 'habits'>,
  habitsOn: readonly HabitOn[],
  habitId: Id,
  on: boolean,
  days: [number, number] | null = null,
): HabitOn[] {
  const others = habitsOn.filter(({ habit }) => habit !== habitId)
  if (!on) return others
  const { group } = found(document.habits, habitId, 'habit')
  const isRival = (id: Id) => group !== null && found(document.habits, id, 'habit').group === group
  return [...others.filter(({ habit }) => !isRival(habit)), { habit: habitId, days }]
}

/** The document with just these habits on in a stay, all of it long. */
export function withHabits(document: Document, stayId: Id, habits: readonly Id[]): Document {
  const on = habits.map((habit) => ({ habit, days: null }))
  const stays = document.stays.map((stay) => (stay.id === stayId ? { ...stay, habits: on } : stay))
  return { ...document, stays }
}
