import { expect, it } from 'vitest'
import { owned } from '../quantities'
import { habit } from '../../../tests/support/build'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { neverHolds } from './index'

const { stays } = trailerDemo()
const stay = stays[0]!
const when = (more: object) =>
  habit('x', [], { when: { parts: null, daylight: false, lowest: null, ...more } })

it('says whether light or warmth is missing all through a stay, and nothing where there is a time for it', () => {
  expect(neverHolds(when({ daylight: true }), stay)).toBeNull()
  expect(neverHolds(when({ daylight: true, parts: ['night'] }), stay)).toBe('daylight')
  const polar = { ...stay, weather: { ...stay.weather, sunrise: '11:40', sunset: '12:20' } }
  expect(neverHolds(when({ daylight: true }), polar)).toBe('daylight')
  // The warmest day given is 25 °C.
  expect(neverHolds(when({ lowest: owned(25) }), stay)).toBeNull()
  expect(neverHolds(when({ lowest: owned(26) }), stay)).toBe('warmth')
})
