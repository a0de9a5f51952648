import { wallDaysBetween } from '../calendar'
import { count } from '../count'
import { compile, compileChances } from '../compile'
import type { Stay, StayCase } from '../model'
import type { Days } from '../quantities'
import { asCount, playTrips, PLAN_ON, quantileSorted, samplerOf, type RiskTables } from '../risk'

/** Days of the average, and days to plan on; at the horizon where `isBeyond`. */
export interface Counts {
  days: Days
  planOn: Days
  isBeyond: boolean
}

export interface TripOptions {
  seed: number
  trials: number
  tables: RiskTables
}

/** Beyond this many times the stay nobody needs to know how much longer a habit lasts: it says 'at least'. */
const FAR = 2

/**
 * The counts of a stay with other habits or runs, on the same trips; each set is played once however often it is asked for.
 * @param base whose length says how far it is worth to look
 */
export function tripCounts({ stay, now }: StayCase, options: TripOptions): (changed: StayCase) => Counts {
  const stayDays = wallDaysBetween(now?.at ?? stay.start, stay.leaveAt)
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(FAR * Math.max(0, stayDays) + 4))
  const known = new Map<string, Counts>()
  return (changed) => {
    const key = keyOf(changed.stay)
    const counts = known.get(key) ?? countsOn(changed, horizonDays, options)
    known.set(key, counts)
    return counts
  }
}

/** The counts of one case on the trips of a seed. */
export function countsOn(
  stayCase: StayCase,
  horizonDays: Days,
  { seed, trials, tables }: TripOptions,
): Counts {
  const model = compile(stayCase, { horizonDays })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  const { days } = playTrips(sampler, tables.luck(seed, 0, trials))
  const planOn = asCount(quantileSorted(days.sort(), PLAN_ON), model.horizonDays)
  const average = count(model).days
  const isBeyond = average === null || planOn.isBeyond
  return { days: average ?? model.horizonDays, planOn: planOn.days, isBeyond }
}

function keyOf({ habits, runs }: Stay): string {
  const on = habits.map(({ habit, days }) => `${habit} ${days?.join() ?? ''}`).sort()
  return [...on, ...runs.map(({ id, day, part }) => `run ${id} ${day} ${part}`)].join('|')
}
