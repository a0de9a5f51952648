import { wallDaysBetween, type WallTime } from '../calendar'
import { ledger } from '../count'
import {
  inTime,
  learn,
  nowFrom,
  ownFactor,
  rateFactor,
  trackOf,
  type ActivityLearned,
  type Agreement,
  type Blur,
  type Evidence,
  type Learned,
  type LevelNow,
  type OwnPrior,
  type Track,
} from '../learn'
import {
  completenessOf,
  countedThroughout,
  EACH_AT_FIRST,
  evidenceOf,
  happened,
  type Completeness,
  type LogEntry,
} from '../log'
import { compile, type Model } from '../compile'
import type { Activity, Id, Now, StayCase } from '../domain'
import type { Cv, Days, Factor, Share } from '../quantities'
import { leftToday } from './doneToday'
import { asPutIn, usesMade } from './made'
import { endOf } from './phase'

/** Days of a season, and by how much a crew may have changed in one: a coefficient of variation (assumed). */
const SEASON_DAYS = 91
const CHANGE_A_SEASON = 0.04
/** The model that is learned on reaches a little beyond now. */
const MARGIN_DAYS = 1

/** A stay and what was logged of it. */
export interface Logged {
  stayCase: StayCase
  log: readonly LogEntry[]
}

export interface LearnRequest extends Logged {
  /** Up to when: now, or when the stay ended. */
  at: WallTime
  /** Stays of the same rig and crew before this one, in any order. */
  earlier: readonly Logged[]
  seed: number
}

/** What a stay's log and panel say by a moment of it; arrays in the model's order. */
export interface StayLearned {
  at: WallTime
  /** What the count goes on from; own factors of its draws are over `factors`. */
  now: Now
  /** By activity: what the litres of a use are times, over what was put in, how often it is done included. */
  factors: Factor[]
  activities: ActivityLearned[]
  levels: LevelNow[]
  isSuspect: boolean[]
  agreements: Agreement[]
  next: Blur[]
  /** How sure a day's draw is, a coefficient of variation. */
  daySpread: Cv
  track: Track
  /** By activity: uses that were logged, of this stay and the earlier ones that count. */
  entries: number[]
  /** By activity: how complete the log is; null: nothing of it was logged, or all of it was counted. */
  completeness: (Completeness | null)[]
  /** By activity: uses that are believed to have been made by then, logged or not; of one that was not logged, as expected. */
  made: number[]
}

/** Learns of a stay from its log, on what the stays before it taught. */
export function learnStay({ stayCase, log, earlier, at, seed }: LearnRequest): StayLearned {
  const { base, priors, entries, each } = priorsOf(stayCase, earlier)
  const days = wallDaysBetween(stayCase.stay.start, at)
  const { model, evidence, learned, completeness } = learnedBy(base, log, days, priors, each)
  const { filter, ground, activities, levels, isSuspect, agreements, next, daySpread } = learned
  const factors = base.crew.activities.map(
    (_, a) => filter.state.mean[ownFactor(a)]! * filter.state.mean[rateFactor(ground, a)]!,
  )
  return {
    at,
    now: {
      ...over(factors, nowFrom(model, ledger(model), learned, at, seed)),
      today: leftToday(base, model, log, at, completeness),
    },
    factors,
    activities,
    levels,
    isSuspect,
    agreements,
    next,
    daySpread,
    track: trackOf(learned, evidence, days),
    entries: activities.map(({ logged }, a) => logged + entries[a]!),
    completeness,
    made: usesMade(base, model, log, at, completeness),
  }
}

function learnedBy(
  base: StayCase,
  log: readonly LogEntry[],
  days: Days,
  priors: ReadonlyMap<Id, OwnPrior>,
  each: ReadonlyMap<Id, Share>,
): { model: Model; evidence: Evidence[]; learned: Learned; completeness: (Completeness | null)[] } {
  const lived = { ...base, stay: { ...base.stay, runs: happened(log, base) } }
  const model = compile(lived, { horizonDays: days + MARGIN_DAYS, runsHappened: true })
  const counted = countedThroughout(base.stay)
  const completeness = completenessOf(base, model, log, { until: days, priors: each }).map((one, a) =>
    counted.has(base.crew.activities[a]!.id) ? null : one,
  )
  const evidence = inTime(evidenceOf(log, base, model, counted, completeness, days))
  const learned = learn(base, model, evidence, { counted, until: days, priors })
  return { model, evidence, learned, completeness }
}

/**
 * What is believed before a stay: what was taken over before it began, else what was put in, and then what every stay since
 * has taught, a little less sure for each season between.
 * @returns also the case in the numbers that were put in: own factors are over those
 */
