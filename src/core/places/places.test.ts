import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newPlace } from '@/document/starters'
import { ridgePlaces } from '../../../scripts/demo/ridge'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { wallMinutes, wallTimeAt } from '../calendar'
import { compile } from '../compile'
import { caseOf, type Hours, type OpenSpan, type Place, type Run, type StayCase } from '../domain'
import { count } from '../count'
import { owned } from '../quantities'
import { insteadOf, usualRuns } from '../errands'
import { blocks, runAnswers, stayCost, tryRun } from '../schedule'
import {
  byRoad,
  earliestFit,
  greatCircleKm,
  isOpenAt,
  judgedRuns,
  nextOpening,
  offsetKm,
  placesFor,
  refusalsOf,
  refuses,
  wayTo,
} from './index'

const demo = () => caseOf(trailerDemo(), 'harrow-ridge')
const roadsOf = (stayCase: StayCase) => new Map([...judgedRuns(stayCase)].map(([id, { road }]) => [id, road]))
const visitsOf = (stayCase: StayCase) =>
  new Map([...judgedRuns(stayCase)].map(([id, { visit }]) => [id, visit]))
const span = (from: string, until: string, isSure = true): OpenSpan => ({ from, until, isSure, note: null })
const hoursOf = (id: string, ...spans: OpenSpan[]): Hours =>
  new Map([
    [
      id,
      {
        spans,
        from: '2027-09-10T00:00',
        until: '2027-11-01T00:00',
        leavesHolidays: false,
        isDoubtful: false,
      },
    ],
  ])

/** A usual errand of the trailer, set on a day, at a place. */
function errand(
  stayCase: StayCase,
  usual: string,
  place: string | null,
  day: number,
  part: Run['part'] = 'midday',
): Run {
  const found = usualRuns(stayCase).find((one) => one.usual === usual)!
  return { ...found, id: `${usual}-${place}-${day}`, name: usual, place, day, part }
}
const withRuns = (stayCase: StayCase, runs: Run[], places?: Place[]): StayCase => ({
  ...stayCase,
  stay: { ...stayCase.stay, runs, ...(places ? { places } : {}) },
})

