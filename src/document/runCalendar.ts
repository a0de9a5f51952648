import ical, { ICalAlarmType } from 'ical-generator'
import { wallMinutes, wallTimeAt, type WallTime } from '@/core/calendar'

/** What a calendar is told: something that begins at a wall time and takes so many minutes. */
export interface CalendarEntry {
  id: string
  at: WallTime
  minutes: number
  summary: string
  description: string
  /** Where it is, in words; null: nowhere in particular. */
  place: string | null
  position: { lat: number; lon: number } | null
  /** Minutes before it that one wants to be told; null: not at all. */
  remindMinutes: number | null
}

/**
 * Runs and last moments as an iCalendar file (RFC 5545), in wall time without a zone: they are at that hour wherever the rig
 * stands. Ids stay the same, so that a file taken in again moves entries instead of doubling them.
 * @param stamp ms since 1970 UTC, when it was made @returns null where there is nothing to tell
 */
export function runCalendar(
  stay: { id: string; name: string },
  entries: readonly CalendarEntry[],
  stamp: number,
): string | null {
  if (entries.length === 0) return null
  const calendar = ical({
    name: stay.name,
    prodId: { company: 'dry-count', product: 'runs', language: 'EN' },
  })
  for (const { id, at, minutes, summary, description, place, position, remindMinutes } of entries) {
    const event = calendar.createEvent({
      id: `${stay.id}-${id}@dry-count`,
      // Wall time: what the machine's zone is plays no part.
      start: floating(at),
      end: floating(wallTimeAt(wallMinutes(at) + Math.max(1, minutes))),
      floating: true,
      stamp: new Date(stamp),
      summary,
      description,
      ...(place === null ? {} : { location: { title: place, ...(position ? { geo: position } : {}) } }),
    })
    if (remindMinutes !== null)
      event.createAlarm({ type: ICalAlarmType.display, trigger: remindMinutes * 60, description: summary })
  }
  return calendar.toString()
}

/** Floating times are written from a date's UTC: the machine's own zone plays no part. */
const floating = (time: WallTime) => new Date(`${time}:00Z`)
