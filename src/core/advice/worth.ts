import { count } from '../count'
import { blockedBy, switchHabit, withHabits, type Blocked } from '../habits'
import { wallDaysBetween } from '../calendar'
import { compile, compileChances, found, type Document, type Id, type Stay } from '../model'
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
function countsOf(stay: Stay, options: WorthOptions): (document: Document) => Counts {
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(FAR * wallDaysBetween(stay.start, stay.leaveAt) + 4))
  const streams = options.tables.streams(options.seed, 0, options.trials)
  const known = new Map<string, Counts>()
  return (changed) => {
    const { habits } = found(changed.stays, stay.id, 'stay')
    const key = habits.map(({ habit, days }) => `${habit} ${days?.join() ?? ''}`).sort().join('|') // prettier-ignore
    const counts = known.get(key) ?? play(changed)
    known.set(key, counts)
    return counts
  }

  function play(changed: Document): Counts {
    const model = compile(changed, stay.id, { horizonDays })
    const sampler = samplerOf(model, compileChances(changed, stay.id, model), options)
    const { days } = playTrips(sampler, streams)
    const planOn = asCount(quantileSorted(days.sort(), PLAN_ON), model.horizonDays)
    const average = count(model).days
    return { days: average ?? model.horizonDays, planOn: planOn.days, isBeyond: average === null || planOn.isBeyond }
  }
} // prettier-ignore

/**
 * What habits of the document buy, one after the other so that they can be shown as they come.
 * @param habits which; a worker takes some of them
 */
export function* habitsWorth(document: Document, stayId: Id, habits: readonly Id[], options: WorthOptions): Generator<HabitWorth> {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  const counts = countsOf(stay, options)
  for (const id of habits) {
    const on = isOn(stay, id)
    const withIt = counts(on ? document : switchHabit(document, stayId, id, true))
    const without = counts(on ? switchHabit(document, stayId, id, false) : document)
    yield {
      habit: id,
      on,
      blockedBy: blockedBy(found(document.habits, id, 'habit'), rig, stay),
      days: withIt.days - without.days,
      planOn: withIt.planOn - without.planOn,
      atLeast: withIt.isBeyond,
    }
  }
} // prettier-ignore

/** The same in other company. Last: beside every other free habit, of rivals the one that is on or else the first. */
export function* habitsCompany(document: Document, stayId: Id, habits: readonly Id[], options: WorthOptions): Generator<HabitCompany> {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  const counts = countsOf(stay, options)
  const bare = withHabits(document, stayId, [])
  const free = document.habits.filter((habit) => blockedBy(habit, rig, stay) === null).map(({ id }) => id)
  const crowd = [...free.filter((id) => !isOn(stay, id)).reverse(), ...free.filter((id) => isOn(stay, id))]
  const everything = crowd.reduce((now, id) => switchHabit(now, stayId, id, true), bare)
  for (const id of habits) {
    const last = switchHabit(everything, stayId, id, true)
    yield {
      habit: id,
      alone: counts(switchHabit(bare, stayId, id, true)).planOn - counts(bare).planOn,
      last: counts(last).planOn - counts(switchHabit(last, stayId, id, false)).planOn,
    }
  }
} // prettier-ignore

function isOn({ habits }: Stay, id: Id): boolean {
  return habits.some(({ habit }) => habit === id)
}
