import fc from 'fast-check'
import { PARTS } from '@/core/calendar'
import { fillOf } from '@/core/domain'
import type { Activity, Crew, Document, Effect, Habit, Rig, Role, Stay } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newHabit, newOutlet } from '@/document/edits'
import {
  assumedCrew,
  assumedWeather,
  bareSite,
  newContainer,
  newFixture,
  startLevel,
} from '@/document/starters'

const ROLES_USED: Role[] = ['shower', 'kitchen', 'basin', 'toilet']
const litres = (min: number, max: number) => fc.double({ min, max, noNaN: true })

/** Toilets of every kind; the first of two may divert. */
const TOILETS = ['black', 'cassette', 'diverting', 'diverting-tank', 'none'] as const

const rigArb: fc.Arbitrary<Rig> = fc
  .record({
    fresh: fc.array(litres(20, 400), { minLength: 1, maxLength: 2 }),
    gray: fc.array(litres(20, 250), { minLength: 1, maxLength: 3 }),
    black: litres(20, 180),
    routes: fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean()), { minLength: 6, maxLength: 6 }),
    split: litres(0, 1),
    toilet: fc.constantFrom(...TOILETS),
    spares: fc.nat(2),
    joined: fc.boolean(),
    shaped: fc.boolean(),
    heater: fc.boolean(),
    takes: fc.constantFrom('all' as const, 'liquids' as const),
  })
  .map(({ fresh, gray, black, routes, split, toilet, spares, joined, shaped, heater, takes }) => {
    const supplies = [
      ...fresh.map((size, i) => newContainer('fresh', `fresh-${i}`, `Fresh ${i}`, size)),
      newContainer('flush', 'flush', 'Flush', 30),
    ]
    const shape = (i: number) => ({ height: owned(0.3), bottom: owned(0.1 * i), error: owned(0.01) })
    const tanks = [
      ...gray.map((size, i) => newContainer('gray', `gray-${i}`, `gray ${i}`, size)),
      newContainer('black', 'black', 'Black', black),
    ].map((tank, i) => ('shape' in tank && shaped ? { ...tank, shape: shape(i) } : tank))
    const carried = [
      newContainer('cassette', 'cassette', 'Cassette'),
      newContainer('urine', 'urine', 'Urine jug', 12),
      newContainer('solids', 'solids', 'Solids bin', 40),
    ].map((container) => ('spares' in container ? { ...container, spares } : container))
    const fixtures = routes.map(([from, to, piped], i) =>
      newFixture(
        `fixture-${i}`,
        `Fixture ${i}`,
        piped || i < 3 ? supplies[from % supplies.length]!.id : null,
        tanks[to % tanks.length]!.id,
      ),
    )
    if (toilet === 'cassette') fixtures[3] = newFixture('fixture-3', 'Cassette toilet', 'flush', 'cassette')
    if (toilet.startsWith('diverting'))
      fixtures[3] = {
        ...newFixture('fixture-3', 'Diverting toilet', null, toilet === 'diverting' ? 'urine' : 'gray-0'),
        solids: 'solids',
        waterFactor: owned(0),
      }
    fixtures[5] = { ...fixtures[5]!, takes, waterFactor: owned(0.5) }
    const both = ['gray-0', 'black']
    return {
      id: 'rig',
      name: 'Rig',
      containers: [...supplies, ...tanks, ...carried, newContainer('tote', 'tote', 'Tote')],
      fixtures,
      roles: [
        { role: 'shower', fixture: 'fixture-0', share: owned(split) },
        { role: 'shower', fixture: 'fixture-4', share: owned(1 - split) },
        { role: 'kitchen', fixture: 'fixture-1', share: owned(1) },
        { role: 'basin', fixture: 'fixture-2', share: owned(1) },
        ...(toilet === 'none'
          ? []
          : [
              { role: 'toilet' as const, fixture: 'fixture-3', share: owned(split) },
              { role: 'toilet' as const, fixture: 'fixture-5', share: owned(1 - split) },
            ]),
      ],
      outlets: [
        { ...newOutlet('outlet', 'Outlet'), containers: both, endValve: true, joined: joined ? both : [] },
      ],
      heater: heater ? { volume: owned(20), supply: 'fresh-0', counted: split < 0.5 } : null,
      gear: [],
      payload: null,
      size: { height: null, length: null },
      cards: [],
      chores: [],
    }
  })

