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

  /** As it is shown and typed. */
  function toOwn(si: number): number {
    const { dimension } = kind()
    if (isCounted(dimension)) return si
    return dimension === 'percent' ? si * 100 : fromSi(si, settings.units[dimension])
  }
  const toShown = (si: number) => formatNumber(toOwn(si))
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
    if (read.value < min) return { ok: false, words: t.field.atLeast(bound(min, Math.ceil)) }
    return { ok: false, words: tooMuch ?? t.field.atMost(bound(max, Math.floor)) }
  }

  /** A bound in a round number of the owner's unit that is itself taken. */
  const bound = (si: number, inward: (n: number) => number) =>
    `${formatNumber(toTwoFigures(toOwn(si), inward))} ${unit.value}`.trim()
  return { unit, toShown, withUnit, parse }
}

/** As many decimals as are shown, no more. */
const FINEST = 0.01
function toTwoFigures(value: number, inward: (n: number) => number): number {
  const step = value === 0 ? 1 : Math.max(FINEST, 10 ** (Math.floor(Math.log10(Math.abs(value))) - 1))
  // What is a whole number of steps but for its last bits stays that.
  const steps = value / step
  return (
    (Math.abs(steps - Math.round(steps)) < 1e-9 * Math.abs(steps) ? Math.round(steps) : inward(steps)) * step
  )
}
