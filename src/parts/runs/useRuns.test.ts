import fc from 'fast-check'
import { expect, it } from 'vitest'
import { PARTS } from '@/core/calendar'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { shifted, whenOf } from './useRuns'

it('a run moves by parts, over the edge of a day and back, never before the first', () => {
  fc.assert(
    fc.property(fc.nat(30), fc.constantFrom(...PARTS), fc.integer({ min: -20, max: 20 }), (day, part, by) => {
      const moved = shifted({ day, part }, by)
      const at = (slot: typeof moved) => slot.day * 4 + PARTS.indexOf(slot.part)
      expect(at(moved)).toBe(Math.max(0, day * 4 + PARTS.indexOf(part) + by))
      if (at({ day, part }) + by >= 0) expect(shifted(moved, -by)).toEqual({ day, part })
    }),
  )
})

it('says when it is by the calendar of the stay', () => {
  const stay = trailerDemo().stays[0]!
  expect(whenOf(stay, { day: 0, part: 'evening' })).toBe('Sat 11 Sept, evening')
  expect(whenOf(stay, { day: 5, part: 'midday' }, true)).toBe('Thu 16, midday')
})
