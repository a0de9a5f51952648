import { addWallDays, dayZero, type WallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import type { Activity, Crew, Id, Stay } from '@/core/model'
import { countable } from '@/core/underway'

/** What can be logged by one tap, and how often it was today. */
export interface Key {
  activity: Activity
  isCounted: boolean
  /** Uses logged today; of an expected one what came on top. */
  today: number
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
  stay: Pick<Stay, 'counted'>,
  entries: readonly LogEntry[],
  now: WallTime,
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
      isLeftOut: made.get(activity.id)?.isLeftOut ?? false,
      letter: letter ?? '',
    }
  })
}

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
