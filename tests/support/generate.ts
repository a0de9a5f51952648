import fc from 'fast-check'
import { PARTS } from '@/core/calendar'
import type { Activity, Container, Crew, Document, Effect, Habit, Rig, Role, Stay } from '@/core/model'
import { owned } from '@/core/quantities'

const ROLES_USED: Role[] = ['shower', 'kitchen', 'basin', 'toilet']
const litres = (min: number, max: number) => fc.double({ min, max, noNaN: true })

const rigArb: fc.Arbitrary<Rig> = fc
  .record({
    fresh: fc.array(litres(20, 400), { minLength: 1, maxLength: 3 }),
    gray: fc.array(litres(20, 250), { minLength: 1, maxLength: 3 }),
    black: fc.array(litres(20, 180), { minLength: 1, maxLength: 2 }),
    routes: fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean()), { minLength: 6, maxLength: 6 }),
    split: litres(0, 1),
  })
  .map(({ fresh, gray, black, routes, split }) => {
    const supplies: Container[] = fresh.map((capacity, i) => ({
      id: `fresh-${i}`, name: `Fresh ${i}`, kind: 'fresh', capacity: owned(capacity), reserve: owned(capacity * 0.05),
    })) // prettier-ignore
    const wastes: Container[] = [...gray.map((c) => ['gray', c] as const), ...black.map((c) => ['black', c] as const)].map(
      ([kind, capacity], i) => ({ id: `${kind}-${i}`, name: `${kind} ${i}`, kind, capacity: owned(capacity), safeFill: owned(0.9) }),
    ) // prettier-ignore
    const fixtures = routes.map(([from, to, piped], i) => ({
      id: `fixture-${i}`,
      name: `Fixture ${i}`,
      draws: piped || i < 3 ? supplies[from % supplies.length]!.id : null,
      drains: wastes[to % wastes.length]!.id,
    }))
    return {
      id: 'rig',
      name: 'Rig',
      containers: [...supplies, ...wastes],
      fixtures,
      roles: [
        { role: 'shower', fixture: 'fixture-0', share: owned(split) },
        { role: 'shower', fixture: 'fixture-4', share: owned(1 - split) },
        { role: 'kitchen', fixture: 'fixture-1', share: owned(1) },
        { role: 'basin', fixture: 'fixture-2', share: owned(1) },
        { role: 'toilet', fixture: 'fixture-3', share: owned(1) },
      ],
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
    })
    .map(({ role, per, rate, volume, drainShare, weights, body, toilet }) => ({
      id: `activity-${i}`,
      kind: 'own',
      name: `Activity ${i}`,
      role,
      per,
      rate: owned(rate),
      volume: owned(volume),
      drainShare: owned(drainShare),
      weights: { values: weights, by: 'owner' },
      spread: owned(0.35),
      dispersion: 1,
      adds: toilet ? [{ from: 'body', volume: owned(body) }, { from: 'brought-in', volume: owned(0.02) }] : [],
    })) // prettier-ignore

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
    volume: litres(0, 9).map(owned),
  }),
)

const habitsArb: fc.Arbitrary<Habit[]> = fc
  .array(fc.array(effectArb, { maxLength: 3 }), { maxLength: 4 })
  .map((all) =>
    all.map((effects, i) => ({
      id: `habit-${i}`,
      name: `Habit ${i}`,
      note: '',
      group: i < 2 ? 'rivals' : null,
      effects,
      bother: owned(i),
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
      levels: rig.containers.map(({ id, kind, capacity }, i) => ({
        container: id,
        level: owned(capacity.value * (kind === 'fresh' ? 0.5 + fill[i]! / 2 : fill[i]! * 0.3)),
      })),
      habits: habits
        .slice(1)
        .map(({ id }) => ({ habit: id, days: id === 'habit-2' ? [from, from + 5] : null })),
      absences: gone.map(([day, part]) => ({ person: 'person-0', day, part: PARTS[part]! })),
    }
    return {
      format: 'dry-count/document',
      version: 1,
      currentStay: 'stay',
      rigs: [rig],
      crews: [crew],
      habits,
      stays: [stay],
    }
  })
