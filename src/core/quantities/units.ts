/** What is measured. Everything inside is held in the first unit of its list (SI). */
export const UNITS = {
  volume: ['L', 'gal-us', 'gal-imp'],
  mass: ['kg', 'lb'],
  distance: ['km', 'mi'],
  temperature: ['C', 'F'],
  length: ['m', 'cm', 'in'],
} as const

export type Dimension = keyof typeof UNITS
export type Unit<D extends Dimension = Dimension> = (typeof UNITS)[D][number]

/** One unit per dimension, chosen by the user; mixed as they like, never stored in a document. */
export type UnitChoice = { [D in Dimension]: Unit<D> }

/** value in SI = value in unit × factor + offset. Exact by definition (international yard and pound, 1959). */
const TO_SI: Record<Unit, { factor: number; offset: number }> = {
  L: { factor: 1, offset: 0 },
  'gal-us': { factor: 3.785411784, offset: 0 },
  'gal-imp': { factor: 4.54609, offset: 0 },
  kg: { factor: 1, offset: 0 },
  lb: { factor: 0.45359237, offset: 0 },
  km: { factor: 1, offset: 0 },
  mi: { factor: 1.609344, offset: 0 },
  m: { factor: 1, offset: 0 },
  cm: { factor: 0.01, offset: 0 },
  in: { factor: 0.0254, offset: 0 },
  C: { factor: 1, offset: 0 },
  F: { factor: 5 / 9, offset: -160 / 9 },
}

/** @returns the amount in the SI unit of its dimension (L, kg, km, °C, m). */
export function toSi(value: number, unit: Unit): number {
  const { factor, offset } = TO_SI[unit]
  return value * factor + offset
}

/** The inverse of `toSi`. */
export function fromSi(value: number, unit: Unit): number {
  const { factor, offset } = TO_SI[unit]
  return (value - offset) / factor
}

const METRIC: UnitChoice = { volume: 'L', mass: 'kg', distance: 'km', temperature: 'C', length: 'cm' }

/** What most people mean by their units, in one choice; single ones can differ. */
export const UNIT_SYSTEMS: Record<UnitSystem, UnitChoice> = {
  metric: METRIC,
  us: { volume: 'gal-us', mass: 'lb', distance: 'mi', temperature: 'F', length: 'in' },
  imperial: { volume: 'gal-imp', mass: 'lb', distance: 'mi', temperature: 'C', length: 'in' },
}
export type UnitSystem = 'metric' | 'us' | 'imperial'

/** The system of a choice of units: that of its water. */
export function systemOf({ volume }: UnitChoice): UnitSystem {
  return volume === 'L' ? 'metric' : volume === 'gal-us' ? 'us' : 'imperial'
}

/**
 * A first guess at what somebody reads: US customary for the US, Liberia and Myanmar; metric elsewhere,
 * in the United Kingdom too, where tanks are sold in litres: what is called litres and metres has no miles in it.
 * @param locale a BCP 47 tag such as `en-GB`
 */
export function unitsForLocale(locale: string): UnitChoice {
  const region = /[-_]([A-Za-z]{2})(?:$|[-_])/.exec(locale)?.[1]?.toUpperCase()
  if (region === 'US' || region === 'LR' || region === 'MM') return UNIT_SYSTEMS.us
  return METRIC
}
