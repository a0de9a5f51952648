import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addWallDays, dayZero } from '../calendar'
import { count } from '../count'
import type { LogEntry } from '../log'
import { compile, compileChances } from '../compile'
import { caseOf, type Document, type StayCase } from '../domain'
import { owned } from '../quantities'
import { chanceToLast, playTrips, riskTables, samplerOf, tripLuck } from '../risk'
import { caseNow, expectedNow, learnStay, steppedTo } from '../underway'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { vanDemo } from '../../../scripts/demo/van'
import { example, use } from '../../../tests/support/build'
import { documentArb } from '../../../tests/support/generate'
import { withoutSpread } from '../../../tests/support/spreads'
import { allowances } from './allowance'
import { caseAtFactor, groundsOf } from './atFactor'
import { MOST_FACTOR, budget, goalOf, partedBySaving, swapOffer, type Budget } from './index'
import { often } from '../../../tests/support/thorough'

const options = { seed: 3, trials: 2000, tables: riskTables() }

function withNight(stayCase: StayCase, night: number | null): StayCase {
  const { stay } = stayCase
  return { ...stayCase, stay: { ...stay, budget: { ...stay.budget, night } } }
}

/** A second way to save: the rates themselves are made less. */
function rated({ crew, ...rest }: StayCase, factor: number): StayCase {
  const saved = new Set(partedBySaving(crew).saved.map(({ id }) => id))
  const times = (id: string, rate: number) => owned(saved.has(id) ? rate * factor : rate)
  return {
    ...rest,
    crew: {
      ...crew,
      activities: crew.activities.map((one) => ({ ...one, rate: times(one.id, one.rate.value) })),
      persons: crew.persons.map((person) => ({
        ...person,
        rates: person.rates.map(({ activity, rate }) => ({ activity, rate: times(activity, rate.value) })),
      })),
    },
  }
}

function lasts(stayCase: StayCase): boolean {
  const { days } = count(compile(stayCase))
  return days === null || days >= daysTo(stayCase, goalOf(stayCase.stay).at)
}
const daysTo = ({ stay, now }: StayCase, at: string) =>
  (Date.parse(`${at}Z`) - Date.parse(`${now?.at ?? stay.start}Z`)) / 86_400_000

/** One shower a day of 10 L and hands of 5 L; gray is full at 90. */
const shower = use('shower', { kind: 'shower', role: 'shower', rate: 1, volume: 10 })
const hands = use('hands', { kind: 'hand-wash', role: 'basin', rate: 1, volume: 5 })
const dishes = use('dishes', { kind: 'dishes', rate: 2, volume: 4 })
const oneTank = (uses = [shower, hands]) =>
  example({
    fresh: [500, 0, 500],
    gray: [100, 0.9, 0],
    black: [100, 0.9, 0],
    uses,
    stay: { start: '2027-06-01T05:00', leaveAt: '2027-06-06T11:00' },
  })

