import fc from 'fast-check'
import { expect, it } from 'vitest'
import { newContainer, startLevel } from '@/document/starters'
import { startQuantile } from '../risk'
import type { SupplyContainer } from '.'
import { owned } from '../quantities'
import { PANEL_KINDS, asReading, panelOf, panelMarks, startOf, type Reading } from './reading'

const tank = (litres: number, panel: SupplyContainer['panel']) => ({
  ...(newContainer('fresh', 'fresh', 'Fresh', litres) as SupplyContainer),
  panel,
})

it('by hand: two thirds on a tank of 120 L is anywhere from 80 to 120 L, and full is full', () => {
  const fresh = tank(120, panelOf('thirds'))
  expect(panelMarks(fresh.panel!).map(({ from, to }) => [from * 120, to * 120])).toEqual([
    [0, 40],
    [40, 80],
    [80, 120],
    [120, 120],
  ])
  const read = startOf({ method: 'panel', mark: 2 }, fresh)
  expect(read.error.shape).toBe('even')
  expect(read.level.value).toBeCloseTo(100, 9)
  // The width of the whole span.
  expect(read.error.size.value).toBeCloseTo(40, 9)
  const start = { level: 100, shape: read.error.shape, size: 40, full: 120 }
  expect([0, 0.5, 1].map((q) => Math.round(startQuantile(start, q) * 1e6) / 1e6)).toEqual([80, 100, 120])
  expect(startOf({ method: 'panel', mark: 3 }, fresh)).toMatchObject({
    level: { value: 120 },
    error: { size: { value: 0 } },
  })
  expect(() => startOf({ method: 'panel', mark: 4 }, fresh)).toThrow(RangeError)
  // Marks of the owner's own, on a tank that narrows; spares count as one with it.
  const cassette = { capacity: owned(20), spares: 1, panel: { probes: [0.5, 0.9], by: 'owner' as const } }
  expect(startOf({ method: 'panel', mark: 1 }, cassette).level.value).toBeCloseTo(28, 9)
})

it('what was read is known again from what is kept, on every panel and in every way', () => {
  const reading: fc.Arbitrary<Reading> = fc.oneof(
    fc.record({ method: fc.constant('known' as const), level: fc.double({ min: 0, max: 120, noNaN: true }) }),
    fc.record({
      method: fc.constant('about' as const),
      level: fc.double({ min: 0, max: 120, noNaN: true }),
      within: fc.double({ min: 0.5, max: 7, noNaN: true }),
    }),
    fc.record({
      method: fc.constant('measured' as const),
      level: fc.double({ min: 0, max: 120, noNaN: true }),
      deviation: fc.double({ min: 0, max: 7, noNaN: true }),
    }),
    fc.record({ method: fc.constant('panel' as const), mark: fc.nat(2) }),
  )
  fc.assert(
    fc.property(reading, fc.constantFrom(...PANEL_KINDS), (read, kind) => {
      const fresh = tank(120, panelOf(kind))
      expect(asReading({ ...startLevel('fresh', owned(0)), ...startOf(read, fresh) }, fresh)).toEqual(read)
    }),
  )
})
