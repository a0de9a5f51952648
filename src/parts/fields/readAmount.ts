import { computed } from 'vue'
import { fromSi, parseNumber, parseQuantity, parseShare, type Dimension } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { formatNumber, localeInUse } from '@/texts'
import * as t from '@/texts/t'
import type { Parsed } from './useSavedField'

/** What is counted as it is, with its name at the end of the line; a bare number has none. */
type Counted = 'number' | 'uses' | 'minutes'
/** What a field of amounts takes: a dimension, something counted, or a share of 1 shown in percent. */
export type AmountOf = Dimension | Counted | 'percent'
const isCounted = (of: AmountOf): of is Counted => of === 'number' || of === 'uses' || of === 'minutes'

export interface AmountKind {
  dimension: AmountOf
  /** SI bounds, both included. */
  min: number
  max: number
  /** SI: what a share is of, where one may be typed (`1/3`, `33 %`, `two thirds`). */
  whole?: number | undefined
  /** Said of more than the largest; without it both bounds are said. */
  tooMuch?: string | undefined
}

/** Reads and shows amounts in the owner's own units. */
export function useAmountText(kind: () => AmountKind) {
  const settings = useSettingsStore()
  const unit = computed(() => {
    const { dimension } = kind()
    if (isCounted(dimension)) return t.field.counted[dimension]
    return dimension === 'percent' ? '%' : t.units[settings.units[dimension]]
  })

  function toShown(si: number): string {
    const { dimension } = kind()
    if (isCounted(dimension)) return formatNumber(si)
    if (dimension === 'percent') return formatNumber(si * 100)
    return formatNumber(fromSi(si, settings.units[dimension]))
  }
  const withUnit = (si: number) => `${toShown(si)} ${unit.value}`.trim()

  function readSi(text: string): Parsed<number> {
    const { dimension, whole } = kind()
    const share = whole === undefined ? null : parseShare(text, localeInUse().decimal)
    if (share !== null) return { ok: true, value: share * whole! }
    if (isCounted(dimension) || dimension === 'percent') {
      const value = parseNumber(text.replace('%', ''), localeInUse().decimal)
      if (text.trim() === '') return { ok: false, words: t.field.empty }
      if (value === null) return { ok: false, words: t.field['not-a-number'](text.trim()) }
      return { ok: true, value: dimension === 'percent' ? value / 100 : value }
    }
    const parsed = parseQuantity(text, dimension, settings.units, localeInUse().decimal)
    if (parsed.ok) return { ok: true, value: parsed.si }
    return { ok: false, words: parsed.code === 'empty' ? t.field.empty : t.field[parsed.code](parsed.found) }
  }

  /** SI, or what is wrong with it in words. */
  function parse(text: string): Parsed<number> {
    const { min, max, tooMuch } = kind()
    const read = readSi(text)
    if (!read.ok || (read.value >= min && read.value <= max)) return read
    const isTooMuch = read.value > max && tooMuch !== undefined
    return { ok: false, words: isTooMuch ? tooMuch : boundWords(min, max) }
  }

  /** Bounds in round numbers, inside of what is taken; one that nobody would meet is not said. */
  function boundWords(min: number, max: number): string {
    const { dimension } = kind()
    const scale = isCounted(dimension)
      ? 1
      : dimension === 'percent'
        ? 100
        : fromSi(1, settings.units[dimension])
    const isLinear = dimension !== 'temperature'
    const said = (value: number) => `${formatNumber(value)} ${unit.value}`.trim()
    if (!isLinear) return t.field.range(withUnit(min), withUnit(max))
    const most = said(roundDown(max * scale))
    if (min <= 0) return min === 0 ? t.field.atMost(most) : t.field.range(withUnit(min), most)
    return min < max / 1000 ? t.field.aboveZero(most) : t.field.range(said(roundUp(min * scale)), most)
  }
  return { unit, toShown, withUnit, parse }
}

/** To two figures, never past the bound. */
function roundDown(value: number): number {
  const step = 10 ** (Math.floor(Math.log10(Math.max(1e-9, value))) - 1)
  return Math.floor(value / step + 1e-9) * step
}
function roundUp(value: number): number {
  const step = 10 ** (Math.floor(Math.log10(Math.max(1e-9, value))) - 1)
  return Math.ceil(value / step - 1e-9) * step
}
