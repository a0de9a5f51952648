import { PARTS } from '@/core/calendar'
import {
  ACTIVITY_KINDS,
  ADDED_FROM,
  CARRIER_KINDS,
  CAUTIONS,
  CHORE_EVERY,
  DOCUMENT_FORMAT,
  DOSED_BY,
  FLUSH_SCHOOLS,
  HANDLES,
  LAND_RULES,
  LEVEL_ERRORS,
  MEDIA,
  PRODUCT_FORMS,
  REDIRECT_ENDS,
  RIG_SIDES,
  ROLES,
  RUN_KINDS,
  QUESTIONS,
  SITE_SEWER,
  SITE_WATER,
  STEP_DOES,
  SUPPLY_KINDS,
  TAKES,
  TANK_KINDS,
  TREATED_KINDS,
  type ChoreKind,
  type Gear,
} from '@/core/domain'
import { SOURCE_IDS } from '@/core/quantities'
import {
  catalogueField,
  clockField,
  dateField,
  idField,
  listOf,
  nameField,
  noteField,
  originFields,
  utcField,
  wallTimeField,
} from './fields'
import { LIMITS } from './limits'
import { logEntrySchema } from './logEntry'
import { ownCardSchema } from './ownCard'
import { placeSchema, positionSchema, rigSizeSchema, roadSchema, waySchema } from './places'
import { z } from './zod'

const { quantity: quantityField, weights: weightsField, probes } = originFields(SOURCE_IDS)
const panel = probes(LIMITS.probes).nullable()

const named = { id: idField, name: nameField }
/** A coefficient of variation. */
const spread = quantityField(LIMITS.spread)
const capacity = quantityField(LIMITS.capacityL)
const safeFill = quantityField({ min: 0.05, max: 1 })
const carried = {
  spread,
  safeFill,
  spares: z.int().min(0).max(LIMITS.spares),
  shell: quantityField(LIMITS.kg),
}
const shape = z.strictObject({
  height: quantityField(LIMITS.heightM),
  bottom: quantityField(LIMITS.bottomM),
  error: quantityField(LIMITS.errorM),
})

const container = z.discriminatedUnion('kind', [
  z.strictObject({
    ...named,
    kind: z.enum(SUPPLY_KINDS),
    capacity,
    spread,
    reserve: quantityField(LIMITS.levelL),
    panel,
  }),
  z.strictObject({
    ...named,
    kind: z.enum(TANK_KINDS),
    capacity,
    spread,
    safeFill,
    residue: quantityField(LIMITS.levelL),
    shape: shape.nullable(),
    panel,
  }),
  z.strictObject({
    ...named,
    kind: z.enum(['cassette', 'urine']),
    capacity,
    ...carried,
    light: quantityField(LIMITS.levelL).nullable(),
  }),
  z.strictObject({
    ...named,
    kind: z.literal('solids'),
    medium: z.enum(MEDIA),
    capacity: quantityField(LIMITS.binUses),
    otherCapacity: quantityField(LIMITS.binUses),
    ...carried,
    perUse: quantityField(LIMITS.kg),
  }),
  z.strictObject({
    ...named,
    kind: z.enum(CARRIER_KINDS),
    capacity,
    shell: quantityField(LIMITS.kg),
    payload: quantityField(LIMITS.payloadKg).nullable(),
  }),
])

const fixture = z.strictObject({
  ...named,
  draws: idField.nullable(),
  drains: idField,
  solids: idField.nullable(),
  waterFactor: quantityField(LIMITS.factor),
  takes: z.enum(TAKES),
})
const roleShare = z.strictObject({
  role: z.enum(ROLES),
  fixture: idField,
  share: quantityField(LIMITS.share),
})
const outlet = z.strictObject({
  ...named,
  containers: listOf(idField),
  endValve: z.boolean(),
  rinses: idField.nullable(),
  side: z.enum(RIG_SIDES),
  handle: z.enum(HANDLES),
  bore: quantityField(LIMITS.boreM),
  joined: listOf(idField),
})

