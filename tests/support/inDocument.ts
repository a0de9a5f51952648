import { switchHabit, withHabits } from '@/core/habits'
import { caseOf, type Document, type Id, type Stay } from '@/core/domain'

/** The document with its stay as a case has it. */
function withStay(document: Document, stay: Stay): Document {
  return { ...document, stays: document.stays.map((one) => (one.id === stay.id ? stay : one)) }
}

/** `switchHabit` of the core, for a whole document. */
export function switchHabitIn(
  document: Document,
  stayId: Id,
  habit: Id,
  on: boolean,
  days: [number, number] | null = null,
): Document {
  return withStay(document, switchHabit(caseOf(document, stayId), habit, on, days).stay)
}

/** `withHabits` of the core, for a whole document. */
export function withHabitsIn(document: Document, stayId: Id, habits: readonly Id[]): Document {
  return withStay(document, withHabits(caseOf(document, stayId), habits).stay)
}
