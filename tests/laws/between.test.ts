import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { run as commandLine } from '../../cli/run'
import { nextBest } from '@/core/advice'
import { addWallDays, dayZero, slotAt, slotBegins, slotNumber, wallDaysBetween } from '@/core/calendar'
import { keptChain, seasonOf } from '@/core/chain'
import { compile, compileChances } from '@/core/compile'
import { count, dryCount, ledger, nightsMade } from '@/core/count'
import { decideBy, toQuarter } from '@/core/advice'
import { runOffers } from '@/core/errands'
import { caseOf, type Document, type OpenTimes, type Place, type StayCase } from '@/core/domain'
import { judgedRuns } from '@/core/places'
import { owned } from '@/core/quantities'
import {
  PLAN_ON,
  heldOn,
  ownCounts,
  planOnOfEach,
  riskOf,
  riskTables,
  samplerOf,
  sampleTrips,
  untilLeft,
} from '@/core/risk'
import { learnStay } from '@/core/underway'
import { whole } from '@/core/slices'
import { newPlace } from '@/document/starters'
import { countWords } from '@/parts/count/useCountWords'
import { tallyShape } from '@/parts/count/tally'
import { trailerDemo } from '../../scripts/demo/trailer'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { documentArb } from '../support/generate'
import { runOf, runStep, withRunsArb } from '../support/generateRuns'
import { often } from '../support/thorough'

// Laws that hold one answer against another (model.md section 10).
const RUNS = { numRuns: often(200, 1000) }
const FEW = { numRuns: often(200, 600) }
const tables = riskTables()
const trips = { seed: 7, trials: 60, tables }
const done = <T>(steps: Generator<unknown, T>): T => {
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value
}

/** Nights by the clock: every 05:00 after the beginning, the last night ending when the stay is left. */
function nightsByHand(days: number | null, from: string, leaveAt: string): number {
  const stop = days === null ? '9999' : addWallDays(from, days)
  const fives: string[] = []
  for (let day = 0; day < 400; day++) {
    const five = `${addWallDays(`${from.slice(0, 10)}T00:00`, day).slice(0, 10)}T05:00`
    if (five > from && five <= leaveAt) fives.push(five)
  }
  // The last of them ends with the stay itself.
  const ends = fives.map((five, k) => (k === fives.length - 1 ? leaveAt : five))
  return ends.filter((end) => stop >= end || (days !== null && days >= wallDaysBetween(from, end) - 1e-9))
    .length
}

describe('nights', () => {
  it('of the count, the tally, the sentence, the season and the command line are one number', async () => {
    let [some, short] = [0, 0]
    fc.assert(
      fc.property(withRunsArb, fc.integer({ min: 1, max: 12 }), (made, nights) => {
        const document = structuredClone(made)
        const [stay] = document.stays
        stay!.leaveAt = `${addWallDays(dayZero(stay!.start), nights).slice(0, 10)}T11:00`
        if (stay!.leaveAt <= stay!.start) return
        const stayCase = caseOf(document, 'stay')
        const model = compile(stayCase)
        const result = count(model)
        const byHand = nightsByHand(result.days, stay!.start, stay!.leaveAt)
        const known = nightsMade(result.days, stay!.start, stay!.leaveAt)
        const words = countWords(stay!, model, result, stay!.start)
        const drawn = tallyShape(words.ends, words.days).strokes.filter(({ filled }) => filled >= 1)
        const [season] = whole(seasonOf([stayCase]))
        expect([known.made, words.made, words.nights - words.short, drawn.length, season!.made]).toEqual(
          Array<number>(5).fill(byHand),
        )
        some += byHand
        short += known.short
      }),
      RUNS,
    )
    expect([some > 50, short > 50]).toEqual([true, true])
    const text = JSON.stringify({ ...trailerDemo(), log: [] })
    const { output } = await commandLine(['count', 'x'], () => text)
    const answer = JSON.parse(output!) as {
      count: { days: number }
      nights: { made: number; planned: number }
    }
    const { start, leaveAt } = trailerDemo().stays[0]!
    expect(answer.nights).toMatchObject({
      planned: 12,
      made: nightsByHand(answer.count.days, start, leaveAt),
    })
  })
})

