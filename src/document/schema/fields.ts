import { FLOW_ENDS } from '@/core/domain'
import { isWallTime } from '@/core/calendar'
import { LIMITS } from './limits'
import { z } from './zod'

interface Range {
  min: number
  max: number
}

export const idField = z
  .string()
  .max(LIMITS.idLength)
  .regex(/^[A-Za-z0-9][A-Za-z0-9_-]*$/)
  .refine((id) => !(FLOW_ENDS as readonly string[]).includes(id), { params: { code: 'reserved-id' } })

/**
 * An id of a catalogue that grows: the schema holds its form only, `catalogueChecks` whether there is such a one. So a new one needs
 * no new document version.
 */
export const catalogueField = <T extends string>() =>
  z
    .string()
    .max(LIMITS.idLength)
    .regex(/^[a-z][a-z0-9-]*$/) as unknown as z.ZodType<T, T>

/** Plain text, no markup and no control characters. */
const plain = (max: number) =>
  z
    .string()
    .max(max)
    .regex(/^[^<>\p{Cc}]*$/u)
export const nameField = plain(LIMITS.nameLength).regex(/\S/)
export const noteField = plain(LIMITS.noteLength)

/** The notation has comparison signs in it; nothing of it is ever shown as markup. */
export const openingField = z
  .string()
  .max(LIMITS.openingLength)
  .regex(/^[^<\p{Cc}]*$/u)
  .regex(/\S/)

/** `hh:mm` on the wall. */
export const clockField = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)
/** `YYYY-MM-DD`, a real day. */
export const dateField = z
  .string()
  .refine((date) => isWallTime(`${date}T00:00`), { params: { code: 'bad-time' } })
export const wallTimeField = z.string().refine(isWallTime, { params: { code: 'bad-time' } })

/** ISO 8601 in UTC, to the millisecond. */
export const utcField = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/)
  .refine((utc) => isWallTime(utc.slice(0, 16)), { params: { code: 'bad-time' } })

/** Fields with an origin, for the sources that a version of the document knows. */
export function originFields<const S extends string>(sources: readonly S[]) {
  const owner = z.strictObject({ by: z.literal('owner') })
  const learned = z.strictObject({ by: z.literal('learned') })
  const byDefault = z.strictObject({ by: z.literal('default'), source: z.enum(sources) })
  /** A value with its origin; see `Quantity` of the core. */
  const withOrigin = <T extends z.core.$ZodShape>(shape: T) =>
    z.discriminatedUnion('by', [owner.extend(shape), learned.extend(shape), byDefault.extend(shape)])
  const weight = z.number().min(0).max(1)
  return {
    quantity: ({ min, max }: Range) => withOrigin({ value: z.number().min(min).max(max) }),
    weights: withOrigin({ values: z.tuple([weight, weight, weight, weight]) }),
    probes: (most: number) => withOrigin({ probes: z.array(weight).min(1).max(most) }),
  }
}

export function listOf<T extends z.ZodType>(entry: T, max: number = LIMITS.entries) {
  return z.array(entry).max(max)
}