const chore = z.strictObject({
  id: idField,
  kind: catalogueField<ChoreKind>(),
  name: nameField.nullable(),
  container: idField.nullable(),
  every: listOf(
    z.strictObject({ by: z.enum(CHORE_EVERY), n: quantityField(LIMITS.choreEvery) }),
    CHORE_EVERY.length,
  ),
  done: wallTimeField.nullable(),
  snoozed: dateField.nullable(),
})

export const rigSchema = z.strictObject({
  ...named,
  containers: listOf(container).min(1),
  fixtures: listOf(fixture),
  roles: listOf(roleShare),
  outlets: listOf(outlet),
  heater: z
    .strictObject({ volume: quantityField(LIMITS.volumeL), supply: idField, counted: z.boolean() })
    .nullable(),
  gear: listOf(catalogueField<Gear>()),
  payload: z
    .strictObject({ limit: quantityField(LIMITS.payloadKg), other: quantityField(LIMITS.payloadKg) })
    .nullable(),
  size: rigSizeSchema,
  cards: listOf(ownCardSchema, LIMITS.cards),
  chores: listOf(chore, LIMITS.chores),
})

const minutes = quantityField(LIMITS.minutes)
const perMinute = quantityField(LIMITS.perMinuteL)
const timed = z.strictObject({
  flow: perMinute,
  on: minutes,
  trickle: perMinute,
  paused: minutes,
  runUp: quantityField(LIMITS.volumeL),
})

const activity = z.strictObject({
  id: idField,
  kind: z.enum(ACTIVITY_KINDS),
  name: nameField,
  role: z.enum(ROLES),
  per: z.enum(['person', 'crew']),
  rate: quantityField(LIMITS.ratePerDay),
  volume: quantityField(LIMITS.volumeL),
  timed: timed.nullable(),
  drainShare: quantityField(LIMITS.share),
  weights: weightsField,
  spread,
  levelSpread: spread,
  learned: z
    .strictObject({
      factor: z.number().min(LIMITS.ownFactor.min).max(LIMITS.ownFactor.max),
      spread: z.number().min(0).max(LIMITS.spread.max),
      entries: z.int().min(0).max(LIMITS.logEntries),
      upTo: utcField,
    })
    .nullable(),
  dispersion: z.union([z.literal(0), z.literal(1)]),
  adds: listOf(z.strictObject({ from: z.enum(ADDED_FROM), volume: quantityField(LIMITS.volumeL) }), 4),
})

const person = z.strictObject({
  id: idField,
  name: nameField,
  rates: listOf(z.strictObject({ activity: idField, rate: quantityField(LIMITS.ratePerDay) })),
})

/** One side of every question, and no question else. */
type SidesShape = { [Q in keyof typeof QUESTIONS]: z.ZodType<(typeof QUESTIONS)[Q][number]> }
const questions = Object.entries(QUESTIONS).map(([question, sides]) => [question, z.enum(sides)] as const)
const sides = z.strictObject(Object.fromEntries(questions) as unknown as SidesShape)

const product = z.strictObject({
  ...named,
  form: z.enum(PRODUCT_FORMS),
  for: listOf(z.enum(TREATED_KINDS), TREATED_KINDS.length).min(1),
  dose: quantityField(LIMITS.dose),
  per: z.enum(DOSED_BY),
  perLitres: quantityField(LIMITS.capacityL),
  stock: quantityField(LIMITS.stock),
})