/** A place that is never open while the stay lasts. */
const shutFor = ({ start, leaveAt }: { start: string; leaveAt: string }): OpenTimes => ({
  spans: [],
  from: addWallDays(start, -2),
  until: addWallDays(leaveAt, 40),
  leavesHolidays: false,
  isDoubtful: false,
})

it('a run that is known not to be possible changes no number', () => {
  let held = 0
  fc.assert(
    fc.property(withRunsArb, fc.nat(9), fc.boolean(), (document, day, isShut) => {
      const place: Place = {
        ...newPlace('there', 'There'),
        ...(isShut ? { opening: 'Mo-Su 00:01-00:02' } : { accepts: [] as NonNullable<Place['accepts']> }),
      }
      const [stay] = document.stays
      const withPlace = { ...document, stays: [{ ...stay!, places: [place] }] }
      const run = runOf('not', day, 'midday', [runStep('empty', 'gray-0', null)], { place: 'there' })
      const withRun = { ...withPlace, stays: [{ ...withPlace.stays[0]!, runs: [...stay!.runs, run] }] }
      const hours = new Map(isShut ? [['there', shutFor(stay!)] as const] : [])
      const [without, withIt] = [withPlace, withRun].map((one): StayCase => ({
        ...caseOf(one, 'stay'),
        hours,
      }))
      if (judgedRuns(withIt!).get('not')!.hindrances.length === 0) return
      held += 1
      const [a, b] = [without!, withIt!].map((one) => {
        const model = compile(one)
        const result = count(model)
        const sample = sampleTrips(samplerOf(model, compileChances(one, model), { tables }), {
          seed: 3,
          from: 0,
          to: 20,
          bandParts: 0,
        })
        return [result.days, result.stopper, [...result.ledger.levels], [...sample.days], heldOn(one, trips)]
      })
      expect(b).toEqual(a)
    }),
    RUNS,
  )
  expect(held).toBeGreaterThan(100)
})

it('the first last moment is never after what can be planned on, and none is before it is asked', () => {
  let some = 0
  fc.assert(
    fc.property(withRunsArb, (document) => {
      const stayCase = caseOf(document, 'stay')
      const { start, leaveAt } = stayCase.stay
      const horizonDays = untilLeft(stayCase) + 1
      const own = { seed: 7, trials: 60, q: PLAN_ON, horizonDays, withRuns: true, tables }
      const { containers, joint } = whole(ownCounts(stayCase, own))
      const answers = decideBy({ stayCase, containers, joint, from: start })
      const firsts = answers.flatMap(({ by }) => by ?? [])
      if (firsts.length === 0 || !Number.isFinite(joint)) return
      some += 1
      const first = firsts.reduce((a, b) => (a < b ? a : b))
      expect(wallDaysBetween(start, first)).toBeLessThanOrEqual(joint + 1e-9)
      for (const { by, offers } of answers)
        for (const { leaveBy } of offers) {
          expect(leaveBy <= by!).toBe(true)
          expect(leaveBy < leaveAt).toBe(true)
          const said = toQuarter(leaveBy, start)
          expect(said <= leaveBy && said >= start).toBe(true)
        }
    }),
    FEW,
  )
  expect(some).toBeGreaterThan(50)
})

