import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { withoutSpread } from '../../../tests/support/spreads'
import { newPlace } from '@/document/starters'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { addWallDays, wallDaysBetween, wallMinutes, wallTimeAt, type WallTime } from '../calendar'
import { count } from '../count'
import { compile, compileChances } from '../compile'
import { caseOf, type Hours, type OpenSpan, type Place, type StayCase } from '../domain'
import { greatCircleKm } from '../places'
import { owned } from '../quantities'
import { ownCounts, riskOf, riskTables, sampleTrips, samplerOf } from '../risk'
import { whole } from '../slices'
import { decideBy } from './decideBy'

const demo = () => caseOf(trailerDemo(), 'harrow-ridge')
const START = '2027-09-11T16:00'
const GRAY = { id: 'gray', members: ['gray'] }

/** Spans of opening in minutes after the start, none touching the next. */
const spansArb = fc
  .array(fc.tuple(fc.integer({ min: 5, max: 2000 }), fc.integer({ min: 5, max: 900 })), { maxLength: 8 })
  .map((pairs) => {
    let at = -600
    return pairs.map(([shut, open], i): OpenSpan => {
      const from = (at += shut)
      at += open
      return { from: later(from), until: later(at), isSure: i % 3 !== 2, note: null }
    })
  })
const later = (minutes: number): WallTime => wallTimeAt(wallMinutes(START) + minutes)

const placeArb = fc.record({
  east: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
  north: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
  takes: fc.nat(9).map((n) => n < 7),
  isShut: fc.nat(9).map((n) => n > 8),
  fee: fc.integer({ min: 0, max: 30 }),
  queue: fc.integer({ min: 0, max: 60 }),
  spans: fc.option(spansArb),
})

/** The trailer with other places about it, each with its hours or without. */
function stayWith(all: readonly Generated[]): StayCase {
  const stayCase = demo()
  const { lat, lon } = stayCase.stay.site.position!
  const hours: [string, Hours extends ReadonlyMap<string, infer T> ? T : never][] = []
  const places = all.map(({ east, north, takes, isShut, fee, queue, spans }, i): Place => {
    const id = `place-${i}`
    if (spans)
      hours.push([id, { spans, from: START, until: later(20_000), leavesHolidays: false, isDoubtful: false }])
    return {
      ...newPlace(id, `Place ${i}`),
      accepts: takes ? ['gray', 'black'] : ['urine'],
      water: 'potable',
      position: { lat: lat + north, lon: lon + east },
      access: isShut ? 'nobody' : 'all',
      fee: owned(fee),
      queue: owned(queue),
      opening: spans ? 'x' : null,
    }
  })
  return { ...stayCase, stay: { ...stayCase.stay, places }, hours: new Map(hours) }
}
type Generated = typeof placeArb extends fc.Arbitrary<infer T> ? T : never

/** The last minute at which somebody can leave and be served, tried minute by minute; null: none. */
function lastMinute(
  stayCase: StayCase,
  place: Place,
  kind: 'move' | 'tote-loads',
  by: WallTime,
  isSure: boolean,
) {
  const { road } = stayCase.crew
  const km = greatCircleKm(stayCase.stay.site.position!, place.position!) * road.factor.value
  const drive = (km / road.speed.value) * 60
  const lead = Math.ceil(drive + place.queue.value + (kind === 'move' ? road.packing.value : 0))
  const spans = stayCase
    .hours!.get(place.id)
    ?.spans.filter((span) => span.isSure === isSure)
    .map(({ from, until }) => [wallMinutes(from), wallMinutes(until)] as const)
  const last = wallMinutes(by)
  for (let t = last - lead; t >= wallMinutes(START); t--) {
    const at = t + lead
    if (!spans || spans.some(([from, until]) => from <= at && at + road.service.value <= until))
      return wallTimeAt(t)
  }
  return null
}