describe('a budget by hand', () => {
  it('grants what fills the tank at eleven on the last morning (worked example 25)', () => {
    const found = budget(caseOf(oneTank(), 'stay'), [], options)
    // 5.25 days of hands are 26.25 L; 90 − 26.25 = 63.75 L are 6.375 showers, of 5.25 as usual.
    expect(found).toMatchObject({
      state: 'held',
      night: 4,
      until: '2027-06-06T11:00',
      binds: 'gray',
      trials: 0,
    })
    expect(found.factor).toBeCloseTo(63.75 / 52.5, 8)
    const [line] = found.lines
    expect(line).toMatchObject({ activity: 'shower', today: 1, cost: 10 })
    expect(line!.left + line!.later).toBeCloseTo(6.375, 6)
    expect(found.kept).toEqual(['hands'])
  })

  it('spends what was logged, carries the rest of a use over and names the day of the next', () => {
    const document = oneTank()
    const stay = {
      ...document.stays[0]!,
      counted: [{ activity: 'shower', from: '2027-06-01T05:00', until: null }],
    }
    const plan = { ...caseOf(document, 'stay'), stay }
    const entry = (at: string): LogEntry => ({
      ...{ id: at, revision: 1, isRemoved: false, rig: 'rig', stay: 'stay', note: '', utc: `${at}:00.000Z` },
      ...{ kind: 'use', at, activity: 'shower', n: 1, person: null, litres: null, minutes: null },
    })
    // Gray by then: a day and a quarter of hands, and two showers.
    const now = { ...expectedNow(plan, '2027-06-02T11:00').now!, draws: null }
    now.levels = now.levels.map((one) => (one.container === 'gray' ? { ...one, level: 6.25 + 20 } : one))
    const found = budget({ ...plan, now }, [entry('2027-06-01T18:00'), entry('2027-06-02T07:00')], options)
    // 90 − 26.25 − 4 × 5 of hands = 43.75 L are 4.375 showers. Day 0: f − 1 is not carried beyond the usual: min(1, f) − 1 = 0.
    // Today f − 1 are left, then 3 days of f and a quarter of one: 4.25 f − 1 = 4.375.
    expect(found.factor).toBeCloseTo(5.375 / 4.25, 8)
    const [line] = found.lines
    expect(line).toMatchObject({ today: 0, spent: 1, next: 2 })
    expect(line!.left).toBeCloseTo(5.375 / 4.25 - 1, 8)
    expect(line!.left + line!.later).toBeCloseTo(4.375, 8)
  })

  it('says where saving alone does not reach, how far it does, and where nothing needs saving', () => {
    const far = budget(withNight(caseOf(oneTank(), 'stay'), 20), [], options)
    // Hands alone fill 90 L in 18 days: the morning after night 16 is the last.
    expect(far).toMatchObject({ state: 'short', factor: 0, reaches: 16, binds: 'gray' })
    const roomy = structuredClone(oneTank())
    for (const container of roomy.rigs[0]!.containers) container.capacity.value *= 20
    expect(budget(caseOf(roomy, 'stay'), [], options)).toMatchObject({ isFree: true, factor: MOST_FACTOR })
    expect(budget(caseOf(oneTank([hands]), 'stay'), [], options)).toMatchObject({
      state: 'nothing',
      lines: [],
    })
    const late = {
      ...caseOf(oneTank(), 'stay'),
      now: { ...expectedNow(caseOf(oneTank(), 'stay'), '2027-06-07T11:00').now! },
    }
    expect(budget(late, [], options).state).toBe('past')
  })

  it('keeps those who are set apart as they want, and shares whole uses out', () => {
    const document = example({
      ...{ fresh: [500, 0, 500], gray: [100, 0.9, 0], black: [100, 0.9, 0], persons: ['ann', 'bo', 'cy'] },
      uses: [{ ...shower, per: 'person', rate: owned(1) }],
      stay: {
        ...{ start: '2027-06-01T05:00', leaveAt: '2027-06-06T11:00' },
        budget: {
          ...caseOf(oneTank(), 'stay').stay.budget,
          apart: [{ person: 'cy', activity: 'shower', rate: owned(0.5) }],
        },
      },
    })
    const found = budget(caseOf(document, 'stay'), [], options)
    // 90 L are 9 showers, 5.25 × 0.5 of them Cy's; Ann and Bo have the rest of 10.5.
    expect(found.factor).toBeCloseTo((9 - 2.625) / 10.5, 8)
    expect(found.lines[0]!.persons.reduce((sum, { n }) => sum + n, 0)).toBe(found.lines[0]!.today)
    expect(found.lines[0]!.persons.map(({ isApart }) => isApart)).toEqual([false, false, true])
  })
})

/** Generated stays without spreads, some of what they do to be saved, and a night about when they would be stopped. */
const plannedArb = fc
  .tuple(
    documentArb,
    fc.double({ min: 0.6, max: 1.6, noNaN: true }),
    fc.subarray([0, 1, 2, 3, 4, 5, 6, 7], { minLength: 1 }),
  )
  .map(([generated, share, which]) => {
    const document = withoutSpread(generated)
    const { crew, ...rest } = caseOf(document, 'stay')
    const saves = crew.activities
      .filter(({ kind }, a) => kind === 'own' && which.includes(a))
      .map(({ id }) => id)
    const stayCase = { ...rest, crew: { ...crew, saves } }
    const days = count(compile(stayCase)).days ?? 12
    return withNight(stayCase, Math.min(20, Math.floor(days * share)))
  })