it('the tank that the sentence names has the days of the figure beside it, and no tank has fewer', () => {
  let [stopped, others] = [0, 0]
  fc.assert(
    fc.property(withRunsArb, (document) => {
      const stayCase = caseOf(document, 'stay')
      const model = compile(stayCase)
      const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
      const sample = sampleTrips(sampler, { seed: 7, from: 0, to: 60, bandParts: 0 })
      const { planOn, stoppers } = riskOf(model, sample, untilLeft(stayCase))
      const own = { seed: 7, trials: 60, q: PLAN_ON, horizonDays: model.horizonDays, withRuns: true, tables }
      const stops = stoppers[0]?.container ?? null
      const each = planOnOfEach(whole(ownCounts(stayCase, own)), stops)
      if (stops === null || planOn.isBeyond) return
      stopped += 1
      expect(each.get(stops)).toBe(planOn.days)
      for (const [id, days] of each) {
        expect(days).toBeGreaterThanOrEqual(planOn.days)
        if (id !== stops && Number.isFinite(days)) others += 1
      }
    }),
    FEW,
  )
  expect([stopped > 40, others > 10]).toEqual([true, true])
})

it('an offered run that is set buys what its offer said, at the place it named, and begins before what can be planned on where it can', () => {
  let some = 0
  fc.assert(
    fc.property(documentArb, (made) => {
      const document = structuredClone(made)
      // Days enough for a run, and few enough for so many of them.
      document.stays[0]!.leaveAt = addWallDays(document.stays[0]!.start, 4)
      document.stays[0]!.places = [
        {
          ...newPlace('dump', 'Dump'),
          accepts: ['gray', 'black', 'cassette'],
          water: 'potable',
          rule: 'unknown',
        },
      ]
      document.stays[0]!.ways = [{ place: 'dump', kilometres: owned(12), minutes: owned(20) }]
      const stayCase = caseOf(document, 'stay')
      const before = heldOn(stayCase, trips)
      const model = compile(stayCase, { horizonDays: untilLeft(stayCase) + 1 })
      const sample = sampleTrips(samplerOf(model, compileChances(stayCase, model), { tables }), {
        seed: trips.seed,
        from: 0,
        to: trips.trials,
        bandParts: 0,
      })
      const { planOn } = riskOf(model, sample, untilLeft(stayCase))
      for (const offer of done(runOffers(stayCase, trips))) {
        const set = { ...stayCase, stay: { ...stayCase.stay, runs: [...stayCase.stay.runs, offer.run] } }
        const after = heldOn(set, trips)
        expect(after.held - before.held).toBeCloseTo(offer.gain, 9)
        expect([offer.chanceBefore, offer.chance]).toEqual([before.chance, after.chance])
        expect(judgedRuns(set).get(offer.run.id)!.hindrances).toEqual([])
        const ends = slotBegins(stayCase.stay.start, slotAt(slotNumber(offer.run) + 1))
        const firstEnds = slotBegins(stayCase.stay.start, slotAt(slotNumber(slotAt(0)) + 8))
        if (offer.run.kind === 'move' && wallDaysBetween(stayCase.stay.start, firstEnds) <= planOn.days)
          expect(wallDaysBetween(stayCase.stay.start, ends)).toBeLessThanOrEqual(planOn.days + 1e-9)
        some += 1
      }
    }),
    { numRuns: often(25, 200) },
  )
  expect(some).toBeGreaterThan(20)
})

it('what advice says a step buys is what the same trips say once it is done', () => {
  const stayCase = caseOf(trailerDemo(), 'harrow-ridge')
  const [step] = done(nextBest(stayCase, { ...trips, trials: 200 }))
  expect(step?.change.kind).toBe('run')
  if (step?.change.kind !== 'run') return
  const set = { ...stayCase, stay: { ...stayCase.stay, runs: [step.change.run] } }
  const until = wallDaysBetween(stayCase.stay.start, addWallDays(dayZero(stayCase.stay.leaveAt), 6 / 24))
  const [before, after] = [stayCase, set].map((one) => heldOn(one, { ...trips, trials: 200 }, until))
  expect(after!.held - before!.held).toBeCloseTo(step.gain, 6)
})

