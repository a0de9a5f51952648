import {
  MINUTES_PER_DAY,
  dayZero,
  nightsBetween,
  wallDaysBetween,
  wallMinutes,
  wallTimeAt,
  type WallTime,
} from '../calendar'
import type { Days } from '../quantities'

/** The nights of a stay, or of what is left of it: those planned, those made, and when each ends. */
export interface Nights {
  planned: number
  made: number
  /** Planned less made. */
  short: number
  /** Days from where the count begins to the end of each night: its 05:00, of the last one the hour the stay is left. */
  ends: Days[]
}

/** A hair of the clock's minutes against days, in days. */
const HAIR_D = 1e-9

/**
 * Nights counted, not days rounded (model.md section 2): as many are planned as 05:00s lie between where the count begins and
 * when the stay is left; one is made when nothing has breached by the 05:00 that ends it, the last one by the hour it is left.
 * @param days to the first breach from `from`; null: beyond the horizon
 * @param from the start of the stay, or now where it is under way
 */
export function nightsMade(days: Days | null, from: WallTime, leaveAt: WallTime): Nights {
  const planned = nightsBetween(from, leaveAt)
  const first = wallMinutes(dayZero(from))
  const ends = Array.from({ length: planned }, (_, k) =>
    wallDaysBetween(from, k === planned - 1 ? leaveAt : wallTimeAt(first + (k + 1) * MINUTES_PER_DAY)),
  )
  const made = days === null ? planned : ends.filter((end) => days >= end - HAIR_D).length
  return { planned, made, short: planned - made, ends }
}
