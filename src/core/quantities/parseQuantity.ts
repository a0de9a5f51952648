import { toSi, type Dimension, type Unit, type UnitChoice } from './units'

export type ParsedQuantity =
  | { ok: true; si: number; unit: Unit }
  | { ok: false; code: 'empty' | 'not-a-number' | 'unknown-unit' | 'wrong-dimension'; found: string }

/** How an owner writes the units; a factor turns small measures into the listed unit. */
const SPELLINGS: [RegExp, Dimension, Unit | 'gallon', number][] = [
  [/^(l|lt|ltr|litres?|liters?)$/, 'volume', 'L', 1],
  [/^(dl)$/, 'volume', 'L', 0.1],
  [/^(cl)$/, 'volume', 'L', 0.01],
  [/^(ml|cc)$/, 'volume', 'L', 0.001],
  [/^(gal|gals|gallons?|g)$/, 'volume', 'gallon', 1],
  [/^(us ?gal(lons?)?|usg|gal-us)$/, 'volume', 'gal-us', 1],
  [/^((imp(erial)?|uk) ?gal(lons?)?|gal-imp)$/, 'volume', 'gal-imp', 1],
  [/^(qt|quarts?)$/, 'volume', 'gallon', 0.25],
  [/^(kg|kgs|kilos?|kilograms?)$/, 'mass', 'kg', 1],
  [/^(lb|lbs|pounds?)$/, 'mass', 'lb', 1],
  [/^(km|kilomet(re|er)s?)$/, 'distance', 'km', 1],
  [/^(m|met(re|er)s?)$/, 'distance', 'km', 0.001],
  [/^(mi|miles?)$/, 'distance', 'mi', 1],
  [/^(m|met(re|er)s?)$/, 'length', 'm', 1],
  [/^(cm|centimet(re|er)s?)$/, 'length', 'cm', 1],
  [/^(mm|millimet(re|er)s?)$/, 'length', 'cm', 0.1],
  [/^(in|inch(es)?|")$/, 'length', 'in', 1],
  [/^(°? ?c|celsius)$/, 'temperature', 'C', 1],
  [/^(°? ?f|fahrenheit)$/, 'temperature', 'F', 1],
]

/**
 * Reads what people type: `30 gal`, `113 l`, `7,5`, `1 200 ml`, `1.5`. Without a unit the owner's own is meant;
 * a bare gallon is the owner's gallon, or the US one if they work in litres.
 * @param decimal the owner's decimal sign; it decides only what `1,200` and `1.200` mean
 */
export function parseQuantity(
  text: string,
  dimension: Dimension,
  choice: UnitChoice,
  decimal: '.' | ',' = '.',
): ParsedQuantity {
  const found = text.trim()
  if (found === '') return { ok: false, code: 'empty', found }
  const match = /^([+\-−]?[\d.,'’\s\u00a0\u202f]*\d[.,]?)\s*(.*)$/u.exec(found)
  const value = match ? parseNumber(match[1]!, decimal) : null
  if (!match || value === null) return { ok: false, code: 'not-a-number', found }
  return withUnit(value, match[2]!.trim().toLowerCase(), dimension, choice)
}

/** @returns null where the text is not one number. `7,5` and `7.5` are the same in every locale. */
export function parseNumber(text: string, decimal: '.' | ',' = '.'): number | null {
  const compact = text
    .trim()
    .replace(/[\s'’\u00a0\u202f]/gu, '')
    .replace('−', '-')
  const point = decimalSign(compact, decimal)
  const thousands = point === ',' ? '.' : ','
  const plain = compact.split(thousands).join('').replace(point, '.')
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null
}

/** The later of two different signs is the decimal one; a single sign before three digits follows the locale. */
function decimalSign(compact: string, decimal: '.' | ','): '.' | ',' {
  const comma = compact.lastIndexOf(',')
  const dot = compact.lastIndexOf('.')
  if (comma >= 0 && dot >= 0) return comma > dot ? ',' : '.'
  const sign = comma >= 0 ? ',' : '.'
  const repeated = compact.indexOf(sign) !== compact.lastIndexOf(sign)
  if (repeated) return sign === ',' ? '.' : ','
  const ambiguous = /^[+-]?[1-9]\d{0,2}[.,]\d{3}$/.test(compact)
  return ambiguous ? decimal : sign
}

function withUnit(value: number, spelled: string, dimension: Dimension, choice: UnitChoice): ParsedQuantity {
  if (spelled === '') return { ok: true, si: toSi(value, choice[dimension]), unit: choice[dimension] }
  const entries = SPELLINGS.filter(([pattern]) => pattern.test(spelled))
  // A metre is a distance or a length, as asked for.
  const entry = entries.find(([, its]) => its === dimension) ?? entries[0]
  if (!entry) return { ok: false, code: 'unknown-unit', found: spelled }
  const [, its, name, factor] = entry
  if (its !== dimension) return { ok: false, code: 'wrong-dimension', found: spelled }
  const unit = name !== 'gallon' ? name : choice.volume === 'gal-imp' ? 'gal-imp' : 'gal-us'
  return { ok: true, si: toSi(value * factor, unit), unit }
}
