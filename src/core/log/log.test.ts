import fc from 'fast-check'
import { expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { vanDemo } from '../../../scripts/demo/van'
import { learn } from '../learn'
import { compile } from '../compile'
import { caseOf, type Document } from '../domain'
import { evidenceOf, loggedTwice, standing, type LogEntry } from './index'

const STAY = 'harrow-ridge'
let serial = 0
/** An entry of the trailer's stay, logged in a place two hours ahead of UTC. */
function entry(at: string, what: object, head: Partial<LogEntry> = {}): LogEntry {
  const utc = new Date(Date.parse(`${at}:00Z`) - 2 * 3_600_000).toISOString()
  const given = {
    id: `e${(serial += 1)}`,
    revision: 1,
    isRemoved: false,
    rig: 'trailer',
    stay: STAY,
    at,
    utc,
    note: '',
  }
  return { ...given, ...what, ...head } as LogEntry
}
const shower = (at: string, n: number, more: object = {}) =>
  entry(at, { kind: 'use', activity: 'shower', n, person: null, litres: null, minutes: null, ...more })
const reading = (at: string, container: string, saw: object, isOffLevel = false) =>
  entry(at, { kind: 'reading', container, saw, isOffLevel })

function told(log: LogEntry[], document: Document = trailerDemo(), counted: string[] = []) {
  document.stays[0]!.counted = []
  const stayCase = caseOf(document, document.stays[0]!.id)
  const model = compile(stayCase)
  return evidenceOf(log, stayCase, model, new Set(counted))
}
const indexOf = (container: string) =>
  compile(caseOf(trailerDemo(), STAY)).containers.findIndex(({ id }) => id === container)

it('keeps the newest revision, forgets what was removed, and orders by UTC whatever the wall says', () => {
  const first = shower('2027-09-12T08:00', 1)
  const amended = { ...first, revision: 2, n: 2 } as LogEntry
  const removed = shower('2027-09-12T09:00', 1)
  // The clocks go back: a later use with an earlier wall time.
  const later = shower('2027-09-12T07:30', 1, {})
  const log = [
    amended,
    first,
    removed,
    { ...removed, revision: 2, isRemoved: true },
    { ...later, utc: '2027-09-12T06:30:00.000Z' },
  ]
  fc.assert(
    fc.property(fc.shuffledSubarray(log, { minLength: log.length }), (shuffled) => {
      expect(standing(shuffled)).toEqual([amended, { ...later, utc: '2027-09-12T06:30:00.000Z' }])
    }),
  )
})

it('by hand: uses, a metered and a timed one, extra and not today', () => {
  // The stay starts on the 11th at 16:00.
  const [one] = told([shower('2027-09-12T16:00', 2)])
  expect(one).toEqual({
    kind: 'used',
    at: 1,
    activity: expect.any(Number) as number,
    n: 2,
    litres: null,
    isExtra: false,
  })
  expect(told([shower('2027-09-12T16:00', 1, { litres: 23 })])[0]).toMatchObject({ litres: 23 })
  const timed = trailerDemo()
  const activity = timed.crews[0]!.activities.find(({ id }) => id === 'shower')!
  const by = (value: number) => ({ value, by: 'owner' as const })
  activity.timed = { flow: by(6), on: by(4), trickle: by(0.5), paused: by(2), runUp: by(3) }
  expect(told([shower('2027-09-12T16:00', 1, { minutes: 3 })], timed)[0]).toMatchObject({ litres: 6 * 3 + 3 })
  // Not today: from 05:00 of that day to 05:00 of the next; of what is counted it says nothing new.
  const [none] = told([shower('2027-09-12T20:00', 0)])
  expect(none).toEqual({
    kind: 'left-out',
    at: expect.closeTo(13 / 24, 12) as number,
    until: expect.closeTo(37 / 24, 12) as number,
    activity: expect.any(Number) as number,
    factor: 0,
  })
  expect(told([shower('2027-09-12T20:00', 0)], trailerDemo(), ['shower'])).toEqual([])
})

it('by hand: what was seen of a tank, of each kind', () => {
  const at = '2027-09-13T04:00'
  const panel = { as: 'panel', edges: [0, 1 / 3, 2 / 3, 1], step: 1 }
  expect(told([reading(at, 'gray', panel)])[0]).toMatchObject({
    kind: 'panel',
    at: 1.5,
    container: indexOf('gray'),
    step: 1,
  })
  expect(told([reading(at, 'gray', panel, true)])).toEqual([])
  expect(told([reading(at, 'gray', { as: 'amount', amount: 90, deviation: 4 })])[0]).toMatchObject({
    level: 90,
    // A stick is off by 4 L, and the rig by a hundredth of the tank.
    deviation: Math.hypot(4, 0.01 * 210),
  })
  expect(told([reading(at, 'gray', { as: 'full' })])[0]).toMatchObject({ level: 210 * 0.998, deviation: 2.1 })
  // Joined with black, 210 and 130 L: what stands in one stands in both alike.
  const joined = trailerDemo()
  joined.rigs[0]!.outlets[0]!.joined = ['gray', 'black']
  const both = told([reading(at, 'gray', { as: 'amount', amount: 21, deviation: 2.1 })], joined)[0]
  expect(both).toMatchObject({
    level: expect.closeTo(34, 9) as number,
    deviation: expect.closeTo((Math.hypot(2.1, 0.01 * 210) * 340) / 210, 9) as number,
  })
  const run = entry(at, {
    kind: 'run',
    place: null,
    did: [
      { container: 'gray', what: 'emptied', litres: null },
      { container: 'fresh', what: 'filled', litres: null },
      { container: 'black', what: 'put-in', litres: 20 },
      { container: 'gone', what: 'emptied', litres: null },
    ],
  })
  expect(told([run])).toEqual([
    { kind: 'known', at: 1.5, container: indexOf('gray'), level: 0 },
    { kind: 'known', at: 1.5, container: indexOf('fresh'), level: 'full' },
    { kind: 'moved', at: 1.5, container: indexOf('black'), by: 20, deviation: 1 },
  ])
  // A cassette's light, and its weight with the shell off; litres by 0.998 kg each.
  const van = vanDemo()
  const stay = van.stays[0]!
  const cassette = van.rigs[0]!.containers.find(({ kind }) => kind === 'cassette')!
  const head = { rig: van.rigs[0]!.id, stay: stay.id }
  const seen = (saw: object) => told([{ ...reading(stay.leaveAt, cassette.id, saw), ...head }], van)[0]
  if (cassette.kind !== 'cassette' || !cassette.light) throw new Error('the van has a cassette with a light')
  const full = (1 + cassette.spares) * cassette.capacity.value
  expect(seen({ as: 'light' })).toMatchObject({
    kind: 'panel',
    edges: [0, cassette.light.value / full],
    step: 1,
  })
  expect(seen({ as: 'weight', kg: cassette.shell.value + 9.98 })).toMatchObject({ level: 10 })
})

it('says nothing of other stays, of what was before, of activities that are gone', () => {
  const foreign = { ...shower('2027-09-12T08:00', 1), stay: 'elsewhere' }
  const gone = { ...shower('2027-09-12T08:00', 1), activity: 'sauna' } as LogEntry
  expect(
    told([
      foreign,
      shower('2027-09-11T15:59', 1),
      gone,
      entry('2027-09-12T08:00', { kind: 'note', container: null }),
    ]),
  ).toEqual([])
})

it('twenty litres put in move the level by twenty, and emptying makes it known', () => {
  const stayCase = caseOf(trailerDemo(), STAY)
  const model = compile(stayCase)
  const level = (log: LogEntry[], container: string) => {
    const evidence = evidenceOf(log, stayCase, model, new Set())
    return learn(stayCase, model, evidence, { counted: new Set(), until: 2 }).levels[indexOf(container)]!
  }
  const run = (container: string, what: string, litres: number | null) =>
    entry('2027-09-12T16:00', { kind: 'run', place: null, did: [{ container, what, litres }] })
  expect(level([run('fresh', 'put-in', 20)], 'fresh').mean - level([], 'fresh').mean).toBeCloseTo(20, 2)
  const wide = (all: { low80: number; high80: number }) => all.high80 - all.low80
  expect(wide(level([run('gray', 'emptied', null)], 'gray'))).toBeLessThan(wide(level([], 'gray')))
})

it('a card’s panel before, its run and its panel after share a minute, and stay in the order they were logged in', () => {
  const at = '2027-09-13T16:00'
  const panel = (step: number) => ({ as: 'panel', edges: [0, 1 / 3, 2 / 3, 1], step })
  const inOrder = (entries: LogEntry[]): LogEntry[] =>
    entries.map((one, k) => ({ ...one, utc: `2027-09-13T14:00:07.${String(120 + k)}Z` }))
  const log = inOrder([
    reading(at, 'gray', panel(2)),
    entry(at, { kind: 'run', place: null, did: [{ container: 'gray', what: 'emptied', litres: null }] }),
    reading(at, 'gray', panel(0)),
  ])
  const stayCase = caseOf(trailerDemo(), STAY)
  const model = compile(stayCase)
  fc.assert(
    fc.property(fc.shuffledSubarray(log, { minLength: log.length }), (shuffled) => {
      const evidence = evidenceOf(shuffled, stayCase, model, new Set())
      expect(evidence.slice(0, 3).map(({ kind }) => kind)).toEqual(['panel', 'known', 'panel'])
      const { agreements, levels } = learn(stayCase, model, evidence, { counted: new Set(), until: 2.1 })
      expect(agreements.at(-1)!.likely).toBeGreaterThan(0.5)
      expect(levels[indexOf('gray')]!.mean).toBeLessThan(20)
    }),
  )
  // A clock that was set back by an hour in between moves nothing: what came later did not happen earlier.
  const back = log.map((one, k) => (k === 2 ? { ...one, at: '2027-09-13T15:00' } : one))
  const when = evidenceOf(back, stayCase, model, new Set()).slice(0, 3)
  expect(when.map((one) => [one.kind, one.at])).toEqual([
    ['panel', 2],
    ['known', 2],
    ['panel', 2],
  ])
})

it('of several cassettes the one aboard is read: weighing it does not say that the others are empty', () => {
  const stayCase = caseOf(vanDemo(), 'low-meadow')
  const model = compile(stayCase)
  const cassette = model.containers.findIndex(({ id }) => id === 'van-cassette')
  // One of 17 L stands aside, as full as they are filled; 12.6 L are in the one aboard.
  const tank = stayCase.rig.containers.find(({ id }) => id === 'van-cassette')!
  const each = 'safeFill' in tank ? tank.safeFill.value * tank.capacity.value : 0
  const known = { kind: 'known' as const, at: 0.1, container: cassette, level: each + 11 }
  const of = (saw: object) => {
    const weighed = [reading(`${stayCase.stay.start.slice(0, 10)}T23:00`, 'van-cassette', saw)].map(
      (one) => ({
        ...one,
        rig: stayCase.rig.id,
        stay: stayCase.stay.id,
      }),
    )
    const evidence = evidenceOf(weighed, stayCase, model, new Set())
    return learn(stayCase, model, [known, ...evidence], { counted: new Set(), until: 1 }).levels[cassette]!
      .mean
  }
  const shell = 'shell' in tank ? tank.shell.value : 0
  const nothing = learn(stayCase, model, [known], { counted: new Set(), until: 1 }).levels[cassette]!.mean
  for (const saw of [
    { as: 'weight', kg: shell + 12.6 },
    { as: 'amount', amount: 12.6, deviation: 0.3 },
  ])
    expect(Math.abs(of(saw) - nothing)).toBeLessThan(8)
  expect(of({ as: 'dry' })).toBeGreaterThan(each - 2)
})

it('asks on the second day whether everything is logged twice, and never of two people who each do the same', () => {
  const { stay } = caseOf(trailerDemo(), STAY)
  const day = (date: string, by: (string | null)[]) =>
    ['08:00', '12:30', '18:10', '20:05'].flatMap((clock, k) =>
      by.map((person, n) =>
        entry(`${date}T${clock.slice(0, 3)}${String(Number(clock.slice(3)) + 4 * n).padStart(2, '0')}`, {
          kind: 'use', activity: k % 2 === 0 ? 'dishes' : 'shower', n: 1, person, litres: null, minutes: null,
        }),
      ),
    ) // prettier-ignore
  const twice = [null, null]
  expect(loggedTwice(day('2027-09-12', twice), stay)).toEqual([])
  const both = [...day('2027-09-12', twice), ...day('2027-09-13', twice)]
  const seconds = loggedTwice(both, stay)
  expect(seconds).toEqual(both.filter((_, k) => k % 2 === 1).map(({ id }) => id))
  const left = both.map((one) => (seconds.includes(one.id) ? { ...one, revision: 2, isRemoved: true } : one))
  expect(loggedTwice(left, stay)).toEqual([])
  const people = ['maren', 'tobin']
  expect(loggedTwice([...day('2027-09-12', people), ...day('2027-09-13', people)], stay)).toEqual([])
  expect(loggedTwice([...day('2027-09-12', twice), ...day('2027-09-13', [null])], stay)).toEqual([])
})
