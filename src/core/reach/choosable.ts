import { blockedBy, canApply } from '../habits'
import type { Habit, Id, StayCase } from '../domain'

/** Habits that can be on in this rig and on this land. @param without those that these people will not take */
export function choosable({ stay, rig, crew, habits }: StayCase, without: readonly Id[]): Habit[] {
  return habits.filter(
    (habit) =>
      !without.includes(habit.id) && blockedBy(habit, rig, stay) === null && canApply(habit, rig, crew),
  )
}
