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
  expect(said('500', 'metric')).toMatch(/1 L.*100 L/)
  // In round numbers of the unit, and what is said is taken.
  expect(said('500', 'us')).toBe('Between 0.27 gal and 26 gal, please.')
  for (const bound of ['0.27', '26']) expect(said(bound, 'us')).toBeNull()
  expect(said('90000', 'us', { min: 0.1, max: 20_000 })).toBe('More than 0 and at most 5200 gal, please.')
  expect(said('200', 'metric', { min: 0 })).toBe('At most 100 L, please.')
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