export const crewSchema = z.strictObject({
  id: idField,
  name: nameField,
  persons: listOf(person, LIMITS.persons).min(1),
  activities: listOf(activity),
  heat: z.strictObject({
    above: quantityField(LIMITS.celsius),
    drinking: quantityField(LIMITS.volumeL),
    showers: quantityField(LIMITS.factor),
  }),
  liftLimit: quantityField(LIMITS.kg),
  flushFloor: quantityField(LIMITS.volumeL),
  flush: z.strictObject({
    school: z.enum(FLUSH_SCHOOLS),
    plenty: quantityField(LIMITS.volumeL),
    rinsesAtFloor: quantityField(LIMITS.rinses),
    rinsesAtPlenty: quantityField(LIMITS.rinses),
  }),
  schools: z.strictObject({
    sides,
    smallCharge: quantityField(LIMITS.volumeL),
    largeCharge: quantityField(LIMITS.volumeL),
    chargeShare: quantityField(LIMITS.share),
    blackThreshold: quantityField(LIMITS.share),
    topUpTo: quantityField(LIMITS.share),
    roadReserve: quantityField(LIMITS.volumeL),
    hoseGray: quantityField(LIMITS.volumeL),
    rinseTo: quantityField(LIMITS.share),
    rinseRounds: quantityField(LIMITS.rinses),
    hoseFlow: quantityField(LIMITS.perMinuteL),
  }),
  costs: z.strictObject({
    money: quantityField(LIMITS.worth),
    minute: quantityField(LIMITS.worth),
    kilometre: quantityField(LIMITS.worth),
    litre: quantityField(LIMITS.worth),
    bother: quantityField(LIMITS.worth),
  }),
  road: roadSchema,
  products: listOf(product, LIMITS.products),
  mediumStock: quantityField(LIMITS.mediumStock),
  saves: listOf(idField),
})

const effect = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rate'), activity: idField, factor: quantityField(LIMITS.factor) }),
  z.strictObject({ kind: z.literal('volume'), activity: idField, factor: quantityField(LIMITS.factor) }),
  z.strictObject({
    kind: z.literal('replace'),
    activity: idField,
    volume: quantityField(LIMITS.volumeL),
    trickle: quantityField(LIMITS.volumeL).nullable(),
  }),
  z.strictObject({ kind: z.literal('trickle'), activity: idField, factor: quantityField(LIMITS.share) }),
  z.strictObject({
    kind: z.literal('adds'),
    activity: idField,
    from: z.enum(ADDED_FROM),
    factor: quantityField(LIMITS.factor),
  }),
  z.strictObject({ kind: z.literal('bring'), activity: idField, share: quantityField(LIMITS.share) }),
  z.strictObject({
    kind: z.literal('redirect'),
    activity: idField,
    share: quantityField(LIMITS.share),
    to: z.enum([...REDIRECT_ENDS, 'gray', 'black', 'cassette', 'urine']),
  }),
  z.strictObject({ kind: z.literal('catch'), activity: idField, share: quantityField(LIMITS.share) }),
  z.strictObject({ kind: z.literal('reuse'), activity: idField, share: quantityField(LIMITS.share) }),
])

export const habitSchema = z.strictObject({
  id: idField,
  name: nameField,
  note: noteField,
  group: idField.nullable(),
  where: idField.nullable(),
  effects: listOf(effect),
  vessel: z.strictObject({ capacity: quantityField(LIMITS.capacityL), clean: z.boolean() }).nullable(),
  when: z.strictObject({
    parts: listOf(z.enum(PARTS), PARTS.length).min(1).nullable(),
    daylight: z.boolean(),
    lowest: quantityField(LIMITS.celsius).nullable(),
  }),
  gear: listOf(catalogueField<Gear>()),
  permission: z.enum(LAND_RULES).nullable(),
  cautions: listOf(z.enum(CAUTIONS)),
  bother: quantityField(LIMITS.bother),
})

const day = z.int().min(LIMITS.day.min).max(LIMITS.day.max)
const days = z.tuple([day, day])
const weekday = z.int().min(1).max(7)

const levelError = z.strictObject({ shape: z.enum(LEVEL_ERRORS), size: quantityField(LIMITS.levelL) })

const litresField = quantityField(LIMITS.levelL)
const run = z.strictObject({
  ...named,
  kind: z.enum(RUN_KINDS),
  day,
  part: z.enum(PARTS),
  place: idField.nullable(),
  steps: listOf(
    z.strictObject({
      do: z.enum(STEP_DOES),
      from: idField.nullable(),
      to: idField.nullable(),
      amount: z.discriminatedUnion('as', [
        z.strictObject({ as: z.enum(['all', 'one', 'school']) }),
        z.strictObject({ as: z.enum(['level', 'most']), litres: litresField }),
        z.strictObject({ as: z.literal('head'), within: litresField }),
      ]),
      loads: z.int().min(1).max(LIMITS.loads),
    }),
    LIMITS.runSteps,
  ),
  minutes: quantityField(LIMITS.runMinutes),
  kilometres: quantityField(LIMITS.kilometres),
  fee: quantityField(LIMITS.fee),
  bother: quantityField(LIMITS.bother),
})

