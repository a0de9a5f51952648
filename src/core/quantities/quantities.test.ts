import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  UNITS,
  fromSi,
  parseNumber,
  parseQuantity,
  parseShare,
  toSi,
  unitsForLocale,
  type UnitChoice,
} from './index'

const metric: UnitChoice = { volume: 'L', mass: 'kg', distance: 'km', temperature: 'C', length: 'cm' }
const american: UnitChoice = { volume: 'gal-us', mass: 'lb', distance: 'mi', temperature: 'F', length: 'in' }
const litres = (text: string, choice = metric, decimal: '.' | ',' = '.') => {
  const parsed = parseQuantity(text, 'volume', choice, decimal)
  return parsed.ok ? parsed.si : parsed.code
}

describe('units', () => {
  it('converts by the defined factors and back', () => {
    expect(toSi(1, 'gal-us')).toBe(3.785411784)
    expect(toSi(1, 'gal-imp')).toBe(4.54609)
    expect(toSi(32, 'F')).toBeCloseTo(0, 12)
    expect(fromSi(100, 'F')).toBeCloseTo(212, 12)
    for (const unit of Object.values(UNITS).flat())
      fc.assert(
        fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), (value) => {
          expect(fromSi(toSi(value, unit), unit)).toBeCloseTo(value, 6)
        }),
      )
  })

  it('understands what people type', () => {
    expect(litres('30 gal')).toBeCloseTo(113.562, 3)
    expect(litres('30 gal', { ...metric, volume: 'gal-imp' })).toBeCloseTo(136.383, 3)
    expect(litres('113 l')).toBe(113)
    expect(litres('113 l', american)).toBe(113)
    expect(litres('30', american)).toBeCloseTo(113.562, 3)
    expect(litres('7,5')).toBe(7.5)
    expect(litres(' 1 200 ml ')).toBeCloseTo(1.2, 12)
    expect(litres('1,200')).toBe(1200)
    expect(litres('1,200', metric, ',')).toBe(1.2)
    expect(litres('1.200', metric, ',')).toBe(1200)
    expect(litres('1.234,5')).toBe(1234.5)
    expect(litres('0.325')).toBe(0.325)
    expect(litres('2 imp gal')).toBeCloseTo(9.09218, 9)
  })

  it('says what it cannot read', () => {
    expect(litres('')).toBe('empty')
    expect(litres('lots')).toBe('not-a-number')
    expect(litres('1.2.3,4,5')).toBe('not-a-number')
    expect(litres('5 cups of tea')).toBe('unknown-unit')
    expect(litres('5 kg')).toBe('wrong-dimension')
    expect(litres('2 m')).toBe('wrong-dimension')
    for (const dimension of ['length', 'distance'] as const)
      expect(parseQuantity('120 m', dimension, metric)).toMatchObject({
        ok: true,
        si: dimension === 'length' ? 120 : 0.12,
      })
    expect(parseNumber('NaN')).toBeNull()
    expect(parseNumber('1e9')).toBeNull()
  })

  it('reads back every plain number it could have shown', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -999_999, max: 999_999 }),
        fc.constantFrom('.' as const, ',' as const),
        (cents, decimal) => {
          expect(parseNumber((cents / 100).toFixed(2), decimal)).toBe(cents / 100)
          expect(parseNumber((cents / 100).toFixed(2).replace('.', ','), decimal)).toBe(cents / 100)
        },
      ),
    )
  })

  it('guesses from the locale', () => {
    expect(unitsForLocale('en-US')).toEqual(american)
    expect(unitsForLocale('es-419')).toEqual(metric)
    expect(unitsForLocale('en-GB').distance).toBe('km')
    expect(unitsForLocale('de')).toEqual(metric)
  })
})

it('understands a share of a tank as people say it', () => {
  const shares: [string, number][] = [
    ['1/3', 1 / 3], ['2 / 3', 2 / 3], ['33 %', 0.33], ['33%', 0.33], ['12,5 %', 0.125], ['two thirds', 2 / 3], ['Two-thirds full', 2 / 3],
    ['a quarter', 0.25], ['three quarters', 0.75], ['half', 0.5], ['½', 0.5], ['full', 1], ['empty', 0],
  ] // prettier-ignore
  for (const [text, share] of shares) expect(parseShare(text, ',')).toBeCloseTo(share, 12)
  for (const text of ['', '33', '1/0', '1/', '/3', 'lots', '%', '1/3 L', 'thirds'])
    expect(parseShare(text)).toBeNull()
})