describe('distance and roads', () => {
  it('by hand: a degree of latitude, a quarter of the globe, and the way across the date line', () => {
    expect(greatCircleKm({ lat: 45, lon: -38 }, { lat: 46, lon: -38 })).toBeCloseTo(111.195, 3)
    expect(greatCircleKm({ lat: 0, lon: 0 }, { lat: 90, lon: 50 })).toBeCloseTo(10_007.557, 2)
    expect(greatCircleKm({ lat: 10, lon: 179.5 }, { lat: 10, lon: -179.5 })).toBeCloseTo(109.505, 2)
    expect(offsetKm({ lat: 10, lon: 179.5 }, { lat: 10, lon: -179.5 }).east).toBeCloseTo(109.506, 2)
    // What the map draws is as far as the globe says, within a hundredth, a day’s drive about.
    const near = fc.record({
      lat: fc.double({ min: -60, max: 60, noNaN: true }),
      lon: fc.double({ min: -180, max: 180, noNaN: true }),
      a: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
      b: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
    })
    fc.assert(
      fc.property(near, ({ lat, lon, a, b }) => {
        const to = { lat: lat + a, lon: lon + b }
        const { east, north } = offsetKm({ lat, lon }, to)
        expect(Math.abs(Math.hypot(east, north) - greatCircleKm({ lat, lon }, to))).toBeLessThan(
          0.02 * greatCircleKm({ lat, lon }, to) + 1e-6,
        )
      }),
    )
  })

  it('takes the factor and the speed of the crew, and the owner’s own numbers before them', () => {
    const stayCase = demo()
    const mill = wayTo(stayCase, 'sallow-mill')!
    const crow = Math.hypot(9.8, 10)
    expect(mill.kilometres).toBeCloseTo(crow * 1.3, 1)
    expect(mill.minutes).toBeCloseTo((mill.kilometres / 45) * 60, 9)
    const ways = [{ place: 'sallow-mill', kilometres: owned(21), minutes: null }]
    const own = wayTo({ ...stayCase, stay: { ...stayCase.stay, ways } }, 'sallow-mill')
    expect(own).toEqual({ kilometres: 21, minutes: 28, isOwn: true })
    const unplaced = { ...stayCase, stay: { ...stayCase.stay, places: [newPlace('x', 'Somewhere')] } }
    expect(wayTo(unplaced, 'x')).toBeNull()
    expect(byRoad(stayCase, stayCase.stay.places).map(({ id }) => id)).toEqual([
      'pass-tap', 'sallow-mill', 'merrow-market', 'tern-hollow', 'cold-spring', 'fenmoor',
    ]) // prettier-ignore
  })

  it('law: errands of one trip share the road: together they take the trip from stop to stop and back', () => {
    const site = { lat: 45, lon: -38 }
    const at = fc.record({
      lat: fc.double({ min: 44.5, max: 45.5, noNaN: true }),
      lon: fc.double({ min: -38.5, max: -37.5, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(at, { minLength: 1, maxLength: 5 }), (positions) => {
        const places = positions.map((position, i) => ({ ...newPlace(`p${i}`, `P${i}`), position }))
        const stayCase = demo()
        const runs = places.map(({ id }) => ({ ...errand(stayCase, 'groceries', id, 3) }))
        const roads = roadsOf(withRuns(stayCase, runs, places))
        const stops = [site, ...positions, site]
        const trip = stops.slice(1).reduce((sum, to, i) => sum + greatCircleKm(stops[i]!, to) * 1.3, 0)
        const sum = runs.reduce((all, { id }) => all + roads.get(id)!.kilometres, 0)
        expect(sum).toBeCloseTo(trip, 6)
        expect(roads.get(runs.at(-1)!.id)!.sharesWith.length).toBe(runs.length - 1)
      }),
    )
  })

  it('by hand: groceries, water and dump in one cost one road; typed kilometres stand; a fee is the place’s', () => {
    const stayCase = demo()
    const dump = errand(stayCase, 'move-dump-fill', 'sallow-mill', 3)
    const food = errand(stayCase, 'groceries', 'merrow-market', 3)
    const cost = (runs: Run[]) => {
      const set = withRuns(stayCase, runs)
      const model = compile(set)
      return stayCost(set, runAnswers(set, model, count(model)))
    }
    const [apart, together] = [cost([dump, { ...food, day: 4 }]), cost([dump, food])]
    const mill = wayTo(stayCase, 'sallow-mill')!.kilometres
    expect(apart.kilometres).toBeCloseTo(2 * mill + 2 * wayTo(stayCase, 'merrow-market')!.kilometres, 6)
    expect(together.kilometres).toBeLessThan(apart.kilometres - 30)
    expect(together.money).toBe(8)
    expect(cost([{ ...dump, fee: owned(3), kilometres: owned(50) }])).toMatchObject({
      money: 3,
      kilometres: 50,
    })
  })
})

describe('who may, with what, and when', () => {
  const rig = (height: number | null, length: number | null) => {
    const stayCase = demo()
    return {
      ...stayCase,
      rig: {
        ...stayCase.rig,
        size: {
          height: height === null ? null : owned(height),
          length: length === null ? null : owned(length),
        },
      },
    }
  }
  const place = (over: Partial<Place>): Place => ({
    ...newPlace('there', 'There'),
    accepts: ['gray', 'black'],
    water: 'potable',
    ...over,
  })
  it.each([
    ['everybody', {}, []],
    ['nobody', { access: 'nobody' }, ['nobody!']],
    ['guests', { access: 'guests' }, ['for-guests']],
    ['customers', { access: 'customers' }, ['for-customers']],
    ['a call first', { access: 'call-first' }, ['call-first']],
    ['a low roof', { maxHeight: owned(3) }, ['too-high!']],
    ['a high roof', { maxHeight: owned(4) }, []],
    ['a short yard', { maxLength: owned(9) }, ['too-long!']],
    ['a drain on the right', { approach: 'right' }, ['wrong-side']],
    ['a drain on the left', { approach: 'left' }, []],
    ['a septic system', { rule: 'septic-safe' }, []],
    ['nothing in it', { rule: 'nothing' }, ['product!']],
    ['home, its code not read', { isHome: true, accepts: null }, ['home-code']],
  ] as const)('%s', (_, over, expected) => {
    const stayCase = rig(3.2, 13.5)
    const found = refusalsOf(stayCase, errand(stayCase, 'move-dump-fill', null, 3), place(over))
    expect(found.map((one) => one.kind + (refuses(one) ? '!' : ''))).toEqual(expected)
    // A tote behind the car is no rig: no roof is too low for it, and what is not measured never blocks.
    const toted = refusalsOf(
      stayCase,
      errand(stayCase, 'tote-loads', null, 3),
      place({ maxHeight: owned(2), maxLength: owned(5) }),
    )
    expect(toted).toEqual([])
    expect(
      refusalsOf(
        rig(null, null),
        errand(stayCase, 'move-dump-fill', null, 3),
        place({ maxHeight: owned(2) }),
      ),
    ).toEqual([])
  })

  it('chemicals are kept out of a septic system, and household mixtures are asked about', () => {
    const stayCase = demo()
    const treated = (treatment: 'chemical' | 'household' | 'none') => ({
      ...stayCase,
      crew: {
        ...stayCase.crew,
        schools: { ...stayCase.crew.schools, sides: { ...stayCase.crew.schools.sides, treatment } },
      },
    })
    const kinds = (treatment: 'chemical' | 'household' | 'none') =>
      refusalsOf(
        treated(treatment),
        errand(stayCase, 'move-dump-fill', null, 3),
        place({ rule: 'septic-safe' }),
      ).map(refuses)
    expect([kinds('chemical'), kinds('household'), kinds('none')]).toEqual([[true], [false], []])
    // A point of its own for gray takes the gray: only black meets the septic one.
    const points = [{ ...newPlace('gray-point', 'Gray point'), accepts: ['gray' as const] }]
    const two = place({ accepts: ['black'], rule: 'nothing', points })
    expect(refusalsOf(stayCase, errand(stayCase, 'move-dump-fill', null, 3), two)).toMatchObject([
      { kind: 'product', point: 'There' },
    ])
    const grayOnly = {
      ...errand(stayCase, 'tote-loads', null, 3),
      steps: errand(stayCase, 'tote-loads', null, 3).steps.slice(0, 1),
    }
    expect(refusalsOf(stayCase, grayOnly, two)).toEqual([])
  })

  it('finds the hour within the part of the run, packing, road and queue before it', () => {
    const hours = hoursOf(
      'sallow-mill',
      span('2027-09-14T08:00', '2027-09-14T12:30'),
      span('2027-09-15T08:00', '2027-09-15T18:00'),
    )
    const stayCase = { ...demo(), hours }
    const visit = (day: number, part: Run['part']) => {
      const run = errand(stayCase, 'move-dump-fill', 'sallow-mill', day, part)
      const set = withRuns(stayCase, [run])
      return visitsOf(set).get(run.id)
    }
    // 18.2 km at 45 km/h are 24 min; with 30 to pack and 15 in the queue the morning of 05:00 would be there at 06:09.
    expect(visit(3, 'morning')).toMatchObject({
      kind: 'fits',
      fit: { at: '2027-09-14T08:00' },
      leaveAt: '2027-09-14T06:50',
    })
    expect(visit(3, 'midday')).toMatchObject({ kind: 'fits', fit: { at: '2027-09-14T12:10' } })
    expect(visit(3, 'evening')).toEqual({
      kind: 'closed',
      next: span('2027-09-15T08:00', '2027-09-15T18:00'),
    })
    expect(visit(1, 'midday')).toEqual({ kind: 'closed', next: span('2027-09-14T08:00', '2027-09-14T12:30') })
    const unread = errand(stayCase, 'tote-loads', 'tern-hollow', 3)
    expect(visitsOf(withRuns(demo(), [unread])).get(unread.id)).toEqual({ kind: 'unknown' })
    // On one road the second stop comes after the first one’s service: 12:09 + 20 min + the way on + its queue of 10.
    const both = [
      errand(stayCase, 'tote-loads', 'sallow-mill', 3, 'morning'),
      errand(stayCase, 'groceries', 'merrow-market', 3, 'morning'),
    ]
    const open = new Map([
      ...hours,
      ...hoursOf('merrow-market', span('2027-09-14T08:00', '2027-09-14T19:00')),
    ])
    const set = withRuns({ ...stayCase, hours: open }, both)
    const [first, second] = both.map(({ id }) => visitsOf(set).get(id))
    const on = roadsOf(set).get(both[1]!.id)!.leg!.minutes
    expect(first).toMatchObject({ kind: 'fits', fit: { at: '2027-09-14T08:00' } })
    expect(second).toMatchObject({
      kind: 'fits',
      fit: { at: wallTimeAt(Math.ceil(wallMinutes('2027-09-14T08:30') + on)) },
    })
  })

  it('a run to a closed place is told so, with the nearest that works then and the nearest time', () => {
    const spans = {
      'sallow-mill': [span('2027-09-13T08:00', '2027-09-18T18:00')],
      'cold-spring': [span('2027-09-10T00:00', '2027-10-01T00:00')],
    }
    const hours: Hours = new Map(
      Object.entries(spans).map(([id, all]) => [
        id,
        {
          spans: all,
          from: '2027-09-01T00:00',
          until: '2027-11-01T00:00',
          leavesHolidays: false,
          isDoubtful: false,
        },
      ]),
    )
    const stayCase = { ...demo(), hours }
    const sunday = errand(stayCase, 'tote-loads', 'sallow-mill', 1)
    const answer = tryRun(stayCase, sunday)
    expect(answer.troubles.filter(blocks)).toMatchObject([
      { kind: 'closed', next: { from: '2027-09-13T08:00' } },
    ])
    const instead = insteadOf(stayCase, answer)
    expect(instead.map((one) => one.as === 'place' && one.place.id)).toEqual(['cold-spring'])
    expect(tryRun(stayCase, { ...sunday, day: 3 }).troubles.filter(blocks)).toEqual([])
    // Where home is, and where nothing is taken, no errand goes.
    expect(placesFor(stayCase, sunday).map(({ id }) => id)).toEqual(['sallow-mill', 'cold-spring'])
    expect(placesFor(stayCase, errand(stayCase, 'groceries', null, 1)).map(({ id }) => id)).toEqual([
      'merrow-market',
    ])
    expect(ridgePlaces().length).toBe(6)
  })

  it('openings: by appointment comes after what is sure, and a service must end before it shuts', () => {
    const times = {
      ...hoursOf(
        'x',
        span('2027-09-14T08:00', '2027-09-14T09:00', false),
        span('2027-09-14T10:00', '2027-09-14T10:20'),
      ).get('x')!,
    }
    expect(earliestFit(times, 20, '2027-09-14T08:00', '2027-09-14T12:00')).toMatchObject({
      at: '2027-09-14T10:00',
    })
    expect(earliestFit(times, 21, '2027-09-14T08:00', '2027-09-14T12:00')).toMatchObject({
      at: '2027-09-14T08:00',
    })
    expect(earliestFit(times, 20, '2027-09-14T10:01', '2027-09-14T12:00')).toBeNull()
    expect([
      isOpenAt(times, '2027-09-14T08:30'),
      isOpenAt(times, '2027-09-14T10:10'),
      isOpenAt(times, '2027-09-14T10:20'),
    ]).toEqual([null, true, false])
    expect(nextOpening(times, '2027-09-14T07:00')).toMatchObject({ from: '2027-09-14T10:00' })
    expect(nextOpening(times, '2027-09-15T07:00')).toBeNull()
  })
})