const weightsArb = fc
  .tuple(fc.nat(8), fc.nat(8), fc.nat(8), fc.integer({ min: 1, max: 8 }))
  .map((w): [number, number, number, number] => {
    const total = w.reduce((a, b) => a + b, 0)
    return [w[0] / total, w[1] / total, w[2] / total, w[3] / total]
  })

const activityArb = (i: number): fc.Arbitrary<Activity> =>
  fc
    .record({
      role: fc.constantFrom(...ROLES_USED),
      per: fc.constantFrom('person' as const, 'crew' as const),
      rate: litres(0, 6),
      volume: litres(0, 20),
      drainShare: fc.constantFrom(0, 0.25, 0.9, 1),
      weights: weightsArb,
      body: litres(0, 0.5),
      toilet: fc.boolean(),
      kind: fc.constantFrom('own' as const, 'solid-use' as const, 'liquid-use' as const),
      timed: fc.boolean(),
    })
    .map(({ role, per, rate, volume, drainShare, weights, body, toilet, kind, timed }) => ({
      id: `activity-${i}`,
      kind: role === 'toilet' ? kind : 'own',
      name: `Activity ${i}`,
      role,
      per,
      rate: owned(rate),
      volume: owned(volume),
      timed: timed
        ? { flow: owned(4), on: owned(volume / 5), trickle: owned(0.3), paused: owned(1), runUp: owned(0.5) }
        : null,
      drainShare: owned(drainShare),
      weights: { values: weights, by: 'owner' },
      spread: owned(0.35),
      levelSpread: owned(0.2),
      learned: null,
      dispersion: 1,
      adds: toilet
        ? [
            { from: 'body', volume: owned(body) },
            { from: 'brought-in', volume: owned(0.02) },
          ]
        : [],
    }))

const crewArb: fc.Arbitrary<Crew> = fc
  .record({
    persons: fc.integer({ min: 1, max: 4 }),
    activities: fc
      .integer({ min: 1, max: 8 })
      .chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => activityArb(i)))),
    ownRate: litres(0, 4),
  })
  .map(({ persons, activities, ownRate }) => {
    const own = activities.find(({ per }) => per === 'person')
    return {
      id: 'crew',
      name: 'Crew',
      persons: Array.from({ length: persons }, (_, i) => ({
        id: `person-${i}`,
        name: `Person ${i}`,
        rates: i === 0 && own ? [{ activity: own.id, rate: owned(ownRate) }] : [],
      })),
      activities,
      ...assumedCrew(),
    }
  })

const effectArb: fc.Arbitrary<Effect> = fc.oneof(
  fc.record({
    kind: fc.constant('rate' as const),
    activity: fc.constant('activity-0'),
    factor: litres(0, 2).map(owned),
  }),
  fc.record({
    kind: fc.constant('volume' as const),
    activity: fc.constant('activity-0'),
    factor: litres(0, 2).map(owned),
  }),
  fc.record({
    kind: fc.constant('replace' as const),
    activity: fc.constant('activity-0'),
    volume: litres(2, 9).map(owned),
    trickle: fc.option(litres(0, 2).map(owned)),
  }),
  fc.record({
    kind: fc.constant('redirect' as const),
    activity: fc.constant('activity-0'),
    share: litres(0, 1).map(owned),
    to: fc.constantFrom('ground' as const, 'carried-out' as const, 'urine' as const),
  }),
)

/** Effects that only version 4 knows: less trickle, other paper, water by jug. */
const laterEffects: Effect[] = [
  { kind: 'trickle', activity: 'activity-0', factor: owned(0) },
  { kind: 'adds', activity: 'liquid-use', from: 'brought-in', factor: owned(0.3) },
  { kind: 'bring', activity: 'activity-0', share: owned(0.6) },
]

