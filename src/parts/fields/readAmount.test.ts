// @vitest-environment happy-dom
import fc from 'fast-check'
import { beforeEach, expect, it } from 'vitest'
import { UNIT_SYSTEMS, type UnitSystem } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { freshStores } from '../../../tests/support/freshStores'
import { useAmountText, type AmountKind } from './readAmount'

beforeEach(() => {
  localStorage.clear()
  freshStores()
})

function field(kind: AmountKind, units: UnitSystem = 'metric') {
  const settings = useSettingsStore()
  settings.units = { ...UNIT_SYSTEMS[units] }
  return useAmountText(() => kind)
}
const plain = (text: string) => text.replaceAll('\u00a0', ' ')

it('what a field shows is read as what it stands for, in any units', () => {
  const dimensions = ['volume', 'mass', 'length', 'temperature', 'number', 'percent'] as const
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.constantFrom<UnitSystem>('metric', 'us', 'imperial'),
      fc.double({ min: 0.5, max: 500, noNaN: true }),
      (dimension, units, si) => {
        const { toShown, parse, withUnit } = field({ dimension, min: 0, max: 1e6 }, units)
        const read = parse(toShown(si))
        expect(read.ok).toBe(true)
        // As near as what is shown goes, and then it stays.
        if (!read.ok) return
        expect(Math.abs(read.value - si)).toBeLessThan(0.02 * si + 0.05)
        expect(toShown(read.value)).toBe(toShown(si))
        const again = parse(withUnit(si))
        if (again.ok) expect(again.value).toBeCloseTo(read.value, 9)
        else expect(dimension).toBe('number')
      },
    ),
  )
})

it.each([
  ['1/3', 50],
  ['33 %', 49.5],
  ['two thirds', 100],
  ['40', 40],
  ['10 gal', 37.85],
])('of a tank of 150 L a share may be typed: %s', (text, wanted) => {
  const read = field({ dimension: 'volume', min: 0, max: 150, whole: 150 }).parse(text)
  expect(read.ok && read.value).toBeCloseTo(wanted, 2)
})

it('says in the owner’s units what it would take, and what is too much where there is a word for it', () => {
  const kind = { dimension: 'volume' as const, min: 1, max: 100 }
  const said = (text: string, units: UnitSystem, more: Partial<AmountKind> = {}) => {
    const read = field({ ...kind, ...more }, units).parse(text)
    return read.ok ? null : plain(read.words)
  }
  expect([said('500', 'metric'), said('0', 'metric')]).toEqual([
    'At most 100 L, please.',
    'At least 1 L, please.',
  ])
  expect(said('90000', 'us', { max: 20_000 })).toBe('At most 5200 gal, please.')
  expect(said('-1', 'us', { min: 0.1 })).toBe('At least 0.03 gal, please.')
  expect(said('-1', 'metric', { min: 0 })).toBe('At least 0 L, please.')
  expect(said('500', 'metric', { tooMuch: 'More than it holds.' })).toBe('More than it holds.')
  expect(said('0', 'metric', { tooMuch: 'More than it holds.' })).toMatch(/1 L/)
  expect(said('', 'metric')).toMatch(/\w/)
  expect(said('full moon', 'metric')).toMatch(/full moon/)
  expect(said('12 kg', 'metric')).toMatch(/kg/)
  const percent = field({ dimension: 'percent', min: 0, max: 1 })
  expect([percent.parse('40 %'), percent.parse('40'), percent.unit.value]).toEqual([
    { ok: true, value: 0.4 },
    { ok: true, value: 0.4 },
    '%',
  ])
  expect(percent.parse('140').ok).toBe(false)
})

/** Bounds are round in SI, not in the owner's unit. */
const tenths = (min: number, max: number) => fc.integer({ min, max }).map((n) => n / 10)
it('law: the bound that is said is round, and is itself taken', () => {
  const bounds = fc.tuple(tenths(-500, 1_000), tenths(1_010, 300_000))
  const dimensions = fc.constantFrom('volume', 'mass', 'distance', 'temperature', 'number', 'uses', 'percent')
  fc.assert(
    fc.property(
      bounds,
      dimensions,
      fc.constantFrom<UnitSystem>('metric', 'us', 'imperial'),
      ([min, max], dimension, units) => {
        const { parse } = field({ dimension, min, max }, units)
        for (const beyond of ['-100000', '9000000']) {
          const read = parse(beyond)
          if (read.ok) throw new Error(`${beyond} was taken`)
          const bound = /[-−]?[\d.]+/.exec(plain(read.words))![0]
          expect(parse(bound), `${read.words} of ${min} to ${max}`).toMatchObject({ ok: true })
        }
      },
    ),
  )
})
