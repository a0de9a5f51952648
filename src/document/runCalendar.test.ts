import ICAL from 'ical.js'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { wallMinutes, wallTimeAt } from '@/core/calendar'
import { runCalendar, type CalendarEntry } from './runCalendar'
import { SCHEDULE_COLUMNS, scheduleToCsv } from './runsCsv'

const STAY = { id: 'stay', name: 'Harrow Ridge' }
const STAMP = Date.UTC(2027, 8, 1, 12)
const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((component) => ({ component, event: new ICAL.Event(component) }))

it('runs and last moments are read back by a second parser: at their wall time, in any zone of the machine', () => {
  const entryArb = fc
    .record({
      at: fc
        .integer({ min: wallMinutes('2027-01-01T00:00'), max: wallMinutes('2027-12-30T00:00') })
        .map(wallTimeAt),
      minutes: fc.integer({ min: 1, max: 600 }),
      summary: fc.constantFrom('Dump; and, fill', 'Über den Pass', 'Line\nbreak', 'x'.repeat(200)),
      place: fc.option(fc.constantFrom('Sallow Mill, station', 'Tap')),
      remindMinutes: fc.option(fc.constantFrom(60, 180)),
    })
    .map((entry): Omit<CalendarEntry, 'id'> => ({
      ...entry,
      description: 'Gray 90 L → 0 L',
      position: { lat: 45, lon: -38 },
    }))
  const zone = process.env.TZ
  for (const name of ['UTC', 'America/New_York', 'Pacific/Auckland']) {
    process.env.TZ = name
    fc.assert(
      fc.property(fc.array(entryArb, { minLength: 1, maxLength: 6 }), (made) => {
        const all = made.map((entry, i) => ({ ...entry, id: `run-${i}` }))
        const read = events(runCalendar(STAY, all, STAMP)!)
        expect(read.length).toBe(all.length)
        all.forEach(({ id, at, minutes, summary, place, remindMinutes }, i) => {
          const { component, event } = read[i]!
          expect(event.uid).toBe(`stay-${id}@dry-count`)
          expect(event.startDate.toString()).toBe(`${at}:00`)
          expect(event.startDate.zone.tzid).toBe('floating')
          expect(event.duration.toSeconds()).toBe(minutes * 60)
          expect(event.summary).toBe(summary)
          expect(event.location ?? null).toBe(place)
          const alarm = component.getFirstSubcomponent('valarm')
          expect(alarm?.getFirstPropertyValue('trigger')?.toString() ?? null).toBe(
            remindMinutes === null ? null : `-PT${remindMinutes / 60}H`,
          )
        })
      }),
      { numRuns: 25 },
    )
  }
  process.env.TZ = zone
  expect(runCalendar(STAY, [], STAMP)).toBeNull()
})

it('the schedule as CSV: quoted, a line each, and no formula', () => {
  const text = scheduleToCsv([
    {
      day: 3,
      date: '2027-09-14',
      part: 'midday',
      run: '=SUM(A1)',
      place: 'Mill, "old"',
      leaveBy: '',
      at: '',
      changes: '-',
      minutes: 85.456,
      kilometres: 37.1,
      fee: 8,
    },
  ])
  const [head, line, end] = text.split('\r\n')
  expect(head).toBe(SCHEDULE_COLUMNS.join())
  expect(line).toBe(`3,2027-09-14,midday,'=SUM(A1),"Mill, ""old""",,,'-,85.46,37.1,8`)
  expect(end).toBe('')
})
