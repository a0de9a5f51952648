import fc from 'fast-check'
import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { vanDemo } from '../../../scripts/demo/van'
import { vanLog } from '../../../scripts/demo/vanLog'
import { addWallDays } from '../calendar'
import { count, ledger } from '../count'
import { isOnFrom, switchHabit, todayOf } from '../habits'
import type { LogEntry } from '../log'
import { compile, compileChances } from '../compile'
import { caseOf, volumePerUse, type StayCase } from '../domain'
import { quantileSorted, sampleTrips, samplerOf } from '../risk'
import {
  caseNow,
  daysByTakingOver,
  endOf,
  expectedNow,
  learnStay,
  phaseOf,
  priorsOf,
  shakedownOf,
  steppedTo,
  takeOverOf,
  withTakenOver,
  type StayLearned,
} from './index'
import { often } from '../../../tests/support/thorough'

const NOW = '2027-09-14T15:20'
const trailer = () => caseOf(trailerDemo(), 'harrow-ridge')
const learned = (log: LogEntry[] = trailerLog(), stayCase: StayCase = trailer(), at = NOW): StayLearned =>
  learnStay({ stayCase, log, earlier: [], at, seed: 1 })
const levelOf = ({ now }: StayLearned, container: string) =>
  now.levels.find((one) => one.container === container)!.level
/** A use of the trailer's stay. */
const used = (at: string, activity: string, n: number, id = `more-${at}-${activity}`): LogEntry => ({
  ...trailerLog()[1]!,
  id,
  at,
  utc: new Date(Date.parse(`${at}:00Z`) - 7_200_000).toISOString(),
  ...({ kind: 'use', activity, n, person: null, litres: null, minutes: null } as const),
})

it('a stay is planned, under way and over, by its times and by its last entry', () => {
  const { stay } = trailer()
  expect(phaseOf(stay, [], '2027-09-11T15:59')).toBe('planned')
  expect(phaseOf(stay, [], '2027-09-11T16:00')).toBe('under-way')
  expect(phaseOf(stay, [], '2027-09-23T11:00')).toBe('over')
  const van = caseOf(vanDemo(), 'low-meadow').stay
  expect(endOf(van, vanLog())).toBe('2027-09-08T10:45')
  expect(phaseOf(van, vanLog(), '2027-09-08T10:50')).toBe('over')
  expect(phaseOf(van, [], '2027-09-08T10:50')).toBe('under-way')
})

it('the order in which entries arrive does not matter, and taking one out restores every number', () => {
  const all = learned()
  fc.assert(
    fc.property(fc.shuffledSubarray(trailerLog(), { minLength: trailerLog().length }), (log) => {
      expect(learned(log)).toEqual(all)
    }),
    { numRuns: often(3, 8) },
  )
  const one = used('2027-09-14T14:00', 'shower', 2)
  expect(learned([...trailerLog(), one])).not.toEqual(all)
  expect(learned([...trailerLog(), one, { ...one, revision: 2, isRemoved: true }])).toEqual(all)
})

it('counts from now at the litres that were learned: own factors of the draws are over them', () => {
  const known = learned()
  const stayCase = caseNow(trailer(), known)
  const model = compile(stayCase)
  expect(model.start).toBe(NOW)
  model.containers.forEach(({ id, start }) => expect(start).toBe(levelOf(known, id)))
  stayCase.crew.activities.forEach((activity, a) =>
    expect(volumePerUse(activity)).toBeCloseTo(
      volumePerUse(trailer().crew.activities[a]!) * known.factors[a]!,
      9,
    ),
  )
  // By the trips themselves: with the factors in the model and out of the draws they are what they were in the draws.
  const { rows, columns, values } = known.now.draws!
  const undone = values.slice()
  for (let row = 0; row < rows; row++)
    known.factors.forEach((factor, a) => (undone[row * columns + a]! *= factor))
  const apart: StayCase = { ...trailer(), now: { ...known.now, draws: { rows, columns, values: undone } } }
  const [one, other] = [stayCase, apart].map((each) => {
    const compiled = compile(each)
    const sampler = samplerOf(compiled, compileChances(each, compiled))
    return sampleTrips(sampler, { seed: 3, from: 0, to: 400, bandParts: 1 }).days.sort()
  })
  for (const q of [0.1, 0.5, 0.9]) expect(quantileSorted(one!, q)).toBeCloseTo(quantileSorted(other!, q), 2)
})

