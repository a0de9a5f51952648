import { count } from '../count'
import { blockedBy, canApply, isOnFrom, switchHabit, todayOf, withHabits, type Blocked } from '../habits'
import { wallDaysBetween } from '../calendar'
import { compile, compileChances, found, type Habit, type Id, type Stay, type StayCase } from '../model'
import { asCount, playTrips, PLAN_ON, quantileSorted, samplerOf, type RiskTables } from '../risk'
import type { Days } from '../quantities'

/** Days of the average, and days to plan on; at the horizon where `isBeyond`. */
export interface Counts {
  days: Days
  planOn: Days
  isBeyond: boolean
}

/** What a habit buys, on the same trips with it and without it (common random numbers). */
export interface HabitWorth {
  habit: Id
  on: boolean
  blockedBy: Blocked | null
  /** In the stay as it stands: with it less without it. */
  days: Days
  planOn: Days
  /** The count with it lies beyond the horizon, so it may buy more. */
  atLeast: boolean
}

/** What a habit buys to plan on in other company: were it the only one on, and were it the last added to all that are free. */
export interface HabitCompany {
  habit: Id
  alone: Days
  last: Days
}

export interface WorthOptions {
  seed: number
  trials: number
  tables: RiskTables
}

/** Beyond this many times the stay nobody needs to know how much longer a habit lasts: it says 'at least'. */
const FAR = 2

/** The counts of a stay with other habits, each set played once however often it is asked for. */
function countsOf({ stay, now }: StayCase, options: WorthOptions): (changed: StayCase) => Counts {
  const stayDays = wallDaysBetween(now?.at ?? stay.start, stay.leaveAt)
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(FAR * stayDays + 4))
  const streams = options.tables.luck(options.seed, 0, options.trials)
  const known = new Map<string, Counts>()
  return (changed) => {
    const key = keyOf(changed.stay)
    const counts = known.get(key) ?? play(changed)
    known.set(key, counts)
    return counts
  }

  function play(changed: StayCase): Counts {
    const model = compile(changed, { horizonDays })
    const { days } = playTrips(samplerOf(model, compileChances(changed, model), options), streams)
    const planOn = asCount(quantileSorted(days.sort(), PLAN_ON), model.horizonDays)
    const average = count(model).days
    const isBeyond = average === null || planOn.isBeyond
    return { days: average ?? model.horizonDays, planOn: planOn.days, isBeyond }
  }
}

function keyOf({ habits }: Stay): string {
  return habits
    .map(({ habit, days }) => `${habit} ${days?.join() ?? ''}`)
    .sort()
    .join('|')
}

/**
 * What habits of the catalogue buy, one after the other so that they can be shown as they come.
 * @param ids which; a worker takes some of them
 */
export function* habitsWorth(
  stayCase: StayCase,
  ids: readonly Id[],
  options: WorthOptions,
): Generator<HabitWorth> {
  const { stay, rig, habits } = stayCase
  const counts = countsOf(stayCase, options)
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
      atLeast: withIt.isBeyond,
    }
  }
}

/** The same in other company. Last: beside every other free habit, of rivals the one that is on or else the first. */
export function* habitsCompany(
  stayCase: StayCase,
  ids: readonly Id[],
  options: WorthOptions,
): Generator<HabitCompany> {
  const counts = countsOf(stayCase, options)
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
