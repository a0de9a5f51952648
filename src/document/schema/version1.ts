import { PARTS } from '@/core/calendar'
import { ACTIVITY_KINDS, DOCUMENT_FORMAT, ROLES, SUPPLY_KINDS, WASTE_KINDS } from '@/core/model'
import { idField, listOf, nameField, noteField, quantityField, wallTimeField, weightsField } from './fields'
import { LIMITS } from './limits'
import { z } from './zod'

const supply = z.strictObject({
  id: idField,
  name: nameField,
  kind: z.enum(SUPPLY_KINDS),
  capacity: quantityField(LIMITS.capacityL),
  reserve: quantityField(LIMITS.levelL),
})

const waste = z.strictObject({
  id: idField,
  name: nameField,
  kind: z.enum(WASTE_KINDS),
  capacity: quantityField(LIMITS.capacityL),
  safeFill: quantityField({ min: 0.05, max: 1 }),
})

const fixture = z.strictObject({ id: idField, name: nameField, draws: idField.nullable(), drains: idField })
const roleShare = z.strictObject({
  role: z.enum(ROLES),
  fixture: idField,
  share: quantityField(LIMITS.share),
})

export const rigSchema = z.strictObject({
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

export const crewSchema = z.strictObject({
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

export const habitSchema = z.strictObject({
  id: idField,
  name: nameField,
  note: noteField,
  group: idField.nullable(),
  effects: listOf(effect),
  bother: quantityField(LIMITS.bother),
})

const day = z.int().min(LIMITS.day.min).max(LIMITS.day.max)

export const staySchema = z.strictObject({
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