it('a use is taken in at once by its litres, time goes on as expected, until it is learned again', () => {
  const known = learned()
  const base = caseNow(trailer(), known)
  const level = (stayCase: StayCase, id: string) =>
    stayCase.now!.levels.find(({ container }) => container === id)!.level
  expect(steppedTo(base, NOW, [])).toBe(base)
  const after = steppedTo(base, NOW, [{ activity: 'shower', n: 2 }])
  const litres = volumePerUse(base.crew.activities.find(({ id }) => id === 'shower')!)
  expect(level(after, 'gray') - level(base, 'gray')).toBeCloseTo(2 * litres, 9)
  expect(level(base, 'fresh') - level(after, 'fresh')).toBeCloseTo(2 * litres, 9)
  // Learned with the entry it comes to nearly the same.
  const relearned = learned([...trailerLog(), used('2027-09-14T15:15', 'shower', 2)])
  expect(Math.abs(levelOf(relearned, 'gray') - level(after, 'gray'))).toBeLessThan(1.5)
  // Draws move with their mean, and what is dry stays dry.
  const { draws } = after.now!
  const mean = (of: typeof draws, c: number) => {
    let sum = 0
    for (let row = 0; row < of!.rows; row++) sum += of!.values[(row + 1) * of!.columns - 4 + c]!
    return sum / of!.rows
  }
  expect(mean(draws, 1) - mean(base.now!.draws, 1)).toBeCloseTo(2 * litres, 1)
  // A day later, as the ledger has it.
  const tomorrow = addWallDays(NOW, 1)
  const model = compile(base)
  const gray = model.containers.findIndex(({ id }) => id === 'gray')
  const played = ledger(model)
  const part = model.grid.edges.findIndex((edge) => edge > 1) - 1
  const [from, to] = [part - 1, part].map((i) => played.levels[gray * model.grid.count + i]!) as [
    number,
    number,
  ]
  const there = level(steppedTo(base, tomorrow, []), 'gray')
  expect(there).toBeGreaterThanOrEqual(from - 1e-9)
  expect(there).toBeLessThanOrEqual(to + 1e-9)
})

it('where nothing was logged, the count from now is the rest of the plan', () => {
  const stayCase = trailer()
  const whole = count(compile(stayCase))
  const rest = count(compile(expectedNow(stayCase, '2027-09-14T11:00')))
  expect(rest.days).toBeCloseTo(whole.days! - 67 / 24, 6)
})

it('unlogged is not zero: only what is counted is as its log says, and only where it is counted', () => {
  const stayCase = trailer()
  const stretches = (counted: StayCase['stay']['counted']) => ({
    ...stayCase,
    stay: { ...stayCase.stay, counted },
  })
  const gray = (counted: StayCase['stay']['counted'], log: LogEntry[] = []) =>
    levelOf(learned(log, stretches(counted)), 'gray')
  const shower = (from: string, until: string | null) => [{ activity: 'shower', from, until }]
  const [expected, none] = [gray([]), gray(shower('2027-09-11T16:00', null))]
  const litres = 10.5 * (0.4 + 0.4 + 0.6)
  // Three days, less a quarter of an hour, at the shower's hours: as many litres as the plan has of them by then.
  expect(expected - none).toBeGreaterThan(2 * litres)
  expect(expected - none).toBeLessThan(3.5 * litres)
  // Counted from the second evening on: what came before is expected.
  const later = gray(shower('2027-09-13T05:00', null))
  expect(later).toBeGreaterThan(none + litres)
  expect(later).toBeLessThan(expected - 0.5 * litres)
  expect(gray(shower('2027-09-13T05:00', '2027-09-13T05:00'))).toBeCloseTo(expected, 9)
  // A use moves it by itself where it is counted; of what is expected it takes the place of one that was, unless it is said to
  // have come on top.
  const one = [used('2027-09-13T18:00', 'shower', 1)]
  expect(gray(shower('2027-09-11T16:00', null), one) - none).toBeCloseTo(10.5, 1)
  expect(Math.abs(gray([], one) - expected)).toBeLessThan(2)
  expect(gray([], [{ ...one[0]!, isExtra: true } as LogEntry]) - expected).toBeCloseTo(10.5, 1)
})

