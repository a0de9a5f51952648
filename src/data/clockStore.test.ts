// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { DEMO_NOW, floored, useClockStore } from './clockStore'
import { freshStores } from '../../tests/support/freshStores'

beforeEach(() => {
  freshStores()
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

it('is the device’s own clock for the owner’s data, and follows it', () => {
  vi.setSystemTime(new Date(2026, 10, 26, 7, 34, 50))
  const clock = useClockStore()
  expect(clock.now).toBe('2026-11-26T07:34')
  vi.advanceTimersByTime(30_000)
  expect(clock.now).toBe('2026-11-26T07:35')
  // Wall time and UTC are the same instant, whatever the zone of this machine.
  expect(new Date(clock.utcOf(clock.now)).getTime()).toBe(new Date(2026, 10, 26, 7, 35).getTime())
})

it('stands still in the demo, moves by hour and day, and goes back to where the demo begins', () => {
  const clock = useClockStore()
  clock.follow('demo')
  expect([clock.now, clock.isMoved]).toEqual([DEMO_NOW, false])
  vi.advanceTimersByTime(3_600_000)
  expect(clock.now).toBe(DEMO_NOW)
  clock.move(1 / 24)
  expect([clock.now, clock.isMoved]).toEqual(['2027-09-14T16:20', true])
  clock.move(-1)
  expect(clock.now).toBe('2027-09-13T16:20')
  expect(clock.utcOf(clock.now)).toBe('2027-09-13T14:20:00.000Z')
  clock.backToStart()
  expect([clock.now, clock.isMoved]).toEqual([DEMO_NOW, false])
})

it('counts in whole steps of minutes', () => {
  expect(floored('2027-09-14T15:29', 10)).toBe('2027-09-14T15:20')
  expect(floored('2027-09-14T15:20', 10)).toBe('2027-09-14T15:20')
  expect(floored('2027-09-14T00:07', 10)).toBe('2027-09-14T00:00')
})

/** The device stands in a zone for as long as something is done. */
function standingIn(zone: string, act: () => void): void {
  const before = process.env.TZ
  process.env.TZ = zone
  try {
    act()
  } finally {
    if (before === undefined) delete process.env.TZ
    else process.env.TZ = before
  }
}

it('an hour that the clocks show twice is the one that is meant, and never one that is still to come', () => {
  standingIn('Europe/Berlin', () => {
    const clock = useClockStore()
    // At three the clocks go back to two.
    vi.setSystemTime(new Date('2026-10-25T00:40:00Z'))
    expect(clock.utcOf('2026-10-25T02:30')).toBe('2026-10-25T00:30:00.000Z')
    vi.setSystemTime(new Date('2026-10-25T01:40:00Z'))
    expect(clock.utcOf('2026-10-25T02:30')).toBe('2026-10-25T01:30:00.000Z')
    expect(clock.utcOf('2026-10-25T01:30')).toBe('2026-10-24T23:30:00.000Z')
    expect(clock.utcOf('2026-10-25T03:10')).toBe('2026-10-25T02:10:00.000Z')
  })
})

it('a device that has come to another zone keeps the clocks of the stay, and one that was set back is not earlier than the log', () => {
  const entries = [
    { at: '2026-06-01T16:00', utc: '2026-06-01T14:00:00.000Z' },
    { at: '2026-06-02T09:12', utc: '2026-06-02T07:12:30.000Z' },
  ]
  vi.setSystemTime(new Date('2026-06-02T10:00:00Z'))
  for (const zone of ['Europe/Berlin', 'America/New_York', 'Asia/Kolkata', 'UTC'])
    standingIn(zone, () => {
      const clock = useClockStore()
      clock.keepTo(entries)
      expect([zone, clock.now]).toEqual([zone, '2026-06-02T12:00'])
      expect(clock.utcOf('2026-06-02T11:00')).toBe('2026-06-02T09:00:00.000Z')
      // Two hours back: nothing that was logged lies ahead. Days back: the clock was wrong before.
      vi.setSystemTime(new Date('2026-06-02T06:00:00Z'))
      clock.keepTo(entries)
      expect(clock.now).toBe('2026-06-02T09:12')
      vi.setSystemTime(new Date('2026-05-28T06:00:00Z'))
      clock.keepTo(entries)
      expect(clock.now).toBe('2026-05-28T08:00')
      vi.setSystemTime(new Date('2026-06-02T10:00:00Z'))
    })
})