describe('decide by (model.md section 7)', () => {
  it('agrees with minutes tried one by one, on 200 generated stays', () => {
    let waits = 0
    fc.assert(
      fc.property(
        fc.array(placeArb, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0.05, max: 11, noNaN: true }),
        (all, days) => {
          const stayCase = stayWith(all)
          const [gray] = decideBy({ stayCase, containers: [{ ...GRAY, days }], joint: days, from: START })
          const by = gray!.by!
          expect(wallDaysBetween(START, by)).toBeLessThanOrEqual(days + 1e-9)
          expect(wallDaysBetween(START, by)).toBeGreaterThan(days - 1 / 1440 - 1e-9)
          const tried = stayCase.stay.places.flatMap((place) =>
            place.access === 'nobody' || !place.accepts!.includes('gray')
              ? []
              : (['move', 'tote-loads'] as const).flatMap((kind) => {
                  return [true, false].flatMap((isSure) => {
                    const leaveBy = lastMinute(stayCase, place, kind, by, isSure)
                    const known = stayCase.hours!.has(place.id) ? isSure : null
                    return leaveBy === null ? [] : [{ place: place.id, kind, leaveBy, isSure: known }]
                  })
                }),
          )
          const offered = [...gray!.offers, ...gray!.perhaps]
          const ofPlaces = offered.filter(({ place }) => place !== null)
          for (const way of ofPlaces) {
            const kind = way.usual === 'tote-loads' ? 'tote-loads' : 'move'
            // A sure moment and a later one that is only perhaps are both the last of their openings.
            for (const { leaveBy } of [way, ...(way.perhaps ? [way.perhaps] : [])])
              expect(
                tried.filter(
                  ({ isSure }) => isSure === null || isSure === (leaveBy === way.leaveBy && way.isSure),
                ),
              ).toContainEqual(expect.objectContaining({ place: way.place!.id, kind, leaveBy }))
          }
          waits += ofPlaces.length > 0 ? 1 : 0
          // Where any is sure, none that is only perhaps stands among the errands.
          if (offered.some(({ isSure }) => isSure))
            expect(gray!.offers.every(({ isSure }) => isSure)).toBe(true)
          // The last of the sure ones is the last sure one there is at all.
          const sure = tried.filter(({ isSure }) => isSure === true).map(({ leaveBy }) => leaveBy)
          const own = gray!.offers.map(({ leaveBy }) => leaveBy)
          for (const leaveBy of sure) expect(own.at(-1)! >= leaveBy).toBe(true)
          expect([...own].sort()).toEqual(own)
          if (gray!.state === 'too-late') expect(tried).toEqual([])
        },
      ),
      { numRuns: 200, seed: 17 },
    )
    expect(waits).toBeGreaterThan(100)
  })

  it('by hand: what goes nowhere is begun so early that it is done when the limit is met', () => {
    // With no place known a tote is filled and emptied somewhere: all its minutes are before Sunday 20:00.
    const stayCase = demo()
    const days = wallDaysBetween(START, '2027-09-19T20:00')
    const alone = { ...stayCase, stay: { ...stayCase.stay, places: [], ways: [] } }
    const [gray] = decideBy({ stayCase: alone, containers: [{ ...GRAY, days }], joint: days, from: START })
    const home = [...gray!.offers, ...gray!.perhaps].filter(({ place }) => place === null)
    expect(home.length).toBeGreaterThan(0)
    for (const { run, at, leaveBy } of home) {
      expect(run.minutes.value).toBeGreaterThan(0)
      expect(at).toBe(wallTimeAt(wallMinutes('2027-09-19T20:00') - Math.ceil(run.minutes.value)))
      expect(leaveBy).toBe(at)
    }
  })

  it('by hand: the station shuts on Saturday, the far one is open until Sunday', () => {
    // Gray lasts until Sunday 19 September 20:00. Near: 18 km, 24 min; Saturday until 14:00, less 20 min of service. Far: 60 km.
    const stayCase = demo()
    const near: Place = {
      ...newPlace('near', 'Near'),
      accepts: ['gray', 'black'],
      water: 'potable',
      queue: owned(15),
      fee: owned(8),
    }
    const far: Place = { ...near, id: 'far', name: 'Far', queue: owned(0), fee: owned(40) }
    const span = (from: string, until: string): OpenSpan => ({ from, until, isSure: true, note: null })
    const times = (...spans: OpenSpan[]) => ({
      spans,
      from: START,
      until: later(20_000),
      leavesHolidays: false,
      isDoubtful: false,
    })
    const week: StayCase = {
      ...stayCase,
      rig: {
        ...stayCase.rig,
        containers: stayCase.rig.containers.filter(({ id }) => id !== 'tote'),
        outlets: [],
      },
      stay: {
        ...stayCase.stay,
        places: [near, far],
        ways: [
          { place: 'near', kilometres: owned(18), minutes: owned(24) },
          { place: 'far', kilometres: owned(60), minutes: owned(80) },
        ],
      },
      hours: new Map([
        [
          'near',
          times(span('2027-09-17T08:00', '2027-09-17T18:00'), span('2027-09-18T08:00', '2027-09-18T14:00')),
        ],
        [
          'far',
          times(span('2027-09-18T07:00', '2027-09-18T17:00'), span('2027-09-19T07:00', '2027-09-19T17:00')),
        ],
      ]),
    }
    const days = wallDaysBetween(START, '2027-09-19T20:00')
    const [gray] = decideBy({ stayCase: week, containers: [{ ...GRAY, days }], joint: days, from: START })
    expect(gray).toMatchObject({ by: '2027-09-19T20:00', state: 'wait' })
    // 14:00 − 20 service = 13:40; less 15 queue, 24 road, 30 packing: 12:31. Far: 16:40 − 80 − 30 = 14:50.
    expect(gray!.offers.map(({ place, leaveBy, at }) => [place!.id, leaveBy, at])).toEqual([
      ['near', '2027-09-18T12:31', '2027-09-18T13:40'],
      ['far', '2027-09-19T14:50', '2027-09-19T16:40'],
    ])
    // 8 + 0.1 × (48 + 30 + 15 + 20) + 0.3 × 36 + 4 of bother.
    expect(gray!.offers[0]!.cost).toBeCloseTo(8 + 11.3 + 10.8 + 4, 9)
    // From Saturday 13:00 the near one is gone; from Sunday 15:00 all of them are.
    const from = (now: WallTime) =>
      decideBy({
        stayCase: week,
        containers: [{ ...GRAY, days: wallDaysBetween(now, '2027-09-19T20:00') }],
        joint: Infinity,
        from: now,
      })[0]!
    expect(from('2027-09-18T13:00').offers.map(({ place }) => place!.id)).toEqual(['far'])
    expect(from('2027-09-19T15:00')).toMatchObject({ state: 'too-late', offers: [] })
    // What lasts until the stay is left need not be decided.
    const lasting = decideBy({
      stayCase: week,
      containers: [{ ...GRAY, days: 12 }],
      joint: 12,
      from: START,
    })[0]
    expect(lasting).toMatchObject({ state: 'before', offers: [] })
    expect(
      decideBy({
        stayCase: week,
        containers: [{ ...GRAY, days: Infinity }],
        joint: Infinity,
        from: START,
      })[0]!.by,
    ).toBeNull()
    expect(addWallDays(START, 12) > week.stay.leaveAt).toBe(true)
  })

  it('stands on each container’s own count: where it is the only one to stop, on what to plan on', () => {
    const document = trailerDemo()
    for (const container of document.rigs[0]!.containers)
      if (container.id !== 'gray') container.capacity = owned(20_000)
    const fresh = document.stays[0]!.levels.find(({ container }) => container === 'fresh')!
    fresh.level = owned(20_000)
    const stayCase = caseOf(document, 'harrow-ridge')
    const options = { seed: 3, trials: 1_000, q: 0.1, horizonDays: 60, withRuns: true, tables: riskTables() }
    const { containers: own, joint } = whole(ownCounts(stayCase, options))
    const model = compile(stayCase)
    const sampler = samplerOf(model, compileChances(stayCase, model), { tables: options.tables })
    const sample = sampleTrips(sampler, { seed: 3, from: 0, to: 1_000, bandParts: 0 })
    expect(own.map(({ id }) => id)).toEqual(['fresh', 'gray', 'black'])
    expect(own[1]!.days).toBe(riskOf(model, sample, 12).planOn.days)
    expect(joint).toBe(own[1]!.days)
    expect(own[0]!.days).toBe(Infinity)
    // And with nothing uncertain it is the count's own, to the last bit.
    const still = caseOf(withoutSpread(trailerDemo()), 'harrow-ridge')
    const counted = count(compile(still))
    const exact = whole(ownCounts(still, { ...options, trials: 10 }))
    expect(exact.joint).toBe(counted.days)
    exact.containers.forEach(({ id, days }) => {
      const c = compile(still).containers.findIndex((one) => one.id === id)
      expect(days).toBe(counted.containers[c] ?? Infinity)
    })
  })
})