it('by hand: a shower that was logged today is not expected again; of those who have not, the chance of what remains', () => {
  const stayCase = trailer()
  const shower = stayCase.crew.activities.find(({ id }) => id === 'shower')!
  const [, midday, ,] = shower.weights.values
  const [morning] = shower.weights.values
  // 15:20 is 260 minutes into midday's 360.
  const gone = morning + (midday * 260) / 360
  const left = (log: LogEntry[]) =>
    learned(log).now.today!.find(({ activity }) => activity === 'shower')!.factor
  const none = trailerLog().filter(({ at }) => at < '2027-09-14')
  const chance = (p: number) => p / (1 - p * gone)
  expect(left(none)).toBeCloseTo((2 * chance(0.4) + chance(0.6)) / 1.4, 9)
  // Maren has, at 13:05.
  expect(left(trailerLog())).toBeCloseTo((chance(0.4) + chance(0.6)) / 1.4, 9)
  // Two more that nobody is named for; then none is left. Dishes are done more than once a day: nothing is said of them.
  expect(left([...trailerLog(), used('2027-09-14T14:00', 'shower', 2)])).toBe(0)
  expect(learned().now.today!.map(({ activity }) => activity)).toEqual(['shower'])
  // The rest of today follows, tomorrow does not.
  const expected = (stayCase: StayCase) => {
    const model = compile(stayCase)
    const a = model.activities.findIndex(({ id }) => id === 'shower')
    return (i: number) => model.uses[a * model.grid.count + i]!
  }
  const known = learned()
  const [now, plain] = [
    caseNow(trailer(), known),
    caseNow(trailer(), { ...known, now: { ...known.now, today: [] } }),
  ].map(expected)
  for (let i = 0; i < 3; i++) expect(now!(i)).toBeCloseTo(plain!(i) * left(trailerLog()), 9)
  expect(now!(3)).toBe(plain!(3))
})

it('a leak, a visitor, a rest: levels are unsure until they are read, and teach nothing of what a use costs', () => {
  const read = (step: number): LogEntry => ({
    ...trailerLog()[2]!,
    id: 'read',
    at: '2027-09-14T15:00',
    utc: '2027-09-14T13:00:00.000Z',
    ...({
      kind: 'reading',
      container: 'gray',
      isOffLevel: false,
      saw: { as: 'amount', amount: 160, deviation: 4 },
    } as const),
    note: String(step),
  })
  const odd: LogEntry = {
    ...trailerLog()[2]!,
    id: 'odd',
    at: '2027-09-14T15:00',
    utc: '2027-09-14T13:00:00.000Z',
    note: '',
    ...({ kind: 'odd', from: '2027-09-13T22:00', container: null, why: 'visitor' } as const),
  }
  const plain = learned()
  const [fooled, told] = [learned([...trailerLog(), read(1)]), learned([...trailerLog(), read(1), odd])]
  const factor = ({ activities }: StayLearned) => activities[0]!.factor
  const grayAt = plain.now.levels.findIndex(({ container }) => container === 'gray')
  // A hundred and sixty litres where some ninety were: it teaches nothing, and which of both is true stays open until somebody says.
  for (const one of [fooled, told]) expect(Math.abs(factor(one) - factor(plain))).toBeLessThan(0.01)
  const width = (of: StayLearned) => of.levels.map(({ low80, high80 }) => high80 - low80)[grayAt]!
  expect(width(fooled)).toBeGreaterThan(3 * width(told))
  expect(Math.abs(levelOf(told, 'gray') - 160)).toBeLessThan(4)
  expect(fooled.agreements.at(-1)!.likely).toBeLessThan(0.05)
  expect(told.agreements.at(-1)!.likely).toBeGreaterThan(0.05)
  // Its own uses do not say how often these people shower.
  const visit = [used('2027-09-14T12:00', 'shower', 6)]
  const [with6, without6] = [learned([...trailerLog(), ...visit]), learned([...trailerLog(), ...visit, odd])]
  expect(with6.factors[0]!).toBeGreaterThan(without6.factors[0]! + 0.02)
})

