import { describe, expect, it } from 'vitest'
import { flowsOf, ledger } from '../count'
import type { LogEntry } from '../log'
import { caseOf, type StayCase } from '../domain'
import { learnStay } from '../underway'
import { vanDemo } from '../../../scripts/demo/van'
import { vanLog } from '../../../scripts/demo/vanLog'
import { example, use } from '../../../tests/support/build'
import { litresOf, livedOf, perPersonDay, reviewOf, seasonOf } from './index'

const END = '2027-06-03T11:00'
const plan = (counted: string[] = []): StayCase => {
  const shower = use('shower', { kind: 'shower', role: 'shower', per: 'person', rate: 1, volume: 10 })
  const flush = use('flush', {
    kind: 'liquid-use',
    role: 'toilet',
    rate: 4,
    volume: 1,
    adds: [['body', 0.25]],
  })
  const document = example({
    ...{ fresh: [200, 10, 200], gray: [100, 0.9, 0], black: [50, 0.9, 0], persons: ['ann', 'bo'] },
    uses: [shower, flush],
    stay: {
      ...{ start: '2027-06-01T05:00', leaveAt: '2027-06-04T11:00' },
      counted: counted.map((activity) => ({ activity, from: '2027-06-01T05:00', until: null })),
    },
  })
  return caseOf(document, 'stay')
}
const head = { revision: 1, isRemoved: false, rig: 'rig', stay: 'stay', note: '' }
function used(at: string, activity: string, n: number): LogEntry {
  const rest = { person: null, litres: null, minutes: null }
  return { ...head, id: `${at} ${activity}`, at, utc: `${at}:00.000Z`, kind: 'use', activity, n, ...rest }
}
const run = (at: string, more: object = {}): LogEntry => ({
  ...{ ...head, id: at, at, utc: `${at}:00.000Z`, kind: 'run', place: null, note: 'Dump' },
  did: [{ container: 'gray', what: 'emptied', litres: null }],
  ...more,
})
const review = (stayCase: StayCase, log: LogEntry[], end = END) =>
  reviewOf(stayCase, log, learnStay({ stayCase, log, earlier: [], at: end, seed: 1 }), end)

describe('a stay as it was lived', () => {
  it('by hand: nothing logged and nothing counted is what was expected, up to the hour it ended', () => {
    // Two days and six hours of two people: 4.5 person-days, 4.5 showers and 9 flushes.
    const found = review(plan(), [])
    expect(found.lived.personDays).toBeCloseTo(4.5, 9)
    expect(found.nights).toEqual({ planned: 3, lived: 2 })
    const { litres } = found.lived
    expect(litres.drawn).toBeCloseTo(45 + 9, 6)
    expect(litres.gray).toBeCloseTo(45, 6)
    expect(litres.toilet).toBeCloseTo(9 * 1.25, 6)
    expect(perPersonDay(litres.drawn, found.lived.personDays)).toBeCloseTo(12, 6)
    // Plan: gray stops at 90 L after 4.5 days.
    expect(found.planned).toMatchObject({ stopper: 'gray' })
    expect(found.planned.days).toBeCloseTo(4.5, 9)
    expect(found.nearest!.container).toBe('gray')
    expect(found.nearest!.share).toBeCloseTo(0.5, 2)
  })

  it('what is counted is what was logged, what came on top comes on top, and a day left out is none', () => {
    const log = [
      used('2027-06-01T18:00', 'shower', 3),
      used('2027-06-02T12:00', 'flush', 2),
      used('2027-06-03T06:00', 'flush', 0),
    ]
    const stayCase = plan(['shower'])
    const learned = learnStay({ stayCase, log, earlier: [], at: END, seed: 1 })
    const lived = livedOf(stayCase, log, END, learned)
    const by = new Map(litresOf(lived).byActivity.map(({ activity, uses }) => [activity, uses]))
    expect(by.get('shower')).toBeCloseTo(3, 9)
    // Two days of four, two more, and none on the third day.
    expect(by.get('flush')).toBeCloseTo(10, 9)
    // Whatever is counted adds up to the ledger's own flows.
    const flows = flowsOf(lived.model, ledger(lived.model))
    const fromFresh = flows
      .filter(({ from }) => from === 'fresh')
      .reduce((sum, { amount }) => sum + amount, 0)
    expect(litresOf(lived).drawn).toBeCloseTo(fromFresh, 9)
  })

  it('runs with what they moved and took; fees, minutes and rounds only where somebody said', () => {
    const took = { minutes: 50, kilometres: 8, fee: 12, rinses: [{ container: 'gray', rounds: 2, owed: 1 }] }
    const found = review(plan(), [run('2027-06-02T11:30', { took }), run('2027-06-03T07:00')])
    expect(found.cost).toEqual({ fee: 12, minutes: 50, kilometres: 8, dumps: 2 })
    // A day and a quarter of 20 L; then eighteen hours more.
    expect(found.runs[0]!.did[0]!.amount).toBeCloseTo(25, 6)
    expect(found.runs[1]!.took).toBeNull()
    expect(found.nearest!.share).toBeLessThan(0.5)
  })

  it('the demo’s van: what was learned, its run, and readings that agree', () => {
    const stayCase = caseOf(vanDemo(), 'low-meadow')
    const found = review(stayCase, vanLog(), '2027-09-08T10:45')
    expect(found.nights).toEqual({ planned: 4, lived: 4 })
    expect(found.cost.dumps).toBe(1)
    expect(found.readings).toMatchObject({ total: 2 })
    expect(found.learned.length).toBeGreaterThan(0)
    expect(found.taken.map(({ activity }) => activity)).toEqual(found.learned.map(({ activity }) => activity))
    const { byActivity, drawn } = found.lived.litres
    expect(byActivity.reduce((sum, one) => sum + one.drawn, 0)).toBeCloseTo(drawn, 9)
    expect(byActivity.find(({ activity }) => activity === 'shower')!.uses).toBeCloseTo(2, 9)
  })
})

it('a season adds its stays up, and has a trend from three on', () => {
  const one = review(plan(), [run('2027-06-02T11:30')])
  const later = (start: string, times: number) => ({
    ...one,
    start,
    lived: { ...one.lived, litres: { ...one.lived.litres, drawn: one.lived.litres.drawn * times } },
  })
  const two = seasonOf([later('2027-07-01T05:00', 1), one])
  expect(two).toMatchObject({ dryNights: 4, dumps: 2, trend: null })
  expect(two.drawn.map(({ start }) => start)).toEqual(['2027-06-01T05:00', '2027-07-01T05:00'])
  // 12, 10.8 and 9.6 L a person and day: 1.2 L less each time.
  const three = seasonOf([one, later('2027-07-01T05:00', 0.9), later('2027-08-01T05:00', 0.8)])
  expect(three.trend).toBeCloseTo(-1.2, 6)
  expect(seasonOf([])).toMatchObject({ dryNights: 0, daysPerDump: null, trend: null })
})