const swapped = z.number().min(LIMITS.usesSwapped.min).max(LIMITS.usesSwapped.max)

export const staySchema = z.strictObject({
  id: idField,
  name: nameField,
  rig: idField,
  crew: idField,
  start: wallTimeField,
  leaveAt: wallTimeField,
  horizonDays: quantityField(LIMITS.horizonDays),
  confidence: quantityField(LIMITS.confidence),
  levels: listOf(
    z.strictObject({ container: idField, level: quantityField(LIMITS.levelL), error: levelError }),
  ),
  habits: listOf(
    z.strictObject({
      habit: idField,
      days: days.nullable(),
      persons: listOf(idField, LIMITS.persons).min(1).nullable(),
    }),
  ),
  absences: listOf(
    z.strictObject({
      person: idField,
      part: z.enum(PARTS),
      days,
      weekdays: listOf(weekday, 7).min(1).nullable(),
    }),
    LIMITS.absences,
  ),
  guests: listOf(z.strictObject({ person: idField, days }), LIMITS.persons),
  rules: listOf(
    z.strictObject({
      rule: z.enum(LAND_RULES),
      allowed: z.boolean(),
      litres: z.number().min(0).max(LIMITS.volumeL.max).nullable(),
      source: noteField,
      date: dateField,
    }),
  ),
  counted: listOf(
    z.strictObject({ activity: idField, from: wallTimeField, until: wallTimeField.nullable() }),
    LIMITS.absences,
  ),
  weather: z.strictObject({
    usual: quantityField(LIMITS.celsius),
    spread: quantityField(LIMITS.celsiusSpread),
    days: listOf(z.strictObject({ day, warmest: quantityField(LIMITS.celsius) }), LIMITS.day.max),
    sunrise: clockField,
    sunset: clockField,
  }),
  site: z.strictObject({
    water: z.enum(SITE_WATER),
    sewer: z.enum(SITE_SEWER),
    toilets: z.boolean(),
    isPrivate: z.boolean(),
    hookupNights: z.int().min(0).max(LIMITS.day.max),
    stayLimit: z.int().min(1).max(LIMITS.day.max).nullable(),
    quiet: z.strictObject({ from: clockField, until: clockField }).nullable(),
    position: positionSchema.nullable(),
  }),
  places: listOf(placeSchema, LIMITS.places),
  ways: listOf(waySchema, LIMITS.places),
  follows: idField.nullable(),
  endsAt: quantityField(LIMITS.share).nullable(),
  runs: listOf(run, LIMITS.runs),
  budget: z.strictObject({
    night: day.nullable(),
    confidence: quantityField(LIMITS.confidence).nullable(),
    apart: listOf(
      z.strictObject({ person: idField, activity: idField, rate: quantityField(LIMITS.ratePerDay) }),
      LIMITS.apart,
    ),
    swaps: listOf(
      z.strictObject({ day, less: idField, by: swapped, more: idField, plus: swapped }),
      LIMITS.swaps,
    ),
    declined: listOf(idField, LIMITS.declined),
  }),
})

/** Document version 11; `docs/format.md` says it in words. Once shipped it is frozen: a change is a new version with a migration. */
export const documentSchema = z.strictObject({
  format: z.literal(DOCUMENT_FORMAT),
  version: z.literal(11),
  currentStay: idField.nullable(),
  rigs: listOf(rigSchema),
  crews: listOf(crewSchema),
  habits: listOf(habitSchema),
  stays: listOf(staySchema),
})

/** A file: the document and its log, which a browser keeps apart. */
export const fileSchema = documentSchema.extend({ log: z.array(logEntrySchema).max(LIMITS.logEntries) })
