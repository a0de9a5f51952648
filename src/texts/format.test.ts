import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseNumber, parseQuantity, UNITS, type Dimension, type UnitChoice } from '@/core/quantities'
import {
  formatCount,
  formatDays,
  formatFactor,
  formatFigures,
  formatLevel,
  formatNumber,
  formatQuantity,
  formatSigned,
} from './format'

const choices = fc.record(
  Object.fromEntries(
    Object.entries(UNITS).map(([dimension, units]) => [dimension, fc.constantFrom(...units)]),
  ),
) as fc.Arbitrary<UnitChoice>
const dimensions = fc.constantFrom(...(Object.keys(UNITS) as Dimension[]))
const finite = (most: number) => fc.double({ min: -most, max: most, noNaN: true })

describe('numbers as they are shown', () => {
  it('a gauge to two figures, whole units at the coarsest', () => {
    const metric = { volume: 'L' } as UnitChoice
    const shown = [0, 0.347, 0.996, 2.25, 9.94, 9.96, 12.5, 113.6, 378.4].map((litres) =>
      formatLevel(litres, metric).replace('\u00a0', ' '),
    )
    expect(shown).toEqual(['0 L', '0.35 L', '1 L', '2.3 L', '9.9 L', '10 L', '13 L', '114 L', '378 L'])
  })

  it('can be typed again: what is read is what was shown, in any unit, whatever unit the reader uses', () => {
    fc.assert(
      fc.property(dimensions, choices, choices, finite(5000), (dimension, writer, reader, si) => {
        const shown = formatQuantity(si, dimension, writer)
        const read = parseQuantity(shown, dimension, { ...reader, volume: writer.volume })
        expect(read).toMatchObject({ ok: true })
        if (read.ok) expect(formatQuantity(read.si, dimension, writer)).toBe(shown)
      }),
      { numRuns: 400 },
    )
  })

  it('are off by less than the last decimal shown, and never lose their sign to a zero', () => {
    fc.assert(
      fc.property(finite(20_000), fc.integer({ min: 0, max: 3 }), (value, decimals) => {
        const shown = formatNumber(value, decimals)
        expect(shown).not.toMatch(/^-0(\.0*)?$/)
        expect(Math.abs(parseNumber(shown)! - value)).toBeLessThanOrEqual(0.5 * 10 ** -decimals + 1e-9)
      }),
    )
  })

  it('days are never rounded up to one that is not there; a difference too small to see is 0', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 999, noNaN: true }), (days) => {
        const shown = Number(formatDays(days))
        expect(shown).toBeLessThanOrEqual(days + 1e-6)
        expect(days - shown).toBeLessThan(0.1)
        expect(formatDays(days)).toMatch(/^\d+\.\d$/)
      }),
    )
    expect([formatDays(5.999), formatDays(6), formatDays(5.99999999)]).toEqual(['5.9', '6.0', '6.0'])
    expect([0.04, -0.04, 0.05, -1.26, 12].map(formatSigned)).toEqual(['0', '0', '+0.1', '−1.3', '+12.0'])
    expect([formatCount(10_000), formatCount(500)]).toEqual(['10,000', '500'])
  })
})

it('the factors that are shown of a sum make what is shown of it', () => {
  const number = (text: string) => Number(text.replace('\u2212', '-').split('\u00a0')[0])
  const units = { volume: 'gal-us', mass: 'lb', distance: 'mi', temperature: 'F', length: 'in' } as const
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 900, noNaN: true }),
      fc.double({ min: 0.002, max: 60, noNaN: true }),
      (uses, litres) => {
        const product = number(formatFigures(uses)) * number(formatFactor(litres, 'volume', units))
        const gallons = (uses * litres) / 3.785411784
        expect(Math.abs(product - gallons)).toBeLessThan(0.011 * gallons)
      },
    ),
  )
  // Once '74.1 uses × 0 gal = 0.2 gal'.
  expect(formatFactor(0.0102, 'volume', units)).toBe('0.00269\u00a0gal')
})
