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
