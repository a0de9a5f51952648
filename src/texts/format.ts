import { fromSi, type Dimension, type Quantity, type Unit, type UnitChoice } from '@/core/quantities'
import * as words from './en/words'
import { localeInUse } from './locale'

/** Making a formatter takes far longer than using it. */
const formatters = new Map<string, Intl.NumberFormat>()
function formatter(least: number, most: number, useGrouping: boolean): Intl.NumberFormat {
  const { numbers } = localeInUse()
  const key = `${numbers} ${least} ${most} ${String(useGrouping)}`
  const known = formatters.get(key)
  if (known) return known
  const made = new Intl.NumberFormat(numbers, {
    minimumFractionDigits: least,
    maximumFractionDigits: most,
    useGrouping,
  })
  formatters.set(key, made)
  return made
}

/** A number with at most so many decimals and no grouping, so that what is shown can be typed again. */
export function formatNumber(value: number, decimals = 2): string {
  const clean = Math.abs(value) < 0.5 * 10 ** -decimals ? 0 : value
  return formatter(0, decimals, false).format(clean).replace('-', '−')
}

/** Where a number comes from, in words. */
export function formatSource(quantity: Quantity): string {
  return quantity.by === 'default' ? words.sources[quantity.source] : words.origins[quantity.by]
}

/** A count of things, grouped: `10,000`. */
export function formatCount(n: number): string {
  return formatter(0, 0, true).format(n)
}

/** An amount in the owner's unit, with its unit: as many decimals as its size deserves. */
export function formatQuantity(si: number, dimension: Dimension, choice: UnitChoice): string {
  const unit: Unit = choice[dimension]
  const value = fromSi(si, unit)
  return `${formatNumber(value, decimalsFor(value))}\u00a0${words.units[unit]}`
}

/** A way by road: whole units from ten on. */
export function formatRoad(kilometres: number, choice: UnitChoice): string {
  const value = fromSi(kilometres, choice.distance)
  return `${formatNumber(value, value < 9.95 && Math.abs(value - Math.round(value)) > 0.05 ? 1 : 0)}\u00a0${words.units[choice.distance]}`
}

/** What is in a tank, to the two figures a gauge can be read to; whole units at the coarsest, as its field has them. */
export function formatLevel(litres: number, choice: UnitChoice): string {
  const value = fromSi(litres, choice.volume)
  return `${formatGauge(value)}\u00a0${words.units[choice.volume]}`
}

/** The same of a bin's uses. */
export function formatGauge(value: number): string {
  const size = Math.abs(value)
  return formatNumber(value, size >= 9.95 ? 0 : size >= 0.995 ? 1 : 2)
}

export function formatVolume(litres: number, choice: UnitChoice): string {
  return formatQuantity(litres, 'volume', choice)
}

/** The same as a factor of a sum: as many figures as it takes that the factors shown make what is shown of the sum. */
export function formatFactor(si: number, dimension: Dimension, choice: UnitChoice): string {
  const unit: Unit = choice[dimension]
  return `${formatFigures(fromSi(si, unit))}\u00a0${words.units[unit]}`
}

const FIGURES = 3
/** A number to three figures at least, and no fewer before the point than it has. */
export function formatFigures(value: number): string {
  if (value === 0) return '0'
  const decimals = FIGURES - 1 - Math.floor(Math.log10(Math.abs(value)))
  return formatNumber(value, Math.min(6, Math.max(0, decimals)))
}

/** Days to a tenth; never rounded up to a day that is not there. */
export function formatDays(days: number): string {
  const tenths = Math.floor(Math.abs(days) * 10 + 1e-6) / 10
  return formatter(1, 1, true).format(Math.sign(days) * tenths)
}

/** `+1.2`, `−0.4`, `0`: a difference in days, to a tenth. */
export function formatSigned(days: number): string {
  const rounded = Math.round(days * 10) / 10
  if (rounded === 0) return '0'
  return `${rounded > 0 ? '+' : '−'}${formatter(1, 1, false).format(Math.abs(rounded))}`
}

function decimalsFor(value: number): number {
  const size = Math.abs(value)
  return size >= 20 ? 0 : size >= 3 ? 1 : 2
}

/** A dose as somebody can measure it: to five from fifty on, to one from five on. */
export function roundedDose(amount: number): number {
  return amount >= 50
    ? Math.round(amount / 5) * 5
    : amount >= 5
      ? Math.round(amount)
      : Math.round(amount * 10) / 10
}