describe('laws of the budget', () => {
  it('holds to the goal, and a millionth more does not; replayed with lower rates', () => {
    let edges = 0
    fc.assert(
      fc.property(plannedArb, (stayCase) => {
        const { state, factor, isFree } = budget(stayCase, [], options)
        if (state === 'nothing') return
        if (state === 'short') expect(lasts(rated(stayCase, 0))).toBe(false)
        else expect(lasts(rated(stayCase, factor))).toBe(true)
        if (state !== 'held' || isFree) return
        edges += 1
        expect(lasts(rated(stayCase, factor * (1 + 1e-6) + 1e-6))).toBe(false)
      }),
      { numRuns: often(30, 60) },
    )
    expect(edges).toBeGreaterThan(0)
  })

  it('under way, with everything offered taken at once, it holds all the same', () => {
    fc.assert(
      fc.property(plannedArb, fc.integer({ min: 1, max: 60 }), (planned, hours) => {
        const at = addWallDays(planned.stay.start, hours / 24)
        const stayCase = expectedNow(planned, at)
        const found = budget(stayCase, [], options)
        if (found.state !== 'held') return
        const uses = found.lines.map(({ activity, left }) => ({ activity, n: left }))
        const taken = steppedTo(stayCase, at, uses)
        const none = found.lines.map(({ activity }) => ({ activity, factor: 0 }))
        const rest = rated({ ...taken, now: { ...taken.now!, today: none } }, found.factor)
        // What a vessel holds is no part of the stepping.
        if (compile(stayCase).vessels.length === 0) expect(lasts(rest)).toBe(true)
      }),
      { numRuns: often(20, 40) },
    )
  })

  it('never touches what it may not: their uses are the same whatever is saved', () => {
    fc.assert(
      fc.property(plannedArb, (stayCase) => {
        const { saved, kept } = partedBySaving(stayCase.crew)
        const allowed = allowances(stayCase, saved, goalOf(stayCase.stay).at, [])
        const spare = compile(caseAtFactor(groundsOf(stayCase, saved, allowed), 0))
        const usual = compile(stayCase)
        for (const { id } of kept) {
          const a = usual.activities.findIndex((one) => one.id === id)
          const row = (uses: Float64Array) => [
            ...uses.slice(a * usual.grid.count, (a + 1) * usual.grid.count),
          ]
          expect(row(spare.uses)).toEqual(row(usual.uses))
        }
      }),
      { numRuns: often(10, 20) },
    )
  })

  it('with spreads, fresh trips hold within two points of the confidence', () => {
    for (const [document, stay, night] of [
      [trailerDemo(), 'harrow-ridge', 5],
      [trailerDemo(), 'harrow-ridge', 3],
      [vanDemo(), 'low-meadow', 2],
    ] as [Document, string, number][]) {
      const stayCase = withNight(
        caseOf(document, document.stays[0]!.id === stay ? stay : document.stays[0]!.id),
        night,
      )
      const found = budget(stayCase, [], options)
      if (found.state !== 'held' || found.isFree) continue
      expect(Math.abs(freshChance(rated(stayCase, found.factor), found) - found.confidence)).toBeLessThan(
        0.02,
      )
    }
  })

  it('under way too, from what was logged and read', () => {
    const plan = withNight(caseOf(trailerDemo(), 'harrow-ridge'), 5)
    const at = '2027-09-14T15:20'
    const log = trailerLog()
    const now = caseNow(plan, learnStay({ stayCase: plan, log, earlier: [], at, seed: 1 }))
    const found = budget(now, log, { ...options, trials: 10_000 })
    expect(found.state).toBe('held')
    const uses = found.lines.map(({ activity, left }) => ({ activity, n: left }))
    const taken = steppedTo(now, at, uses)
    const none = found.lines.map(({ activity }) => ({ activity, factor: 0 }))
    const kept = (taken.now!.today ?? []).filter(
      ({ activity }) => !none.some((one) => one.activity === activity),
    )
    const rest = rated({ ...taken, now: { ...taken.now!, today: [...kept, ...none] } }, found.factor)
    expect(Math.abs(freshChance(rest, found) - found.confidence)).toBeLessThan(0.02)
  })
})

