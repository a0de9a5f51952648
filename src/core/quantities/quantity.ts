/** Litres of liquid. Solids bins hold uses instead; the unit stands beside every such number. */
export type Litres = number
/** Of what a container holds: L, or uses of a solids bin. */
export type Amount = number
/** A number of something a day. */
export type PerDay = number
/** Days, fractional, from the start of the stay. */
export type Days = number
/** A share of a whole, 0 to 1. */
export type Share = number
/** What a number is multiplied by, > 0. */
export type Factor = number
/** A coefficient of variation, >= 0: the standard deviation as a share of the mean. */
export type Cv = number
export type Metres = number
export type Kilograms = number
export type Celsius = number
export type Seconds = number

/** Where a number in a document comes from. A default names its source (`sources.ts`). */
export type Origin = { by: 'owner' } | { by: 'learned' } | { by: 'default'; source: SourceId }

/** A number with its origin. The unit is the field's: SI, so litres, metres, kilograms, seconds, days. */
export type Quantity = { value: number } & Origin

/** Sources of defaults, cited in full in the texts; `assumed` means that no public figure was found. */
export const SOURCE_IDS = [
  'rose-2015',
  'iom-2005',
  'sphere',
  'watersense',
  'gravity-flush',
  'iso-11228',
  'rule-of-thumb',
  'assumed',
] as const
export type SourceId = (typeof SOURCE_IDS)[number]

/** A number the owner gave. */
export function owned(value: number): Quantity {
  return { value, by: 'owner' }
}

/** A starting point, with the source it stands on. */
export function fromSource(value: number, source: SourceId): Quantity {
  return { value, by: 'default', source }
}
