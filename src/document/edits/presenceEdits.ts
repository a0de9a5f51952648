import type { Part } from '@/core/calendar'
import { isAwayOn, type Absence, type Document, type Id } from '@/core/domain'
import { LIMITS } from '../schema/limits'
import { stayOf } from './find'

/** Recipes on a draft: who is there when. */

/** Farther than any stay may last. */
const LAST_DAY = LIMITS.day.max

/** Somebody away in one part of one day, or there after all: an absence that repeats is parted around that day. */
export function setAbsence(
  draft: Document,
  stayId: Id,
  person: Id,
  day: number,
  part: Part,
  away: boolean,
): void {
  const stay = stayOf(draft, stayId)
  const isAway = (entry: Absence) =>
    entry.person === person && entry.part === part && isAwayOn(entry, stay, day)
  stay.absences = stay.absences.flatMap((entry) => (isAway(entry) ? around(entry, day) : [entry]))
  if (away) stay.absences.push({ person, part, days: [day, day], weekdays: null })
}

function around({ days: [from, to], ...absence }: Absence, day: number): Absence[] {
  const before: Absence[] = from < day ? [{ ...absence, days: [from, day - 1] }] : []
  const after: Absence[] = to > day ? [{ ...absence, days: [day + 1, to] }] : []
  return [...before, ...after]
}

/** An absence that repeats: in the parts given, each day or on some weekdays, as long as the stay may last. */
export function addAbsences(
  draft: Document,
  stayId: Id,
  person: Id,
  parts: readonly Part[],
  weekdays: readonly number[] | null,
): void {
  const stay = stayOf(draft, stayId)
  const isSame = (entry: Absence) => entry.person === person && parts.includes(entry.part)
  stay.absences = stay.absences.filter((entry) => !isSame(entry) || entry.days[0] === entry.days[1])
  for (const part of parts)
    stay.absences.push({
      person,
      part,
      days: [0, LAST_DAY],
      weekdays: weekdays && [...weekdays].sort((a, b) => a - b),
    })
}

/** Days that somebody of the crew is there, and no others. @param days null: all of them */
export function setGuest(draft: Document, stayId: Id, person: Id, days: [number, number] | null): void {
  const stay = stayOf(draft, stayId)
  stay.guests = stay.guests.filter((guest) => guest.person !== person)
  if (days) stay.guests.push({ person, days })
}