it('what earlier stays taught is the next prior, a little less sure each season; what was taken over is not taught twice', () => {
  const van = caseOf(vanDemo(), 'low-meadow')
  const later = (days: number): StayCase => ({
    ...van,
    stay: {
      ...van.stay,
      id: `later-${days}`,
      start: addWallDays(van.stay.start, days),
      leaveAt: addWallDays(van.stay.leaveAt, days),
      counted: [],
    },
  })
  const past = { stayCase: van, log: vanLog() }
  const own = learnStay({ ...past, earlier: [], at: '2027-09-08T10:45', seed: 1 })
  const shower = van.crew.activities.findIndex(({ id }) => id === 'shower')
  const { priors } = priorsOf(later(10), [past])
  expect(priors.get('shower')!.factor).toBeCloseTo(own.activities[shower]!.factor, 12)
  expect(priors.get('shower')!.spread).toBeCloseTo(own.activities[shower]!.spread, 12)
  const nextYear = priorsOf(later(366), [past]).priors.get('shower')!
  expect(nextYear.spread).toBeCloseTo(Math.hypot(own.activities[shower]!.spread, 0.04 * Math.sqrt(3)), 9)
  // Nothing of a stay that comes after.
  expect(priorsOf(van, [{ stayCase: later(10), log: vanLog() }]).priors.size).toBe(0)
  // Taken over: within the same stay the same evidence says the same; for a later one it is the prior, once.
  const taken = takeOverOf(van, own, '2027-09-08T08:45:00.000Z')
  expect(taken.get('shower')!.factor).toBeCloseTo(own.activities[shower]!.factor, 12)
  const over = withTakenOver(van, taken)
  expect(learnStay({ ...past, stayCase: over, earlier: [], at: '2027-09-08T10:45', seed: 1 })).toEqual(own)
  const then = withTakenOver(later(10), taken)
  const prior = priorsOf(then, [{ stayCase: over, log: vanLog() }]).priors.get('shower')!
  expect(prior.factor).toBeCloseTo(own.activities[shower]!.factor, 12)
  expect(prior.spread).toBeCloseTo(own.activities[shower]!.spread, 12)
  const { before, after } = daysByTakingOver(van, taken)
  expect(before).toBe(count(compile(van)).days)
  expect(after).toBe(count(compile(over)).days)
  const more = new Map([
    ['liquid-use', { factor: 1.5, spread: 0.1, entries: 20, upTo: '2027-09-08T08:45:00.000Z' }],
  ])
  expect(daysByTakingOver(van, more).after!).toBeLessThan(before!)
})

