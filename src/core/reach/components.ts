import { areRivals } from '../habits'
import type { Habit, Id } from '../model'

/** Some habits of a component together; at most one of a group. */
export interface Combo {
  habits: Habit[]
  /** Sum of their bother. */
  bother: number
}

/** Habits that act on the same activities (or are rivals), directly or through others: what they do depends on each other. */
export interface Component {
  activities: Id[]
  /** Every allowed combination, the empty one first, by bother. */
  combos: Combo[]
}

/** Largest component that is searched whole: 2^12 combinations. */
export const MOST_IN_COMPONENT = 12

/** The activities whose uses, volumes or drains a habit changes; what it catches and reuses goes through its vessel. */
export function activitiesOf({ effects }: Habit): Id[] {
  return effects.filter(({ kind }) => kind !== 'catch' && kind !== 'reuse').map(({ activity }) => activity)
}

/**
 * Habits apart by what they act on: habits of different components never change what the others do, but for water
 * that a vessel passes on.
 * @param habits the first ones are kept where a component is too large @returns also the ones left out
 */
export function componentsOf(habits: readonly Habit[]): { components: Component[]; left: Habit[] } {
  const groups: Habit[][] = []
  for (const habit of habits) {
    const meets = groups.filter((group) => group.some((other) => isLinked(habit, other)))
    for (const group of meets) groups.splice(groups.indexOf(group), 1)
    groups.push([...meets.flat(), habit])
  }
  const kept = groups.map((group) => group.filter((habit) => place(group, habits, habit) < MOST_IN_COMPONENT))
  return {
    components: kept.map((group) => ({
      activities: [...new Set(group.flatMap(activitiesOf))],
      combos: combosOf(group).sort((a, b) => a.bother - b.bother),
    })),
    left: habits.filter((habit) => !kept.some((group) => group.includes(habit))),
  }
}

function place(group: readonly Habit[], habits: readonly Habit[], habit: Habit): number {
  return group.filter((other) => habits.indexOf(other) < habits.indexOf(habit)).length
}

function isLinked(a: Habit, b: Habit): boolean {
  if (areRivals(a, b)) return true
  const others = activitiesOf(b)
  return activitiesOf(a).some((activity) => others.includes(activity))
}

function combosOf(habits: readonly Habit[]): Combo[] {
  return habits.reduce<Combo[]>(
    (combos, habit) => [
      ...combos,
      ...combos
        .filter((combo) => combo.habits.every((other) => !areRivals(other, habit)))
        .map((combo) => ({ habits: [...combo.habits, habit], bother: combo.bother + habit.bother.value })),
    ],
    [{ habits: [], bother: 0 }],
  )
}
