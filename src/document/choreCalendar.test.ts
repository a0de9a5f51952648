import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import type { ChoreState } from '@/core/chores'
import type { Chore, ChoreEvery } from '@/core/domain'
import { owned } from '@/core/quantities'
import { choreCalendar } from './choreCalendar'

const RIG = { id: 'trailer', name: 'Family; trailer, old' }
function state(
  id: string,
  on: string | null,
  every: [ChoreEvery, number][],
  more: Partial<ChoreState> = {},
): ChoreState {
  const chore: Chore = {
    ...{ id, kind: 'own', name: id, container: null, done: null, snoozed: null },
    every: every.map(([by, n]) => ({ by, n: owned(n) })),
  }
  return { chore, last: null, turns: [], isDue: false, on, snoozed: null, ...more }
}
const words = ({ chore }: ChoreState) => ({
  name: `${chore.id}, by hand; \\ now`,
  how: 'One line\nand another, <b>bold</b>',
})
/** Read back by a second library. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one))

describe('chores in a calendar', () => {
  it('a second parser reads the days, the words and what comes again', () => {
    const text = choreCalendar(
      RIG,
      [
        state('seals', '2027-10-01', [['days', 180]]),
        state('probes', '2027-10-02', [
          ['days', 90],
          ['emptyings', 10],
        ]),
        state('lay-up', null, [['trips', 1]]),
      ],
      words,
      Date.UTC(2027, 8, 14),
    )!
    const events = read(text)
    expect(events.map(({ uid }) => uid)).toEqual(['trailer-seals@dry-count', 'trailer-probes@dry-count'])
    expect(events.map(({ startDate }) => startDate.toString())).toEqual(['2027-10-01', '2027-10-02'])
    expect(events[0]!.startDate.isDate).toBe(true)
    expect(events[0]!.summary).toBe('seals, by hand; \\ now')
    expect(events[0]!.description).toBe('One line\nand another, <b>bold</b>')
    // Every 180 days: the next one is in March.
    const again = events[0]!.iterator()
    again.next()
    expect(again.next().toString()).toBe('2028-03-29')
    expect(events[1]!.isRecurring()).toBe(false)
    // Lines are folded at 75 octets and end as the format wants.
    for (const line of text.split('\r\n'))
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
  })

  it('one that was put off stands on that day; without any there is no file', () => {
    const off = state('seals', '2027-09-14', [['days', 180]], { isDue: true, snoozed: '2027-09-21' })
    expect(read(choreCalendar(RIG, [off], words, 0)!)[0]!.startDate.toString()).toBe('2027-09-21')
    expect(choreCalendar(RIG, [state('lay-up', null, [['trips', 1]])], words, 0)).toBeNull()
  })
})
