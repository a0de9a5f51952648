import { ACCEPTED, APPROACHES, OFFERS, PLACE_ACCESS, PLACE_RULES, PLACE_WATER } from '@/core/domain'
import { SOURCE_IDS } from '@/core/quantities'
import { dateField, idField, listOf, nameField, noteField, openingField, originFields } from './fields'
import { LIMITS } from './limits'
import { z } from './zod'

const { quantity: quantityField } = originFields(SOURCE_IDS)

export const positionSchema = z.strictObject({
  lat: z.number().min(LIMITS.latitude.min).max(LIMITS.latitude.max),
  lon: z.number().min(LIMITS.longitude.min).max(LIMITS.longitude.max),
})

const point = {
  id: idField,
  name: nameField,
  accepts: listOf(z.enum(ACCEPTED), ACCEPTED.length).nullable(),
  water: z.enum(PLACE_WATER),
  rule: z.enum(PLACE_RULES),
  flow: quantityField(LIMITS.perMinuteL).nullable(),
}

export const placeSchema = z.strictObject({
  ...point,
  points: listOf(z.strictObject(point), LIMITS.points),
  isHome: z.boolean(),
  position: positionSchema.nullable(),
  opening: openingField.nullable(),
  access: z.enum(PLACE_ACCESS),
  fee: quantityField(LIMITS.fee).nullable(),
  maxHeight: quantityField(LIMITS.rigHeightM).nullable(),
  maxLength: quantityField(LIMITS.rigLengthM).nullable(),
  approach: z.enum(APPROACHES),
  queue: quantityField(LIMITS.runMinutes),
  offers: listOf(z.enum(OFFERS), OFFERS.length),
  note: noteField,
  verified: dateField.nullable(),
})

export const waySchema = z.strictObject({
  place: idField,
  kilometres: quantityField(LIMITS.kilometres).nullable(),
  minutes: quantityField(LIMITS.runMinutes).nullable(),
})

export const roadSchema = z.strictObject({
  factor: quantityField(LIMITS.roadFactor),
  speed: quantityField(LIMITS.kmPerHour),
  packing: quantityField(LIMITS.runMinutes),
  service: quantityField(LIMITS.runMinutes),
})

export const rigSizeSchema = z.strictObject({
  height: quantityField(LIMITS.rigHeightM).nullable(),
  length: quantityField(LIMITS.rigLengthM).nullable(),
})
