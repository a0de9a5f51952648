export { SOURCE_IDS, fromSource, owned } from './quantity'
export type {
  Amount,
  Celsius,
  Cv,
  Factor,
  Days,
  Kilograms,
  Litres,
  Metres,
  Origin,
  PerDay,
  Quantity,
  Seconds,
  Share,
  SourceId,
} from './quantity'
export { parseNumber, parseQuantity } from './parseQuantity'
export { parseShare } from './parseShare'
export type { ParsedQuantity } from './parseQuantity'
export { roundIn } from './roundIn'
export { UNITS, UNIT_SYSTEMS, systemOf, fromSi, toSi, unitsForLocale } from './units'
export type { Dimension, Unit, UnitChoice, UnitSystem } from './units'
