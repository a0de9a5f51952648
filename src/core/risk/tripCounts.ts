import { wallDaysBetween } from '../calendar'
import { countOf } from '../count'
import { compile, compileChances } from '../compile'
import type { Stay, StayCase } from '../domain'
import type { Days, Share } from '../quantities'
import { quantileSorted } from './quantile'
import { PLAN_ON } from './planOn'
import { asCount, chanceToLast } from './risk'
import { samplerOf } from './sampler'
import type { RiskTables } from './tables'
import { playTrips } from './trips'

/** What trips say of a case: days of the average and days to plan on (at the horizon where `isBeyond`), and of the stay itself. */
export interface Counts extends Held {
  days: Days
  planOn: Days
  isBeyond: boolean
}

/** How much of a stay its trips make: what offers of runs are measured by, since it does not leap (model.md section 7). */
export interface Held {
  /** Mean over trips of the days until the first breach, at most until the stay is left. */
  held: Days
  /** Chance that nothing is breached before the stay is left. */
  chance: Share
}

export interface TripOptions {
  seed: number
  trials: number
  tables: RiskTables
}

/** Beyond this many times the stay nobody needs to know how much longer a habit lasts: it says 'at least'. */
const FAR = 2

/** Days from where a case begins until its stay is left. */
export function untilLeft({ stay, now }: StayCase): Days {
  return Math.max(0, wallDaysBetween(now?.at ?? stay.start, stay.leaveAt))
}

/**
 * The counts of a stay with other habits or runs, on the same trips; each set is played once however often it is asked for.
 * @param base whose length says how far it is worth to look @param until days up to which what is held is measured
 */
export function tripCounts(
  base: StayCase,
  options: TripOptions,
  until: Days = untilLeft(base),
): (changed: StayCase) => Counts {
  const horizonDays = Math.min(base.stay.horizonDays.value, Math.ceil(FAR * untilLeft(base) + 4))
  const known = new Map<string, Counts>()
  return (changed) => {
    const key = keyOf(changed.stay)
    const counts = known.get(key) ?? countsOn(changed, horizonDays, options, until)
    known.set(key, counts)
    return counts
  }
}

/** The counts of one case on the trips of a seed. */
export function countsOn(
  stayCase: StayCase,
  horizonDays: Days,
  { seed, trials, tables }: TripOptions,
  until: Days = untilLeft(stayCase),
): Counts {
  const model = compile(stayCase, { horizonDays })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  const { days } = playTrips(sampler, tables.luck(seed, 0, trials))
  const held = heldIn(days, until)
  const planOn = asCount(quantileSorted(days.sort(), PLAN_ON), model.horizonDays)
  const average = countOf(model, sampler.ledger).days
  const isBeyond = average === null || planOn.isBeyond
  return { days: average ?? model.horizonDays, planOn: planOn.days, isBeyond, ...held }
}

/** A hair of a day: trips are looked at a little beyond the end. */
const BEYOND_D = 1e-3

/** How much of its stay a case makes, on the trips of a seed: they are played to its end and no farther. */
export function heldOn(
  stayCase: StayCase,
  { seed, trials, tables }: TripOptions,
  until: Days = untilLeft(stayCase),
): Held {
  const model = compile(stayCase, { horizonDays: Math.max(until, BEYOND_D) + BEYOND_D })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  return heldIn(playTrips(sampler, tables.luck(seed, 0, trials)).days, until)
}

/** @param days of each trip, in any order, infinite beyond what was looked at */
export function heldIn(days: ArrayLike<number>, until: Days): Held {
  let sum = 0
  for (let t = 0; t < days.length; t++) sum += Math.min(days[t]!, until)
  return { held: sum / days.length, chance: chanceToLast(days, until) }
}

function keyOf({ habits, runs }: Stay): string {
  const on = habits.map(({ habit, days }) => `${habit} ${days?.join() ?? ''}`).sort()
  return [...on, ...runs.map(({ id, day, part, place }) => `run ${id} ${day} ${part} ${place ?? ''}`)].join(
    '|',
  )
}
