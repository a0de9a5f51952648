import ical, { ICalEventRepeatingFreq } from 'ical-generator'
import type { ChoreState } from '@/core/chores'

/** What a calendar is told of a chore, in words. */
export interface ChoreWords {
  name: string
  how: string
}

const DAY_MS = 86_400_000

/**
 * The chores of a rig that have a day, as an iCalendar file (RFC 5545): a whole day each, coming again where they are due by
 * the calendar alone. Ids stay the same, so that a file taken in again moves days instead of doubling them.
 * @param stamp ms since 1970 UTC, when it was made @returns null where none has a day
 */
export function choreCalendar(
  rig: { id: string; name: string },
  states: readonly ChoreState[],
  wordsOf: (state: ChoreState) => ChoreWords,
  stamp: number,
): string | null {
  const dated = states.filter(({ on }) => on !== null)
  if (dated.length === 0) return null
  const calendar = ical({
    name: rig.name,
    prodId: { company: 'dry-count', product: 'chores', language: 'EN' },
  })
  for (const state of dated) {
    const { chore, snoozed } = state
    const { name, how } = wordsOf(state)
    const day = snoozed !== null && snoozed > state.on! ? snoozed : state.on!
    const byDays = chore.every.length === 1 && chore.every[0]!.by === 'days' ? chore.every[0]!.n.value : null
    const event = calendar.createEvent({
      id: `${rig.id}-${chore.id}@dry-count`,
      start: new Date(`${day}T00:00:00Z`),
      end: new Date(Date.parse(`${day}T00:00:00Z`) + DAY_MS),
      allDay: true,
      stamp: new Date(stamp),
      summary: name,
      description: how,
    })
    if (byDays !== null) event.repeating({ freq: ICalEventRepeatingFreq.DAILY, interval: Math.round(byDays) })
  }
  return calendar.toString()
}
