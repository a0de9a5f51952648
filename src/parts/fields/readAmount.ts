import { computed } from 'vue'
import { fromSi, parseNumber, parseQuantity, parseShare, type Dimension } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { formatNumber, localeInUse } from '@/texts'
import * as t from '@/texts/t'
import type { Parsed } from './useSavedField'

/** What a field of amounts takes: a dimension, a bare number, or a share of 1 shown in percent. */
export interface AmountKind {
  dimension: Dimension | 'number' | 'percent'
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
    if (dimension === 'number') return ''
    return dimension === 'percent' ? '%' : t.units[settings.units[dimension]]
  })

  function toShown(si: number): string {
    const { dimension } = kind()
    if (dimension === 'number') return formatNumber(si)
    if (dimension === 'percent') return formatNumber(si * 100)
    return formatNumber(fromSi(si, settings.units[dimension]))
  }
  const withUnit = (si: number) => `${toShown(si)} ${unit.value}`.trim()

  function readSi(text: string): Parsed<number> {
    const { dimension, whole } = kind()
    const share = whole === undefined ? null : parseShare(text, localeInUse().decimal)
    if (share !== null) return { ok: true, value: share * whole! }
    if (dimension === 'number' || dimension === 'percent') {
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
    return { ok: false, words: isTooMuch ? tooMuch : t.field.range(withUnit(min), withUnit(max)) }
  }

  return { unit, toShown, withUnit, parse }
}
