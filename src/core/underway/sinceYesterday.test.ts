import { describe, expect, it } from 'vitest'
import { countsOn } from '../risk'
import { addWallDays } from '../calendar'
import type { LogEntry } from '../log'
import { caseOf, type StayCase } from '../domain'
import { owned } from '../quantities'
import { riskTables } from '../risk'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { trailerLog } from '../../../scripts/demo/trailerLog'
import { switchHabitIn } from '../../../tests/support/inDocument'
import { caseNow, learnStay, sinceYesterday, type SinceYesterday } from './index'

const AT = '2027-09-14T15:20'
const trips = { seed: 5, trials: 400, tables: riskTables() }
const plan = () => caseOf(trailerDemo(), 'harrow-ridge')
const since = (stayCase: StayCase, log: LogEntry[], at = AT) =>
  sinceYesterday({ stayCase, log, earlier: [], at, ...trips })
const sum = ({ parts }: SinceYesterday) => parts.reduce((all, { days }) => all + days, 0)
const partOf = ({ parts }: SinceYesterday, kind: string, activity?: string) =>
  parts.find(
    ({ cause }) =>
      cause.kind === kind && (activity === undefined || ('activity' in cause && cause.activity === activity)),
  )?.days ?? 0

/** Days to plan on from a moment, as they were known at that moment. */
function planOnAt(stayCase: StayCase, log: LogEntry[], at: string): number {
  const until = log.filter((entry) => entry.at <= at)
  const now = caseNow(stayCase, learnStay({ stayCase, log: until, earlier: [], at, seed: trips.seed }))
  return countsOn(now, stayCase.stay.horizonDays.value, trips).planOn
}

function used(at: string, activity: string, n: number): LogEntry {
  const head = {
    id: `${at} ${activity}`,
    revision: 1,
    isRemoved: false,
    rig: 'trailer',
    stay: 'harrow-ridge',
  }
  const said = { note: '', utc: `${at}:00.000Z`, at, person: null, litres: null, minutes: null }
  return { ...head, ...said, kind: 'use', activity, n }
}

describe('what changed since yesterday', () => {
  it('adds up to the difference between the count of yesterday and that of now', () => {
    const found = since(plan(), trailerLog())
    expect(found).toMatchObject({ from: addWallDays(AT, -1), at: AT, elapsed: 1 })
    const [then, now] = [planOnAt(plan(), trailerLog(), found.from), planOnAt(plan(), trailerLog(), AT)]
    expect(found.then).toBeCloseTo(then, 9)
    expect(found.now).toBeCloseTo(now, 9)
    expect(found.change).toBeCloseTo(now - (then - 1), 9)
    expect(sum(found)).toBeCloseTo(found.change, 9)
  })

  it('two late showers more cost about their litres over a day’s, and are named', () => {
    const usual = since(plan(), trailerLog())
    const more = [...trailerLog(), used('2027-09-14T14:00', 'shower', 2)]
    const found = since(plan(), more)
    expect(sum(found)).toBeCloseTo(found.change, 9)
    const shower = partOf(found, 'use', 'shower') - partOf(usual, 'use', 'shower')
    // Two of 10.5 L into gray, which gets some 30 L a day.
    expect(shower).toBeLessThan(-0.4)
    expect(shower).toBeGreaterThan(-1)
    const cause = found.parts.find(({ cause: one }) => one.kind === 'use' && one.activity === 'shower')!.cause
    expect(cause).toMatchObject({ n: 5 })
  })

  it('names what was emptied, and a habit taken up today', () => {
    const log = trailerLog()
    const run: LogEntry = {
      ...{ id: 'run', revision: 1, isRemoved: false, rig: 'trailer', stay: 'harrow-ridge', note: '' },
      ...{ at: '2027-09-14T14:30', utc: '2027-09-14T14:30:00.000Z', kind: 'run', place: null },
      did: [{ container: 'gray', what: 'emptied', litres: null }],
    }
    const emptied = since(plan(), [...log, run])
    expect(partOf(emptied, 'runs')).toBeGreaterThan(0.5)
    expect(sum(emptied)).toBeCloseTo(emptied.change, 9)
    const document = trailerDemo()
    const changed = switchHabitIn(document, 'harrow-ridge', 'wet-soap-rinse', true)
    changed.stays[0]!.habits.find(({ habit }) => habit === 'wet-soap-rinse')!.days = [3, 366]
    const taken = since(caseOf(changed, 'harrow-ridge'), log)
    expect(partOf(taken, 'plan')).toBeGreaterThan(0.2)
    expect(sum(taken)).toBeCloseTo(taken.change, 9)
  })

  it('a day lived as it was expected is a day, ahead of no plan and behind none', () => {
    const document = trailerDemo()
    const [stay] = document.stays
    stay!.counted = []
    const lived = since(caseOf(document, 'harrow-ridge'), [])
    expect(Math.abs(lived.change)).toBeLessThan(0.35)
    expect(Math.abs(lived.ahead)).toBeLessThan(0.1)
    // In the first day it is told since the stay began.
    const early = since(caseOf(document, 'harrow-ridge'), [], '2027-09-11T22:00')
    expect(early.elapsed).toBeCloseTo(0.25, 9)
    stay!.weather = { ...stay!.weather, usual: owned(36), days: [] }
    const hot = since(caseOf(document, 'harrow-ridge'), [])
    expect(hot.parts.find(({ cause }) => cause.kind === 'day')!.cause).toMatchObject({
      warmest: 36,
      usual: 36,
    })
  })
})