/** Catches the first activity's water for one toilet use; the catch is idle where the donor is the recipient. */
const vesselEffects: Effect[] = [
  { kind: 'catch', activity: 'activity-0', share: owned(0.7) },
  { kind: 'reuse', activity: 'liquid-use', share: owned(0.8) },
]

const habitsArb: fc.Arbitrary<Habit[]> = fc
  .array(fc.array(effectArb, { maxLength: 3 }), { maxLength: 4 })
  .map((all) =>
    all.map((own, i) => ({
      ...newHabit(`habit-${i}`, `Habit ${i}`),
      group: i < 2 ? 'rivals' : null,
      where: i === 2 ? 'place' : null,
      effects: [...own, ...laterEffects.filter((_, e) => e + 1 === i)],
      bother: owned(i),
      when: {
        parts: i === 2 ? ['morning' as const, 'evening' as const] : null,
        daylight: i === 3,
        lowest: i === 3 ? owned(15) : null,
      },
    })),
  )

/** Valid documents with one stay: up to eight containers, any start, own rates, absences, habits on for some days. */
export const documentArb: fc.Arbitrary<Document> = fc
  .record({
    rig: rigArb,
    crew: crewArb,
    habits: habitsArb,
    minute: fc.integer({ min: 0, max: 1439 }),
    fill: fc.array(litres(0, 1), { minLength: 8, maxLength: 8 }),
    gone: fc.uniqueArray(fc.tuple(fc.nat(20), fc.nat(3)), { maxLength: 12, selector: ([d, p]) => d * 4 + p }),
    from: fc.nat(8),
  })
  .map(({ rig, crew, habits, minute, fill, gone, from }) => {
    const clock = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
    const stay: Stay = {
      id: 'stay',
      name: 'Stay',
      rig: 'rig',
      crew: 'crew',
      start: `2027-03-26T${clock}`,
      leaveAt: '2027-04-05T11:00',
      horizonDays: owned(30),
      confidence: owned(0.9),
      levels: rig.containers.map(({ id, kind, capacity }, i) =>
        startLevel(
          id,
          owned(capacity.value * (fillOf(kind) === 'supply' ? 0.5 + fill[i % 8]! / 2 : fill[i % 8]! * 0.3)),
        ),
      ),
      habits: habits.slice(1).map(({ id }) => ({
        habit: id,
        days: id === 'habit-2' ? [from, from + 5] : null,
        persons: id === 'habit-3' ? ['person-0'] : null,
      })),
      absences: gone.map(([day, part], i) => ({
        person: 'person-0',
        part: PARTS[part]!,
        days: i === 0 ? [day, day + 9] : [day, day],
        weekdays: i === 0 ? [1, 3] : null,
      })),
      guests: crew.persons.length > 1 && from % 2 === 0 ? [{ person: 'person-1', days: [1, 1 + from] }] : [],
      counted: [],
      rules: [],
      weather: { ...assumedWeather(), days: [{ day: 1, warmest: owned(10 + from * 3) }] },
      ...bareSite(),
    }
    return {
      format: 'dry-count/document',
      version: 11,
      currentStay: 'stay',
      rigs: [rig],
      crews: [crew],
      habits,
      stays: [stay],
    }
  })

/**
 * The same with water kept for reuse: the last activity becomes a toilet's liquid use that draws from a vessel which the
 * first one fills.
 */
export const reuseArb: fc.Arbitrary<Document> = fc
  .tuple(documentArb, litres(0.5, 30), litres(0, 3))
  .map(([document, capacity, volume]) => {
    const copy = structuredClone(document)
    const { activities } = copy.crews[0]!
    activities[0]!.kind = 'own'
    activities.push({
      ...structuredClone(activities[0]!),
      id: 'liquid-use',
      kind: 'liquid-use',
      role: 'toilet',
      per: 'crew',
      volume: owned(volume),
      rate: owned(5),
      timed: null,
    })
    const vessel = { capacity: owned(capacity), clean: false }
    copy.habits.push({ ...newHabit('z-vessel', 'Vessel'), effects: vesselEffects, vessel })
    copy.stays[0]!.habits.push({ habit: 'z-vessel', days: null, persons: null })
    return copy
  })
