import { areRivals } from '../habits'
import type { Habit, Id } from '../domain'

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

/** Largest component that is searched whole, in combinations. */
export const MOST_COMBOS = 1024

/** The activities whose uses, volumes or drains a habit changes; what it catches and reuses goes through its vessel. */
export function activitiesOf({ effects }: Habit): Id[] {
  return effects.filter(({ kind }) => kind !== 'catch' && kind !== 'reuse').map(({ activity }) => activity)
}

/**
 * Habits apart by what they act on: habits of different components never change what the others do, but for water
 * that a vessel passes on.
 * @param habits the first ones are kept where a component is too large
 * @param always habits that are on in every combination, at no bother of it
 * @returns also the ones left out
 */
export function componentsOf(
  habits: readonly Habit[],
  always: readonly Habit[] = [],
): { components: Component[]; left: Habit[] } {
  const groups = groupsOf(habits).map((group) => kept(habits.filter((habit) => group.includes(habit))))
  return {
    components: groups.map((group) => ({
      activities: [...new Set(group.flatMap(activitiesOf))],
      combos: combosOf(group, always).sort((a, b) => a.bother - b.bother),
    })),
    left: habits.filter((habit) => !groups.some((group) => group.includes(habit))),
  }
}

function groupsOf(habits: readonly Habit[]): Habit[][] {
  const groups: Habit[][] = []
  for (const habit of habits) {
    const meets = groups.filter((group) => group.some((other) => isLinked(habit, other)))
    for (const group of meets) groups.splice(groups.indexOf(group), 1)
    groups.push([...meets.flat(), habit])
  }
  return groups
}

/** As many of a group as can be searched whole. */
function kept(group: readonly Habit[]): Habit[] {
  return group.reduce<Habit[]>((own, habit) => {
    const more = [...own, habit]
    return combosOf(more, []).length <= MOST_COMBOS ? more : own
  }, [])
}

/** Habits on each side of a hinge from which it is worth to search with it on and with it off. */
const LEAST_SIDE = 3
const MOST_HINGES = 2

/**
 * Habits that tie together what else could be searched apart, as a meal out ties the dishes to the toilet: the search
 * is made with each of them on and off, and both times what is left falls into small components.
 */
export function hingesOf(habits: readonly Habit[]): Habit[] {
  const isHinge = (habit: Habit) => {
    const sides = groupsOf(habits.filter((other) => other !== habit)).filter((group) =>
      group.some((other) => isLinked(habit, other)),
    )
    return habit.vessel === null && sides.filter((side) => side.length >= LEAST_SIDE).length > 1
  }
  return habits.filter(isHinge).slice(0, MOST_HINGES)
}

function isLinked(a: Habit, b: Habit): boolean {
  if (areRivals(a, b)) return true
  const others = activitiesOf(b)
  return activitiesOf(a).some((activity) => others.includes(activity))
}

function combosOf(habits: readonly Habit[], always: readonly Habit[]): Combo[] {
  return habits.reduce<Combo[]>(
    (combos, habit) => [
      ...combos,
      ...combos
        .filter((combo) => combo.habits.every((other) => !areRivals(other, habit)))
        .map((combo) => ({ habits: [...combo.habits, habit], bother: combo.bother + habit.bother.value })),
    ],
    [{ habits: [...always], bother: 0 }],
  )
}
