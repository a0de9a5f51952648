import { FLOW_ENDS } from '@/core/model'
import { SOURCE_IDS } from '@/core/quantities'
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

/** Plain text, no markup and no control characters. */
const plain = (max: number) =>
  z
    .string()
    .max(max)
    .regex(/^[^<>\p{Cc}]*$/u)
export const nameField = plain(LIMITS.nameLength).regex(/\S/)
export const noteField = plain(LIMITS.noteLength)

export const wallTimeField = z.string().refine(isWallTime, { params: { code: 'bad-time' } })

const owner = z.strictObject({ by: z.literal('owner') })
const learned = z.strictObject({ by: z.literal('learned') })
const byDefault = z.strictObject({ by: z.literal('default'), source: z.enum(SOURCE_IDS) })

/** A value with its origin; see `Quantity` of the core. */
function withOrigin<T extends z.core.$ZodShape>(shape: T) {
  return z.discriminatedUnion('by', [owner.extend(shape), learned.extend(shape), byDefault.extend(shape)])
}

export function quantityField({ min, max }: Range) {
  return withOrigin({ value: z.number().min(min).max(max) })
}

const weight = z.number().min(0).max(1)
export const weightsField = withOrigin({ values: z.tuple([weight, weight, weight, weight]) })

export function listOf<T extends z.ZodType>(entry: T, max: number = LIMITS.entries) {
  return z.array(entry).max(max)
}