export function priorsOf(
  stayCase: StayCase,
  earlier: readonly Logged[],
): { base: StayCase; priors: Map<Id, OwnPrior>; entries: number[]; each: Map<Id, Share> } {
  const { start } = stayCase.stay
  const takenOver = (activity: Activity) =>
    activity.learned && activity.learned.upTo.slice(0, start.length) < start ? activity.learned : null
  const { activities } = stayCase.crew
  const priors = new Map<Id, OwnPrior>()
  const since = new Map<Id, WallTime>()
  const entries = activities.map((activity) => takenOver(activity)?.entries ?? 0)
  for (const activity of activities) {
    const taken = takenOver(activity)
    if (!taken) continue
    priors.set(activity.id, taken)
    since.set(activity.id, taken.upTo.slice(0, start.length))
  }
  const seen = new Map<Id, Share[]>()
  const before = earlier
    .filter(({ stayCase: { stay }, log }) => stay.start < start && log.length > 0)
    .sort((a, b) => (a.stayCase.stay.start < b.stayCase.stay.start ? -1 : 1))
  for (const { stayCase: past, log } of before) {
    const end = endOf(past.stay, log)
    const days = wallDaysBetween(past.stay.start, end)
    if (days <= 0) continue
    // What was taken over in the middle of it, or later, is no prior for it: that rests on its own log.
    const isPrior = (id: Id) => (since.get(id) ?? '') <= past.stay.start
    const known = widened(new Map([...priors].filter(([id]) => isPrior(id))), since, past.stay.start)
    const { learned, completeness } = learnedBy(asPutIn(past), log, days, known, eachOf(seen))
    completeness.forEach((one, a) => {
      const { id } = past.crew.activities[a]!
      if (one) seen.set(id, [...(seen.get(id) ?? []), 1 - one.some])
    })
    const untilTaken = untilTakenOf(past, log, known, eachOf(seen))
    past.crew.activities.forEach(({ id }, a) => {
      const own = learned.activities[a]!
      const place = activities.findIndex((activity) => activity.id === id)
      const taken = since.get(id) ?? ''
      if (place < 0 || (own.logged === 0 && own.cut === 0) || taken >= end) return
      const upTo = activities[place]!.learned?.upTo ?? taken
      const half = taken > past.stay.start ? untilTaken(upTo)[a]! : null
      priors.set(
        id,
        half ? withSince(priors.get(id)!, own, half) : { factor: own.factor, spread: own.spread },
      )
      since.set(id, end)
      entries[place]! += own.logged - (half?.logged ?? 0)
    })
  }
  return { base: asPutIn(stayCase), priors: widened(priors, since, start), entries, each: eachOf(seen) }
}

/** What a stay had taught by the times at which numbers were taken over in it. */
function untilTakenOf(
  past: StayCase,
  log: readonly LogEntry[],
  priors: ReadonlyMap<Id, OwnPrior>,
  each: ReadonlyMap<Id, Share>,
) {
  const known = new Map<string, ActivityLearned[]>()
  return (taken: string): ActivityLearned[] => {
    const told = known.get(taken)
    if (told) return told
    const before = log.filter(({ utc }) => utc <= taken)
    const last = before.reduce((latest, { at }) => (at > latest ? at : latest), past.stay.start)
    const days = Math.max(MARGIN_DAYS / 24, wallDaysBetween(past.stay.start, last))
    const { activities } = learnedBy(asPutIn(past), before, days, priors, each).learned
    known.set(taken, activities)
    return activities
  }
}

/**
 * What was taken over in the middle of a stay, with what the rest of that stay taught: what the whole of it says, less what it
 * had said by then, as precisions of a normal.
 */
function withSince(taken: OwnPrior, whole: ActivityLearned, half: ActivityLearned): OwnPrior {
  const precision = ({ factor, spread }: { factor: Factor; spread: Cv }) => 1 / (factor * spread) ** 2
  const [all, then, before] = [precision(whole), precision(half), precision(taken)]
  if (!(all > then) || !Number.isFinite(all + before)) return taken
  const total = before + all - then
  const factor = (taken.factor * before + whole.factor * all - half.factor * then) / total
  return factor > 0 ? { factor, spread: 1 / Math.sqrt(total) / factor } : taken
}

/** How many stays the assumption counts as. */
const ASSUMED_STAYS = 2
/** Nobody is ever quite sure. */
const SUREST = 0.98

/** Prior that each use is logged: what is assumed at first, with what the stays before were taken for. */
function eachOf(seen: ReadonlyMap<Id, readonly Share[]>): Map<Id, Share> {
  return new Map(
    [...seen].map(([id, shares]) => {
      const sum = shares.reduce((all, one) => all + one, ASSUMED_STAYS * EACH_AT_FIRST)
      return [id, Math.min(SUREST, Math.max(1 - SUREST, sum / (shares.length + ASSUMED_STAYS)))]
    }),
  )
}

function widened(
  priors: ReadonlyMap<Id, OwnPrior>,
  since: ReadonlyMap<Id, WallTime>,
  until: WallTime,
): Map<Id, OwnPrior> {
  return new Map(
    [...priors].map(([id, { factor, spread }]) => {
      const seasons = Math.max(0, Math.floor(wallDaysBetween(since.get(id) ?? until, until) / SEASON_DAYS))
      return [id, { factor, spread: Math.hypot(spread, CHANGE_A_SEASON * Math.sqrt(seasons)) }]
    }),
  )
}

/** Draws of own factors over the factors that the model's litres have already. */
function over(factors: readonly Factor[], now: Now): Now {
  if (!now.draws) return now
  const { rows, columns, values } = now.draws
  for (let row = 0; row < rows; row++) factors.forEach((factor, a) => (values[row * columns + a]! /= factor))
  return now
}