/** Chance to reach the goal on trips that were not looked at. */
function freshChance(stayCase: StayCase, { until }: Budget): number {
  const days = daysTo(stayCase, until)
  const model = compile(stayCase, { horizonDays: days + 1 })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables: options.tables })
  return chanceToLast(playTrips(sampler, tripLuck(77, 0, 10_000)).days, days)
}

describe('a swap', () => {
  const planned = caseOf(oneTank([shower, hands, dishes]), 'stay')

  it('is one use against others at their litres into what binds, and keeps the count within one of them', () => {
    const found = budget(planned, [], options)
    const offer = swapOffer(planned, [], found, 'shower', 'dishes', options)
    expect(offer).toMatchObject({ state: 'none-left', swap: null })
    // With the count from now on a day is begun: an allowance that is there can be given.
    const now = expectedNow(withNight(planned, 2), '2027-06-01T05:00')
    const under = budget(now, [], options)
    expect(under.lines[0]!.today).toBeGreaterThanOrEqual(1)
    const given = swapOffer(now, [], under, 'shower', 'dishes', options)
    expect(given).toMatchObject({ state: 'offered', binds: 'gray', swap: { by: 1, plus: 2, day: 0 } })
    const swapped = {
      ...now,
      stay: { ...now.stay, budget: { ...now.stay.budget, swaps: [given.swap!] } },
    }
    const after = budget(swapped, [], options)
    expect(after.lines[0]!.left).toBeCloseTo(under.lines[0]!.left - 1, 0)
    expect(after.lines[1]!.left).toBeCloseTo(under.lines[1]!.left + 2, 0)
    // 10 L for 8: the two litres that were rounded away are shared out again.
    expect(after.factor).toBeGreaterThanOrEqual(under.factor)
    expect((after.factor - under.factor) * 3.25 * (10 + 8)).toBeLessThan(4)
  })

  it('is not offered beyond what another container allows, and the container is named', () => {
    /** Two showers of 5 L a day into gray, dishes into black; three days and a quarter. */
    const into = (blackLimit: number) => {
      const small = use('shower', { kind: 'shower', role: 'shower', rate: 2, volume: 5 })
      const document = example({
        ...{ fresh: [500, 0, 500], gray: [50, 0.9, 0], black: [blackLimit / 0.9, 0.9, 0] },
        uses: [small, hands, dishes],
        stay: { start: '2027-06-01T05:00', leaveAt: '2027-06-04T11:00' },
      })
      const [rig] = document.rigs
      const kitchen = rig!.roles.find(({ role }) => role === 'kitchen')!.fixture
      rig!.fixtures.find(({ id }) => id === kitchen)!.drains = 'black'
      const now = expectedNow(caseOf(document, 'stay'), '2027-06-01T05:00')
      const found = budget(now, [], options)
      // Gray holds 45 L: 28.75 of them for showers of 32.5 as usual. Black gets 26 L of dishes times that: 23.
      expect(found.factor).toBeCloseTo(28.75 / 32.5, 8)
      expect(found.binds).toBe('gray')
      return swapOffer(now, [], found, 'shower', 'dishes', options)
    }
    expect(into(24)).toMatchObject({ state: 'forbidden', held: 'black' })
    expect(into(33)).toMatchObject({ state: 'offered', swap: { by: 1, plus: 2 }, held: 'black' })
  })
})

it('the goal is eleven in the morning after its night', () => {
  const { stay } = caseOf(oneTank(), 'stay')
  expect(goalOf(stay).at).toBe('2027-06-06T11:00')
  expect(goalOf(withNight(caseOf(oneTank(), 'stay'), 0).stay).at).toBe('2027-06-02T11:00')
  expect(dayZero(stay.start)).toBe(stay.start)
})
