import { PARTS } from '@/core/calendar'
import { DOCUMENT_FORMAT } from '@/core/model'
import { idField, listOf, nameField, noteField, originFields, wallTimeField } from './fields'
import { LIMITS } from './limits'
import { z } from './zod'

// Version 1 knew these; they stay as they were.
const ROLES = ['shower', 'kitchen', 'basin', 'toilet', 'laundry', 'outdoor-shower'] as const
const ACTIVITY_KINDS = [
  'shower', 'hand-wash', 'teeth', 'dishes', 'cooking', 'drinking', 'liquid-use', 'solid-use',
  'cleaning', 'laundry', 'pet', 'own',
] as const // prettier-ignore
const { quantity: quantityField, weights: weightsField } = originFields([
  'rose-2015', 'iom-2005', 'sphere', 'watersense', 'gravity-flush', 'rule-of-thumb', 'assumed',
]) // prettier-ignore

const supply = z.strictObject({
  id: idField,
  name: nameField,
  kind: z.enum(['fresh']),
  capacity: quantityField(LIMITS.capacityL),
  reserve: quantityField(LIMITS.levelL),
})

const waste = z.strictObject({
  id: idField,
  name: nameField,
  kind: z.enum(['gray', 'black']),
  capacity: quantityField(LIMITS.capacityL),
  safeFill: quantityField({ min: 0.05, max: 1 }),
})

const fixture = z.strictObject({ id: idField, name: nameField, draws: idField.nullable(), drains: idField })
const roleShare = z.strictObject({
  role: z.enum(ROLES),
  fixture: idField,
  share: quantityField(LIMITS.share),
})

const rigSchema = z.strictObject({
  id: idField,
  name: nameField,
  containers: listOf(z.discriminatedUnion('kind', [supply, waste])).min(1),
  fixtures: listOf(fixture),
  roles: listOf(roleShare),
})

const activity = z.strictObject({
  id: idField,
  kind: z.enum(ACTIVITY_KINDS),
  name: nameField,
  role: z.enum(ROLES),
  per: z.enum(['person', 'crew']),
  rate: quantityField(LIMITS.ratePerDay),
  volume: quantityField(LIMITS.volumeL),
  drainShare: quantityField(LIMITS.share),
  weights: weightsField,
  spread: quantityField(LIMITS.spread),
  dispersion: z.union([z.literal(0), z.literal(1)]),
  adds: listOf(
    z.strictObject({ from: z.enum(['body', 'brought-in']), volume: quantityField(LIMITS.volumeL) }),
    4,
  ),
})

const person = z.strictObject({
  id: idField,
  name: nameField,
  rates: listOf(z.strictObject({ activity: idField, rate: quantityField(LIMITS.ratePerDay) })),
})

const crewSchema = z.strictObject({
  id: idField,
  name: nameField,
  persons: listOf(person, LIMITS.persons).min(1),
  activities: listOf(activity),
})

const effect = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rate'), activity: idField, factor: quantityField(LIMITS.factor) }),
  z.strictObject({ kind: z.literal('volume'), activity: idField, factor: quantityField(LIMITS.factor) }),
  z.strictObject({ kind: z.literal('replace'), activity: idField, volume: quantityField(LIMITS.volumeL) }),
])

const habitSchema = z.strictObject({
  id: idField,
  name: nameField,
  note: noteField,
  group: idField.nullable(),
  effects: listOf(effect),
  bother: quantityField(LIMITS.bother),
})

const day = z.int().min(LIMITS.day.min).max(LIMITS.day.max)

const staySchema = z.strictObject({
  id: idField,
  name: nameField,
  rig: idField,
  crew: idField,
  start: wallTimeField,
  leaveAt: wallTimeField,
  horizonDays: quantityField(LIMITS.horizonDays),
  levels: listOf(z.strictObject({ container: idField, level: quantityField(LIMITS.levelL) })),
  habits: listOf(z.strictObject({ habit: idField, days: z.tuple([day, day]).nullable() })),
  absences: listOf(z.strictObject({ person: idField, day, part: z.enum(PARTS) }), LIMITS.absences),
})

/** Document version 1; `docs/format.md` says it in words. Frozen: a change is a new version with a migration. */
export const documentSchemaV1 = z.strictObject({
  format: z.literal(DOCUMENT_FORMAT),
  version: z.literal(1),
  currentStay: idField.nullable(),
  rigs: listOf(rigSchema),
  crews: listOf(crewSchema),
  habits: listOf(habitSchema),
  stays: listOf(staySchema),
})