it('what is logged after numbers were taken over in the middle of a stay counts for the stays that come, once', () => {
  const van = caseOf(vanDemo(), 'low-meadow')
  const past = { stayCase: van, log: vanLog() }
  const taken = '2027-09-06T12:00'
  const half = learnStay({
    ...past,
    log: vanLog().filter(({ at }) => at <= taken),
    earlier: [],
    at: taken,
    seed: 1,
  })
  const over = withTakenOver(van, takeOverOf(van, half, `${taken}:00.000Z`))
  const next: StayCase = {
    ...over,
    stay: {
      ...van.stay,
      id: 'next',
      start: addWallDays(van.stay.start, 12),
      leaveAt: addWallDays(van.stay.leaveAt, 12),
      counted: [],
    },
  }
  const halfWay = priorsOf(next, [{ stayCase: over, log: vanLog().filter(({ at }) => at <= taken) }])
  const told = priorsOf(next, [{ stayCase: over, log: vanLog() }])
  const plain = priorsOf({ ...next, crew: van.crew }, [past])
  const shower = van.crew.activities.findIndex(({ id }) => id === 'shower')
  expect(told.entries[shower]!).toBe(plain.entries[shower]!)
  expect(told.priors.get('shower')!.spread).toBeLessThan(halfWay.priors.get('shower')!.spread)
  // As surely as if nothing had been taken over, and at the same litres.
  expect(told.priors.get('shower')!.factor).toBeCloseTo(plain.priors.get('shower')!.factor, 2)
  expect(told.priors.get('shower')!.spread).toBeCloseTo(plain.priors.get('shower')!.spread, 2)
})

it('a habit that is switched under way leaves the days that were lived alone', () => {
  const known = learned()
  const now = caseNow(trailer(), known)
  expect(todayOf(now)).toBe(3)
  const on = switchHabit(now, 'wet-soap-rinse', true)
  expect(on.stay.habits.find(({ habit }) => habit === 'wet-soap-rinse')!.days).toEqual([3, 366])
  expect(isOnFrom(on.stay.habits, 'wet-soap-rinse', 3)).toBe(true)
  const off = switchHabit(now, 'tooth-cup', false)
  expect(off.stay.habits.find(({ habit }) => habit === 'tooth-cup')!.days).toEqual([0, 2])
  expect(isOnFrom(off.stay.habits, 'tooth-cup', 3)).toBe(false)
  expect(switchHabit(on, 'wet-soap-rinse', false).stay.habits).toEqual(now.stay.habits)
  // What was learned of the days before is the same with it and without it.
  const levels = (stayCase: StayCase) =>
    learned(trailerLog(), { ...trailer(), stay: stayCase.stay }).levels[1]!.mean
  const before = learned(trailerLog(), trailer(), '2027-09-14T05:00').levels[1]!.mean
  expect(
    learned(trailerLog(), { ...trailer(), stay: on.stay }, '2027-09-14T05:00').levels[1]!.mean,
  ).toBeCloseTo(before, 9)
  expect(Math.abs(levels(on) - levels(now))).toBeLessThan(8)
})

it('a shakedown is begun, rests for days, is taken up again and ends', () => {
  const step = (id: string, at: string, did: 'begun' | 'rested' | 'taken-up' | 'ended'): LogEntry => ({
    ...trailerLog()[0]!,
    id,
    at,
    utc: `${at}:00.000Z`,
    ...({ kind: 'shakedown', did } as const),
  })
  const steps = [
    step('1', '2027-09-12T08:00', 'begun'),
    step('2', '2027-09-13T08:00', 'rested'),
    step('3', '2027-09-16T08:00', 'taken-up'),
    step('4', '2027-09-17T08:00', 'ended'),
  ]
  expect(steps.map((_, k) => shakedownOf('harrow-ridge', steps.slice(0, k + 1)).state)).toEqual([
    'counting',
    'resting',
    'counting',
    'ended',
  ])
  expect(shakedownOf('harrow-ridge', [])).toEqual({ state: 'none', since: null })
  expect(shakedownOf('elsewhere', steps).state).toBe('none')
})
