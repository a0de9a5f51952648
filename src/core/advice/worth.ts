import { blockedBy, canApply, isOnFrom, switchHabit, todayOf, withHabits, type Blocked } from '../habits'
import { found, type Habit, type Id, type StayCase } from '../domain'
import type { Days, Share } from '../quantities'
import { tripCounts, type TripOptions } from '../risk'

/** What a habit buys, on the same trips with it and without it (common random numbers). */
export interface HabitWorth {
  habit: Id
  on: boolean
  blockedBy: Blocked | null
  /** In the stay as it stands: with it less without it. */
  days: Days
  planOn: Days
  /** Expected days held more, and the chance to make all nights with it: where runs are set these do not leap. */
  held: Days
  chance: Share
  /** The count with it lies beyond the horizon, so it may buy more. */
  atLeast: boolean
}

/** What a habit buys to plan on in other company: alone, and as the last one added to all habits without bother. */
export interface HabitCompany {
  habit: Id
  alone: Days
  last: Days
}

/**
 * What habits of the catalogue buy, one after the other so that they can be shown as they come.
 * @param ids which; a worker takes some of them
 */
export function* habitsWorth(
  stayCase: StayCase,
  ids: readonly Id[],
  options: TripOptions,
): Generator<HabitWorth> {
  const { stay, rig, habits } = stayCase
  const counts = tripCounts(stayCase, options)
  for (const id of ids) {
    const on = isOnFrom(stay.habits, id, todayOf(stayCase))
    const withIt = counts(on ? stayCase : switchHabit(stayCase, id, true))
    const without = counts(on ? switchHabit(stayCase, id, false) : stayCase)
    yield {
      habit: id,
      on,
      blockedBy: blockedBy(found(habits, id, 'habit'), rig, stay),
      days: withIt.days - without.days,
      planOn: withIt.planOn - without.planOn,
      held: withIt.held - without.held,
      chance: withIt.chance,
      atLeast: withIt.isBeyond,
    }
  }
}

/** The same in other company. Last: beside every other free habit, of rivals the one that is on or else the first. */
export function* habitsCompany(
  stayCase: StayCase,
  ids: readonly Id[],
  options: TripOptions,
): Generator<HabitCompany> {
  const counts = tripCounts(stayCase, options)
  const bare = withHabits(stayCase, [])
  const everything = freeHabits(stayCase).reduce((now, { id }) => switchHabit(now, id, true), bare)
  for (const id of ids) {
    const last = switchHabit(everything, id, true)
    yield {
      habit: id,
      alone: counts(switchHabit(bare, id, true)).planOn - counts(bare).planOn,
      last: counts(last).planOn - counts(switchHabit(last, id, false)).planOn,
    }
  }
}

/** Those that could be on, so that of rivals the last one to be switched on is the one that is on now, or else the first. */
function freeHabits(stayCase: StayCase): Habit[] {
  const { stay, rig, crew, habits } = stayCase
  const isOn = ({ id }: Habit) => isOnFrom(stay.habits, id, todayOf(stayCase))
  const free = habits.filter((habit) => blockedBy(habit, rig, stay) === null && canApply(habit, rig, crew))
  return [...free.filter((habit) => !isOn(habit)).reverse(), ...free.filter(isOn)]
}
