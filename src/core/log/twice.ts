import { dayAndPartOf, wallMinutes } from '../calendar'
import type { Id, Stay } from '../domain'
import { standing, type LogEntry, type UseEntry } from './entry'

/** The same use by two people, or on two devices, is put in within this time, minutes (assumed). */
const WITHIN_MIN = 20
/** So much of a day's entries comes in pairs where everything is logged twice, and no fewer pairs than this. */
const SHARE = 0.8
const FEWEST = 3
/** Days on end after which it is asked. */
const DAYS = 2

type Use = LogEntry & UseEntry

/**
 * Whether somebody logs everything twice: on each of the last two days with uses, nearly all of them come in pairs, of the same
 * activity and number within twenty minutes.
 * @returns ids of the second of each pair, in the order of time; empty where it is not so
 */
export function loggedTwice(log: readonly LogEntry[], { id, start }: Pick<Stay, 'id' | 'start'>): Id[] {
  const uses = standing(log).filter(
    (entry): entry is Use => entry.kind === 'use' && entry.stay === id && entry.n > 0,
  )
  const days = new Map<number, Use[]>()
  for (const use of uses) {
    const { day } = dayAndPartOf(start, use.at)
    days.set(day, [...(days.get(day) ?? []), use])
  }
  const last = [...days.keys()].sort((a, b) => a - b).slice(-DAYS)
  const pairs = last.map((day) => secondsOf(days.get(day)!))
  const isTwice = (seconds: readonly Id[], k: number) =>
    seconds.length >= FEWEST && 2 * seconds.length >= SHARE * days.get(last[k]!)!.length
  return last.length === DAYS && pairs.every(isTwice) ? pairs.flat() : []
}

/** Each use pairs with the next one alike; a pair is no one's third. */
function secondsOf(uses: readonly Use[]): Id[] {
  const taken = new Set<Id>()
  return uses.flatMap((first, k) => {
    if (taken.has(first.id)) return []
    const second = uses.slice(k + 1).find((one) => !taken.has(one.id) && isAlike(first, one))
    if (!second) return []
    taken.add(second.id)
    return [second.id]
  })
}

function isAlike(one: Use, other: Use): boolean {
  const isSomebodyElse = one.person !== null && other.person !== null && one.person !== other.person
  const apart = Math.abs(wallMinutes(one.at) - wallMinutes(other.at))
  return one.activity === other.activity && one.n === other.n && !isSomebodyElse && apart <= WITHIN_MIN
}
