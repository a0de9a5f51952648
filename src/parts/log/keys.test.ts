import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { entry } from '../../../tests/support/entries'
import { eveningOf, isCountedNow, logKeys, silentSince } from './keys'

const NOW = '2027-09-14T15:20'
const [crew, stay] = [trailerDemo().crews[0]!, trailerDemo().stays[0]!]
const keys = (log = trailerLog(), now = NOW, of: Pick<typeof stay, 'counted'> = stay) =>
  logKeys(crew, { start: stay.start, ...of }, log, now)
const keyOf = (id: string, ...given: Parameters<typeof keys>) =>
  keys(...given).find(({ activity }) => activity.id === id)!

it('counted ones come first, then what draws most; what is drunk has no key until it is counted', () => {
  const ids = keys().map(({ activity }) => activity.id)
  expect(ids.slice(0, 2)).toEqual(['shower', 'dishes'])
  expect(keys().map(({ isCounted }) => isCounted)).toEqual(ids.map((_, k) => k < 2))
  expect(ids).not.toContain('drinking')
  const drunk = { counted: [{ activity: 'drinking', from: stay.start, until: null }] }
  expect(keys([], NOW, drunk)[0]).toMatchObject({ activity: { id: 'drinking' }, isCounted: true })
  // What was counted until yesterday is not.
  expect(isCountedNow({ counted: [{ activity: 'shower', from: stay.start, until: NOW }] }, 'shower')).toBe(
    false,
  )
})

it('every key has a letter of its own, and none is one that reads the panel or asks for something else', () => {
  const letters = keys().map(({ letter }) => letter)
  expect(new Set(letters).size).toBe(letters.length)
  expect(letters.join('')).toMatch(/^[a-df-oq-z]+$/)
  // Where all letters of a name are taken it has none, and can still be tapped.
  const alike = {
    ...crew,
    activities: ['a', 'b', 'c'].map((id) => ({ ...crew.activities[0]!, id, name: 'Ah' })),
  }
  expect(logKeys(alike, { start: stay.start, counted: [] }, [], NOW).map(({ letter }) => letter)).toEqual([
    'a',
    'h',
    '',
  ])
})

it('counts today from five in the morning to five, late ones too, and says what was left out', () => {
  expect(keyOf('shower')).toMatchObject({ today: 1, isLeftOut: false })
  expect(keyOf('dishes')).toMatchObject({ today: 1 })
  const night = [
    entry({ kind: 'use', at: '2027-09-14T04:50', n: 3 }),
    entry({ kind: 'use', at: '2027-09-15T04:50', n: 2 }),
    entry({ kind: 'use', at: '2027-09-14T09:00', activity: 'teeth', n: 0 }),
  ]
  expect(keyOf('shower', night)).toMatchObject({ today: 2 })
  expect(keyOf('teeth', night)).toMatchObject({ today: 0, isLeftOut: true })
  expect(keyOf('shower', night, '2027-09-14T04:59')).toMatchObject({ today: 3 })
})

it('puts a day that is caught up on into its evening, not into the future nor before the stay', () => {
  expect(eveningOf(stay.start, 2, NOW)).toBe('2027-09-13T20:00')
  expect(eveningOf(stay.start, 3, NOW)).toBe(NOW)
  expect(eveningOf('2027-09-13T21:30', 0, '2027-09-14T10:00')).toBe('2027-09-13T21:30')
})

it('says how many of today were probably not logged, and since when nothing was', () => {
  // From Saturday midday on a part each: Tuesday, the fourth day, is parts 11 to 14.
  const unlogged = Float64Array.from({ length: 20 }, (_, i) => (i >= 11 && i < 15 ? 0.5 : 9))
  const index = crew.activities.findIndex(({ id }) => id === 'teeth')
  const known = crew.activities.map((_, a) => (a === index ? { unlogged } : null))
  const all = logKeys(crew, stay, [], NOW, known)
  expect(all.find(({ activity }) => activity.id === 'teeth')!.unlogged).toBeCloseTo(2, 12)
  expect(all.find(({ activity }) => activity.id === 'shower')!.unlogged).toBeNull()
  const one = [entry({ kind: 'use', at: '2027-09-13T20:00' })]
  expect(silentSince(one, '2027-09-14T11:59')).toBeNull()
  expect(silentSince(one, '2027-09-14T12:00')).toBe('2027-09-13T20:00')
  expect(silentSince([], NOW)).toBeNull()
})
