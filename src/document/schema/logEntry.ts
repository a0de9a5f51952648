import { ODD_REASONS, RUN_WHATS, SHAKEDOWN_STEPS, TEXT_KINDS } from '@/core/log'
import { idField, listOf, noteField, utcField, wallTimeField } from './fields'
import { LIMITS } from './limits'
import { z } from './zod'

/** Shared by all kinds of entry; see `LogEntry` of the core. */
const head = {
  id: idField,
  revision: z.int().min(1).max(1_000_000),
  isRemoved: z.boolean(),
  rig: idField,
  stay: idField.nullable(),
  at: wallTimeField,
  utc: utcField,
  note: noteField,
}
const amount = z.number().min(0).max(LIMITS.levelL.max)
const litres = z.number().min(0).max(LIMITS.levelL.max).nullable()
const saw = z.discriminatedUnion('as', [
  z.strictObject({
    as: z.literal('panel'),
    edges: z
      .array(z.number().min(0).max(1))
      .min(1)
      .max(LIMITS.probes + 1),
    step: z.int().min(0).max(LIMITS.probes),
  }),
  z.strictObject({ as: z.literal('amount'), amount, deviation: amount }),
  z.strictObject({ as: z.literal('weight'), kg: z.number().min(0).max(LIMITS.kg.max) }),
  z.strictObject({ as: z.literal('light') }),
  z.strictObject({ as: z.literal('full') }),
  z.strictObject({ as: z.literal('dry') }),
])

const known = (limit: { min: number; max: number }) => z.number().min(limit.min).max(limit.max).nullable()
const rounds = z.int().min(0).max(LIMITS.rinses.max)
const took = z.strictObject({
  minutes: known(LIMITS.runMinutes),
  kilometres: known(LIMITS.kilometres),
  fee: known(LIMITS.fee),
  rinses: listOf(z.strictObject({ container: idField, rounds, owed: rounds })),
  drains: listOf(
    z.strictObject({ container: idField, minutes: z.number().min(0).max(LIMITS.runMinutes.max) }),
  ).optional(),
})

export const logEntrySchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...head, kind: z.literal('start'), valvesShut: z.boolean() }),
  z.strictObject({
    ...head,
    kind: z.literal('use'),
    activity: idField,
    n: z.int().min(0).max(LIMITS.usesAtOnce),
    person: idField.nullable(),
    litres,
    minutes: z.number().min(0).max(LIMITS.minutesOn).nullable(),
    isExtra: z.boolean().optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('reading'), container: idField, saw, isOffLevel: z.boolean() }),
  z.strictObject({
    ...head,
    kind: z.literal('run'),
    did: z
      .array(z.strictObject({ container: idField, what: z.enum(RUN_WHATS), litres }))
      .min(1)
      .max(LIMITS.entries),
    place: idField.nullable(),
    took: took.optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('dose'), container: idField, product: idField, amount }),
  z.strictObject({
    ...head,
    kind: z.literal('odd'),
    from: wallTimeField,
    container: idField.nullable(),
    why: z.enum(ODD_REASONS),
  }),
  z.strictObject({ ...head, kind: z.literal('shakedown'), did: z.enum(SHAKEDOWN_STEPS) }),
  z.strictObject({
    ...head,
    kind: z.enum(TEXT_KINDS),
    container: idField.nullable(),
    chore: idField.optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('end') }),
])