it('with runs and without are the same statistic of the same trips: without any they are equal', () => {
  fc.assert(
    fc.property(documentArb, (document) => {
      const stayCase = caseOf(document, 'stay')
      const options = { seed: 5, trials: 40, q: PLAN_ON, horizonDays: 12, tables }
      const [withRuns, without] = [true, false].map((is) =>
        whole(ownCounts(stayCase, { ...options, withRuns: is })),
      )
      expect(withRuns).toEqual(without)
      expect(dryCount(compile(stayCase)).days).toBe(count(compile(stayCase)).days)
    }),
    { numRuns: often(200, 400) },
  )
})

it('a posterior is a function of document, log and clock: the order of entries changes nothing, to the last bit', () => {
  const document = trailerDemo()
  const stayCase = caseOf(document, 'harrow-ridge')
  const log = trailerLog()
  const learnt = (entries: typeof log) =>
    learnStay({ stayCase, log: entries, earlier: [], at: '2027-09-14T15:20', seed: 3 })
  const first = learnt(log)
  fc.assert(
    fc.property(fc.shuffledSubarray(log, { minLength: log.length }), (shuffled) => {
      expect(learnt(JSON.parse(JSON.stringify(shuffled)) as typeof log)).toEqual(first)
    }),
    { numRuns: often(15, 100) },
  )
})

/** The second of two stays begins as the first is left, however it is asked. */
describe('a chain of two stays', () => {
  const both = (): Document => {
    const document = trailerDemo()
    const [first] = document.stays
    first!.leaveAt = '2027-09-15T11:00'
    document.stays.push({
      ...structuredClone(first!),
      id: 'next',
      name: 'Next',
      start: '2027-09-15T11:00',
      leaveAt: '2027-09-19T11:00',
      follows: first!.id,
      counted: [],
    })
    return document
  }
  const cli = async (...args: string[]) =>
    JSON.parse((await commandLine([...args], () => JSON.stringify({ ...both(), log: [] }))).output!) as {
      containers: { id: string; start: number }[]
    }

  it('planned, under way by the clock alone, and on the command line: the same levels', async () => {
    const document = both()
    const first = compile(caseOf(document, 'harrow-ridge'), { horizonDays: 10 })
    const played = ledger(first)
    const part = first.grid.edges.findIndex((edge) => addWallDays(first.start, edge) >= '2027-09-15T11:00')
    const left = first.containers.map((_, c) => played.levels[c * first.grid.count + part - 1]!)
    const planned = compile(keptChain()(document, 'next')).containers.map(({ start }) => start)
    const asked = (await cli('count', 'x', '--stay', 'next')).containers.map(({ start }) => start)
    const now = await cli('count', 'x', '--stay', 'next', '--now', '2027-09-15T11:00')
    left.forEach((level, c) => {
      expect(planned[c]).toBeCloseTo(level, 6)
      expect(asked[c]).toBeCloseTo(level, 6)
      expect(now.containers[c]!.start).toBeCloseTo(level, 6)
    })
    expect(left[0]).toBeLessThan(200)
    // And learned: nothing was logged, so that it stands where it was left.
    const chained = keptChain()(document, 'next')
    const { levels } = learnStay({ stayCase: chained, log: [], earlier: [], at: '2027-09-15T11:00', seed: 1 })
    levels.forEach(({ mean }, c) => expect(mean).toBeCloseTo(left[c]!, 6))
  })
})

it('a quarter of an hour is rounded down, and never to before it is asked for', () => {
  expect(toQuarter('2027-09-15T17:14', '2027-09-11T16:00')).toBe('2027-09-15T17:00')
  expect(toQuarter('2027-09-15T17:15', '2027-09-11T16:00')).toBe('2027-09-15T17:15')
  expect(toQuarter('2027-09-15T17:14', '2027-09-15T17:07')).toBe('2027-09-15T17:07')
})
