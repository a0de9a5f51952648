import {
  PARTS_PER_DAY,
  addWallDays,
  dayZero,
  slotNumber,
  slotOfTime,
  wallDaysBetween,
  type WallTime,
} from '@/core/calendar'
import type { Completeness, LogEntry } from '@/core/log'
import type { Activity, Crew, Id, Stay } from '@/core/domain'
import { countable } from '@/core/underway'

/** What can be logged by one tap, and how often it was today. */
export interface Key {
  activity: Activity
  isCounted: boolean
  /** Uses logged today. */
  today: number
  /** Uses of today that were probably made and not logged; null: nothing of it was logged, and all is as usual. */
  unlogged: number | null
  isLeftOut: boolean
  /** Its single key; empty where all its letters are taken. */
  letter: string
}

/** 'p' reads the panel, 'e' is for everything else. */
const TAKEN = ['p', 'e']

export function isCountedNow({ counted }: Pick<Stay, 'counted'>, id: Id): boolean {
  return counted.some(({ activity, until }) => activity === id && until === null)
}

/** Counted ones first, then what draws most in a day; what is drunk is counted only where the owner said so. */
export function logKeys(
  crew: Crew,
  stay: Pick<Stay, 'counted' | 'start'>,
  entries: readonly LogEntry[],
  now: WallTime,
  known: readonly (Pick<Completeness, 'unlogged'> | null)[] = [],
): Key[] {
  const made = madeToday(entries, now)
  const letters = new Set(TAKEN)
  const all = countable(crew).filter(({ id, kind }) => kind !== 'drinking' || isCountedNow(stay, id))
  const [counted, expected] = [true, false].map((is) => all.filter(({ id }) => isCountedNow(stay, id) === is))
  return [...counted!, ...expected!].map((activity) => {
    const letter = activity.name
      .toLowerCase()
      .match(/[a-z]/g)
      ?.find((one) => !letters.has(one))
    if (letter !== undefined) letters.add(letter)
    return {
      activity,
      isCounted: isCountedNow(stay, activity.id),
      today: made.get(activity.id)?.n ?? 0,
      unlogged: unloggedToday(known[crew.activities.indexOf(activity)] ?? null, stay, now),
      isLeftOut: made.get(activity.id)?.isLeftOut ?? false,
      letter: letter ?? '',
    }
  })
}

/** Of the parts of today that have begun. */
function unloggedToday(
  known: Pick<Completeness, 'unlogged'> | null,
  { start }: Pick<Stay, 'start'>,
  now: WallTime,
): number | null {
  if (!known) return null
  const first = slotNumber(slotOfTime(start, start))
  const { day } = slotOfTime(start, now)
  const from = Math.max(0, day * PARTS_PER_DAY - first)
  return known.unlogged.slice(from, from + PARTS_PER_DAY).reduce((sum, one) => sum + one, 0)
}

/** When something was logged last, where that was long ago; null: not so long. */
export function silentSince(entries: readonly LogEntry[], now: WallTime): WallTime | null {
  const last = entries.findLast((entry) => entry.kind === 'use' && entry.at <= now)
  return last && wallDaysBetween(last.at, now) * 24 >= SILENT_HOURS ? last.at : null
}
/** Longer than a night. */
const SILENT_HOURS = 16

/** Uses of today, by activity: how many, and whether it was said that there were none. */
function madeToday(entries: readonly LogEntry[], now: WallTime): Map<Id, { n: number; isLeftOut: boolean }> {
  const begins = dayZero(now)
  const ends = addWallDays(begins, 1)
  const made = new Map<Id, { n: number; isLeftOut: boolean }>()
  for (const entry of entries) {
    if (entry.kind !== 'use' || entry.at < begins || entry.at >= ends) continue
    const { n, isLeftOut } = made.get(entry.activity) ?? { n: 0, isLeftOut: false }
    made.set(entry.activity, { n: n + entry.n, isLeftOut: isLeftOut || entry.n === 0 })
  }
  return made
}

const EVENING_HOURS = 15
/** When uses of a day are taken to have been where only their number is known: its evening, or now, and never before the stay. */
export function eveningOf(start: WallTime, day: number, now: WallTime): WallTime {
  const evening = addWallDays(dayZero(start), day + EVENING_HOURS / 24)
  const latest = evening < now ? evening : now
  return latest < start ? start : latest
}
