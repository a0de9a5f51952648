import { PARTS, PARTS_PER_DAY, dayAndPartOf, type WallTime } from '../calendar'
import { standing, type LogEntry, type UseEntry } from '../log'
import { isAwayOn, type Activity, type Id, type Now, type Person, type StayCase } from '../model'
import type { Share } from '../quantities'

/** Somebody who does something at most once a day. */
interface Unit {
  person: Id | null
  /** Chance of a day. */
  p: Share
}

/**
 * What is left today of what is counted and done at most once a day (model.md section 6): whoever has done it does not do it
 * again, and whoever has not has the chance of the parts that remain: p·w ÷ (1 − p·w′), w the share of the day's weights that
 * is to come and w′ what is gone.
 * @returns by activity, what its uses of the rest of today are times
 */
export function leftToday(
  stayCase: StayCase,
  log: readonly LogEntry[],
  at: WallTime,
): NonNullable<Now['today']> {
  const { stay, crew } = stayCase
  const { day } = dayAndPartOf(stay.start, at)
  const today = standing(log).filter(
    (entry): entry is UseEntry & LogEntry =>
      entry.kind === 'use' && entry.stay === stay.id && dayAndPartOf(stay.start, entry.at).day === day,
  )
  const counted = new Set(
    stay.counted
      .filter(({ from, until }) => until === null && dayAndPartOf(stay.start, from).day <= day)
      .map(({ activity }) => activity),
  )
  return crew.activities.flatMap((activity) => {
    if (!counted.has(activity.id) || activity.dispersion === 0) return []
    const units = unitsOf(activity, crew.persons, stayCase, day)
    if (units.length === 0 || units.some(({ p }) => p > 1)) return []
    const made = today.filter(({ activity: id }) => id === activity.id)
    return [{ activity: activity.id, factor: factorOf(units, made, goneOf(activity, stay.start, at)) }]
  })
}

function unitsOf(activity: Activity, persons: readonly Person[], { stay }: StayCase, day: number): Unit[] {
  const { id, per, rate } = activity
  if (per === 'crew') return [{ person: null, p: rate.value }]
  const isThere = ({ id: person }: Person) =>
    !PARTS.every((part) =>
      stay.absences.some((one) => one.person === person && one.part === part && isAwayOn(one, stay, day)),
    )
  return persons
    .filter(isThere)
    .map(({ id: person, rates }) => ({
      person,
      p: rates.find((own) => own.activity === id)?.rate.value ?? rate.value,
    }))
    .filter(({ p }) => p > 0)
}

/** Share of the day's weights that lies before now. */
function goneOf({ weights }: Activity, start: WallTime, at: WallTime): Share {
  const { part } = dayAndPartOf(start, at)
  const minutes = (Number(at.slice(11, 13)) * 60 + Number(at.slice(14)) - 5 * 60 + 1440) % 1440
  const within = minutes / (1440 / PARTS_PER_DAY) - part
  return weights.values.reduce((sum, w, k) => sum + (k < part ? w : k === part ? w * within : 0), 0)
}

function factorOf(units: readonly Unit[], made: readonly UseEntry[], gone: Share): number {
  const done = new Set(made.flatMap(({ person, n }) => (n > 0 && person !== null ? [person] : [])))
  const isNot = made.some(({ n }) => n === 0)
  /** Uses of nobody in particular: of those who have not done it yet, in the crew's order. */
  let nameless = made.reduce((sum, { person, n }) => sum + (person === null ? n : 0), 0)
  let [left, usual] = [0, 0]
  for (const { person, p } of units) {
    usual += p
    if (isNot || (person !== null && done.has(person))) continue
    if (nameless > 0) {
      nameless -= 1
      continue
    }
    left += p / (1 - p * gone)
  }
  return usual > 0 ? left / usual : 1
}
