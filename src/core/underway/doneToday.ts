import { PARTS_PER_DAY, dayZero, wallDaysBetween, type WallTime } from '../calendar'
import { partAt } from '../count'
import { standing, type Completeness, type LogEntry, type UseEntry } from '../log'
import type { Model } from '../compile'
import type { Activity, Crew, Id, Now, Stay } from '../domain'
import type { Share } from '../quantities'

/** Somebody who does something at most once a day. */
interface Unit {
  person: Id | null
  /** Chance of a day. */
  p: Share
}

/**
 * What is left today of what is counted or was logged today and done at most once a day (model.md section 6): who has done it does not do it
 * again, and one who has not has the chance of the parts that remain: p·w ÷ (1 − p·w′), w the share of the day's weights that
 * is to come and w′ what is gone. Of what is counted only since some time of today nothing is known before it.
 * @param model the stay compiled from its start, beyond now
 * @returns by activity, what its uses of the rest of today are times
 */
export function leftToday(
  { stay, crew }: { stay: Stay; crew: Crew },
  model: Model,
  log: readonly LogEntry[],
  at: WallTime,
  completeness: readonly (Completeness | null)[] = [],
): NonNullable<Now['today']> {
  const begins = dayZero(at) < stay.start ? stay.start : dayZero(at)
  const today = standing(log).filter(
    (entry): entry is UseEntry & LogEntry =>
      entry.kind === 'use' && entry.stay === stay.id && entry.at >= begins && entry.at <= at,
  )
  const isCounted = ({ id }: Activity) =>
    stay.counted.some(({ activity, from, until }) => activity === id && until === null && from <= begins)
  return crew.activities.flatMap((activity, a) => {
    const known = completeness[a] ?? null
    const isKnown = isCounted(activity) || known !== null
    if (!isKnown || activity.dispersion === 0) return []
    const units = unitsOf(activity, crew, model, at)
    if (units.length === 0 || units.some(({ p }) => p > 1)) return []
    const made = today.filter(({ activity: id, isExtra }) => id === activity.id && isExtra !== true)
    const sure = isCounted(activity) ? 1 : known!.each
    return [{ activity: activity.id, factor: factorOf(units, made, goneOf(activity, model, at), sure) }]
  })
}

/** Those who are there now. */
function unitsOf({ id, per, rate }: Activity, { persons }: Crew, model: Model, at: WallTime): Unit[] {
  if (per === 'crew') return [{ person: null, p: rate.value }]
  const { group, groups } = model.here
  const here = groups[group[partNow(model, at)]!]!
  return persons
    .filter((_, k) => here[k])
    .map(({ id: person, rates }) => ({
      person,
      p: rates.find((own) => own.activity === id)?.rate.value ?? rate.value,
    }))
    .filter(({ p }) => p > 0)
}

const partNow = (model: Model, at: WallTime) => partAt(model, wallDaysBetween(model.start, at))

/** Share of the day's weights that lies before now. */
function goneOf({ weights }: Activity, model: Model, at: WallTime): Share {
  const { edges, part } = model.grid
  const now = partNow(model, at)
  const within = 1 - PARTS_PER_DAY * (edges[now + 1]! - wallDaysBetween(model.start, at))
  return weights.values.reduce(
    (sum, weight, k) => sum + weight * (k < part[now]! ? 1 : k === part[now]! ? within : 0),
    0,
  )
}

/** A chance that is all but over has nothing left to come. */
const OVER = 1e-9

/** @param sure chance that a person who did it today has logged it: else they may have done it, or have the day's chance still */
function factorOf(units: readonly Unit[], made: readonly UseEntry[], gone: Share, sure: Share): number {
  const done = new Set(made.flatMap(({ person, n }) => (n > 0 && person !== null ? [person] : [])))
  const isNot = made.some(({ n }) => n === 0)
  /** Uses of nobody in particular: of those who have not done it yet, in the crew's order. */
  let nameless = made.reduce((sum, { person, n }) => sum + (person === null ? n : 0), 0)
  let [left, usual] = [0, 0]
  for (const { person, p } of units) {
    usual += p
    if (isNot || (person !== null && done.has(person))) continue
    if (nameless > 0) nameless -= 1
    else if (1 - p * gone > OVER) left += p * (sure / (1 - p * gone) + (1 - sure))
  }
  return usual > 0 ? left / usual : 1
}
