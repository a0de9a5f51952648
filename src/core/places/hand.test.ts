import fc from 'fast-check'
import { expect, it } from 'vitest'
import { openingOf, parsePosition, plainHoursOf, showPosition } from './index'

it('law: plain hours are written and read back the same', () => {
  const clock = fc
    .integer({ min: 0, max: 95 })
    .map((q) => `${String(Math.floor(q / 4)).padStart(2, '0')}:${String((q % 4) * 15).padStart(2, '0')}`)
  fc.assert(
    fc.property(
      fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }).filter((days) => days.includes(true)),
      clock,
      clock,
      fc.option(fc.tuple(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }))),
      (days, from, until, months) => {
        const hours = { days, from, until, months }
        expect(plainHoursOf(openingOf(hours))).toEqual(hours)
      },
    ),
  )
  expect(
    openingOf({
      days: [true, true, true, true, true, false, true],
      from: '08:00',
      until: '18:00',
      months: [4, 10],
    }),
  ).toBe('Apr-Oct: Mo-Fr,Su 08:00-18:00')
  expect(
    openingOf({ days: Array.from({ length: 7 }, () => false), from: '08:00', until: '18:00', months: null }),
  ).toBe('off')
  expect(plainHoursOf('24/7')).toMatchObject({ until: '24:00' })
  expect(plainHoursOf('Fr-Mo 10:00-12:00')!.days).toEqual([true, false, false, false, true, true, true])
  for (const more of [
    'Mo-Fr 08:00-12:00,13:00-18:00',
    'sunrise-sunset',
    '"by appointment"',
    'Mo 08:00-18:00; PH off',
  ])
    expect(plainHoursOf(more)).toBeNull()
})

it.each([
  ['45.09, -37.88', { lat: 45.09, lon: -37.88 }],
  ['45.09,−37.88', { lat: 45.09, lon: -37.88 }],
  ['45.09 N, 37.88 W', { lat: 45.09, lon: -37.88 }],
  ['12.5° S 179° E', { lat: -12.5, lon: 179 }],
  ['', null],
  ['95, 10', 'off-the-globe'],
  ['45, 181', 'off-the-globe'],
  ['0, 0', 'off-the-globe'],
  ['north of the mill', 'no-position'],
  ['45.09', 'no-position'],
  ['45,09, 37,88', 'no-position'],
])('a position as it is typed: %s', (text, expected) => {
  const read = parsePosition(text)
  if (typeof expected === 'string') expect(read).toMatchObject({ ok: false, code: expected })
  else expect(read).toEqual({ ok: true, value: expected })
  if (read.ok && read.value) expect(parsePosition(showPosition(read.value))).toEqual(read)
})
