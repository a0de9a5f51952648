import { wallDaysBetween } from '../calendar'
import { count } from '../count'
import { compile, compileChances, type Chances } from '../compile'
import type { Id, StayCase } from '../domain'
import { chanceToLast, playTrips, quantileSorted, samplerOf, type RiskTables } from '../risk'
import type { Days, Share } from '../quantities'
import type { Goal } from './goal'

/** Whether a case holds up to an instant, in how many trips, and what fails in the others. */
export interface Held {
  chance: Share
  /** Containers that fail before it, most trips first. */
  failing: { container: Id; share: Share }[]
  /** Days that as many trips as are wanted last; null: beyond the instant that was asked about. */
  lasts: Days | null
}

export interface TripOptions {
  seed: number
  trials: number
  tables: RiskTables
}

/** A hair beyond the instant, so that what is asked about lies within the horizon. */
const BEYOND_D = 0.3

/** Whether a case that is the same in all trips holds by its ledger alone: then one trip is enough. */
export function isCertain({ activities, containers, warmestSpread, draws }: Chances): boolean {
  return (
    draws === null &&
    warmestSpread === 0 &&
    activities.every(({ exact, spread, levelSpread }) => exact && spread === 0 && levelSpread === 0) &&
    containers.every(({ spread, starts }) => spread === 0 && starts.every(({ size }) => size === 0))
  )
}

/** @param until not before the case begins @param confidence share of trips that are to hold */
export function heldUntil(
  stayCase: StayCase,
  { at: until, confidence }: Pick<Goal, 'at' | 'confidence'>,
  options: TripOptions,
): Held {
  const days = wallDaysBetween(stayCase.now?.at ?? stayCase.stay.start, until)
  const model = compile(stayCase, { horizonDays: days + BEYOND_D })
  const chances = compileChances(stayCase, model)
  if (isCertain(chances)) {
    const counted = count(model)
    const holds = counted.days === null || counted.days >= days
    const failing = holds ? [] : [{ container: counted.stopper!, share: 1 }]
    return { chance: holds ? 1 : 0, failing, lasts: holds ? null : counted.days }
  }
  const trips = options.tables.luck(options.seed, 0, options.trials)
  const ends = playTrips(samplerOf(model, chances, { tables: options.tables }), trips)
  const failed = model.containers.map(() => 0)
  ends.days.forEach((end, trip) => {
    if (end < days) failed[ends.stopper[trip]!]! += 1
  })
  return {
    chance: chanceToLast(ends.days, days),
    failing: failed
      .map((n, c) => ({ container: model.containers[c]!.id, share: n / options.trials }))
      .filter(({ share }) => share > 0)
      .sort((a, b) => b.share - a.share),
    lasts: finite(quantileSorted(ends.days.slice().sort(), 1 - confidence)),
  }
}

const finite = (days: Days) => (Number.isFinite(days) ? days : null)
