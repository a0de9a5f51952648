import { describe, expect, it } from 'vitest'
import { count } from '../count'
import type { LogEntry } from '../log'
import { compile } from '../compile'
import { caseOf, type CardKind, type Document } from '../domain'
import { owned } from '../quantities'
import { entry } from '../../../tests/support/entries'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { vanDemo } from '../../../scripts/demo/van'
import {
  FIRST_ASKS,
  cardCase,
  cardOf,
  finished,
  isRunning,
  recordsOf,
  roundsExpected,
  runFor,
  secondsLeft,
  split,
  startWalk,
  stepAt,
  stockLeft,
  stopWalk,
  subjectsOf,
  suspects,
  walked,
  type CardAsks,
  type Walk,
} from './index'

function partsOf(document: Document, kind: CardKind, asks: Partial<CardAsks> = {}, log: LogEntry[] = []) {
  const stayCase = caseOf(document, document.stays[0]!.id)
  const model = compile(stayCase)
  const [subject] = subjectsOf(stayCase, kind)
  const ground = { stayCase, model, counted: count(model), log }
  const made = cardCase(ground, runFor(stayCase, kind, subject!), { ...FIRST_ASKS, ...asks }, null)
  return split(cardOf(made, kind, subject!))
}
const number = (parts: ReturnType<typeof partsOf>, step: string, id: string) =>
  parts
    .flatMap(({ steps }) => steps)
    .find((one) => one.id === step)!
    .numbers.find((one) => one.id === id)!.value
const MINUTE = 60_000
/** Walked to a step, a minute a step. */
function to(walk: Walk, id: string): Walk {
  let now = walk
  const from = Math.max(walk.startedAt, ...Object.values(walk.left))
  for (let k = 1; stepAt(now) && stepAt(now)!.id !== id; k++)
    now = walked(now, { do: 'next', at: from + k * MINUTE })
  return now
}

describe('walking a card', () => {
  // Light enough for what goes back in.
  const light = trailerDemo()
  light.rigs[0]!.payload = null
  const parts = partsOf(light, 'dump')

  it('goes step by step through all parts, back again, and ends', () => {
    const walk = startWalk(parts, 0)
    const all = parts.reduce((sum, { steps }) => sum + steps.length, 0)
    let now = walk
    for (let k = 0; k < all; k++) now = walked(now, { do: 'next', at: k })
    expect(stepAt(now)).toBeNull()
    expect(walked(now, { do: 'next', at: all })).toBe(now)
    now = walked(now, { do: 'back' })
    expect(stepAt(now)!.id).toBe('close.read')
    for (let k = 0; k < all; k++) now = walked(now, { do: 'back' })
    expect([now.card, now.step]).toEqual([0, 0])
  })

  it('a timer is what the clock says, through a reload and a long sleep; overdue is told as such', () => {
    let walk = to(startWalk(parts, 0), 'rinse.open')
    walk = walked(walk, { do: 'start-timer', at: 1000, seconds: 600 })
    const reloaded = JSON.parse(JSON.stringify(walk)) as Walk
    expect(secondsLeft(reloaded, 1000 + 90_000)).toBe(510)
    expect(secondsLeft(reloaded, 1000 + 700_000)).toBe(-100)
    expect(isRunning(reloaded)).toBe(true)
    const stopped = walked(reloaded, { do: 'end-timer', at: 1000 + 580_000 })
    expect([isRunning(stopped), secondsLeft(stopped, 9e9)]).toEqual([false, 20])
    // Going on ends it too.
    const left = walked(reloaded, { do: 'next', at: 1000 + 605_000 })
    expect(walked(left, { do: 'back' }).timers).toMatchObject({ [`1.${walk.step}`]: { endedAt: 606_000 } })
  })

  it('says what to shut where it stops, whatever part it is in, and can go on', () => {
    const walk = walked(to(startWalk(parts, 0), 'rinse.open'), { do: 'stop', at: 5 })
    expect(stopWalk(walk).map(({ safe, tank }) => [safe, tank])).toEqual([
      ['water-off', null],
      ['shut-tank', 'black'],
      ['shut-end', null],
      ['lift-hose', null],
      ['cap', null],
      ['hands', null],
    ])
    expect(walked(walk, { do: 'go-on' }).stoppedAt).toBeNull()
    expect(stopWalk(startWalk(parts, 0))).toEqual([])
  })

  it('knows what was done: emptied, charged, rounds as they were counted, the dose, the minutes', () => {
    // The rush of black is timed, the clock of the pulse is left to run on.
    let walk = to(startWalk(parts, 0), 'dump.black')
    walk = walked(walk, { do: 'start-timer', at: 20 * MINUTE, seconds: 60 })
    walk = walked(walk, { do: 'end-timer', at: 24.5 * MINUTE })
    walk = to(walk, 'rinse.open-off')
    for (let k = 0; k < 4; k++) walk = walked(walk, { do: 'tally', by: 1 })
    walk = walked(to(walk, 'close.read'), { do: 'next', at: 41 * MINUTE })
    expect(finished(walk, 0)).toEqual({
      did: [
        { container: 'black', what: 'emptied', litres: null },
        { container: 'gray', what: 'emptied', litres: null },
        { container: 'black', what: 'put-in', litres: 6 },
      ],
      rinses: [{ container: 'black', rounds: 4, owed: 0 }],
      doses: [{ container: 'black', product: 'mire-ease', amount: 52 }],
      drains: [{ container: 'black', minutes: 4.5 }],
      minutes: 41,
      read: ['black', 'gray'],
    })
    // What was not walked was not done.
    expect(finished(to(startWalk(parts, 0), 'dump.black'), MINUTE).did).toEqual([])
  })

  it('a card that lay aside for days, or a clock that was set back, adds no hours', () => {
    const DAY = 24 * 60 * MINUTE
    let walk = startWalk(parts, 0)
    walk = walked(walk, { do: 'next', at: 5 * MINUTE })
    walk = walked(walk, { do: 'next', at: 3 * DAY })
    walk = walked(walk, { do: 'next', at: 3 * DAY + 4 * MINUTE })
    expect(finished(walk, 0).minutes).toBe(9)
    // An hour back in the middle, then on.
    walk = walked(walk, { do: 'next', at: 3 * DAY - 56 * MINUTE })
    walk = walked(walk, { do: 'next', at: 3 * DAY - 53 * MINUTE })
    expect(finished(walk, 0).minutes).toBe(12)
  })

  it('where others wait a rinse is owed, and the next card asks a round more', () => {
    const queue = partsOf(trailerDemo(), 'dump', { othersWait: true })
    const done = finished(to(startWalk(queue, 0), 'none'), 0)
    expect(done.rinses).toEqual([{ container: 'black', rounds: 0, owed: 1 }])
    const log = [
      entry({
        kind: 'run',
        at: '2027-09-12T10:00',
        did: done.did,
        place: null,
        took: { minutes: 20, kilometres: null, fee: null, rinses: done.rinses },
      }),
    ]
    expect(recordsOf(log).get('black')).toEqual({ skipped: 1, owed: 1, took: [], drains: [] })
    expect(number(partsOf(trailerDemo(), 'dump', {}, log), 'rinse.open-off', 'rounds')).toBe(4)
  })

  it('a panel that shows more than empty where it ran out is suspect', () => {
    const did = [
      { container: 'black', what: 'emptied' as const, litres: null },
      { container: 'fresh', what: 'filled' as const, litres: null },
    ]
    expect(
      suspects(
        did,
        new Map([
          ['black', 1],
          ['fresh', 3],
        ]),
      ),
    ).toEqual(['black'])
    expect(suspects(did, new Map([['black', 0]]))).toEqual([])
  })
})

describe('by hand', () => {
  const NONE = { skipped: 0, owed: 0, took: [], drains: [] }
  it('rounds: three at first; what was taken less what had been skipped; one more for each skipped', () => {
    const crew = trailerDemo().crews[0]!
    expect(roundsExpected({ ...NONE, skipped: 0 }, crew)).toBe(3)
    expect(roundsExpected({ ...NONE, skipped: 2, owed: 1 }, crew)).toBe(5)
    // 4 after one skipped and 2 after none: (3 + 2) ÷ 2, rounded.
    const took = [
      { rounds: 4, skipped: 1 },
      { rounds: 2, skipped: 0 },
    ]
    expect(roundsExpected({ ...NONE, skipped: 1, took }, crew)).toBe(4)
  })

  it('a round is three quarters of 130 L at the tap’s 10 L a minute; a place’s own tap counts instead', () => {
    const parts = partsOf(trailerDemo(), 'dump')
    expect(number(parts, 'rinse.open', 'rinse-litres')).toBeCloseTo(97.5, 9)
    expect(number(parts, 'rinse.open', 'rinse-minutes')).toBeCloseTo(9.75, 9)
  })

  it('a dose of 60 mL for 150 L is 52 mL for 130 L; stock is what was bought less what was dosed', () => {
    const document = trailerDemo()
    document.rigs[0]!.payload = null
    const dosed = entry({
      kind: 'dose',
      at: '2027-09-12T10:00',
      container: 'black',
      product: 'mire-ease',
      amount: 52,
    })
    const parts = partsOf(document, 'dump', {}, [dosed])
    expect(number(parts, 'charge.dose', 'dose')).toBeCloseTo(52, 9)
    expect(stockLeft(document.crews[0]!.products, [dosed]).get('mire-ease')).toBe(448)
  })

  it('top up: 0.75 × 130 − 40 L, from fresh above the road’s 15 L, the rest from a hose', () => {
    const document = trailerDemo()
    const level = (id: string) => document.stays[0]!.levels.find(({ container }) => container === id)!
    Object.assign(level('black'), { level: owned(40), error: { shape: 'even', size: owned(10) } })
    level('fresh').level = owned(60)
    const parts = partsOf(document, 'top-up')
    // 45 L by half the panel's span, and 1.2816 × 3 % of 40 L: what is in it is taken at the upper end.
    const high = 45 + 1.2816 * 0.03 * 40
    expect(number(parts, 'top-up.see', 'top-up')).toBeCloseTo(97.5 - high, 9)
    const fresh = number(parts, 'top-up.fresh', 'top-up-fresh')
    expect(fresh).toBeCloseTo(45, 9)
    expect(number(parts, 'top-up.hose', 'top-up-hose')).toBeCloseTo(97.5 - high - 45, 9)
    expect(number(parts, 'top-up.hose', 'content-high')).toBeCloseTo(high, 6)
  })

  it('bleach of 5 % for 340 + 22 + 5 L at 50 mg/L: 367 mL; at 2.5 % twice as much', () => {
    expect(number(partsOf(trailerDemo(), 'sanitize'), 'sanitize.dose', 'bleach')).toBeCloseTo(367, 9)
    expect(
      number(partsOf(trailerDemo(), 'sanitize', { bleachPercent: 2.5 }), 'sanitize.dose', 'bleach'),
    ).toBeCloseTo(734, 9)
  })

  it('a pipe of 7.6 cm and a metre holds 4.5 L; black of 97.5 L at 27 cm is out within the least, a minute, and by half the bore in 187 s', () => {
    const parts = partsOf(trailerDemo(), 'dump')
    expect(number(parts, 'dump.cap', 'pipe')).toBeCloseTo(Math.PI * 0.038 ** 2 * 1000, 9)
    // Base 130 L ÷ 0.36 m; 2√h ÷ (Cd·a·√(2g)) × base, Cd 0.4.
    const t = ((2 * Math.sqrt(0.27)) / (0.4 * Math.PI * 0.038 ** 2 * Math.sqrt(2 * 9.80665))) * (0.13 / 0.36)
    expect(t).toBeCloseTo(47, 0)
    expect(number(parts, 'dump.black', 'drain')).toBe(1)
    const narrow = trailerDemo()
    narrow.rigs[0]!.outlets[0]!.bore = owned(0.038)
    expect(number(partsOf(narrow, 'dump'), 'dump.black', 'drain') * 60).toBeCloseTo(4 * t, 1)
  })

  it('a cassette of 12 L weighs 11.98 kg and its shell; a rinse stays under the 15 kg that somebody lifts', () => {
    const document = vanDemo()
    document.stays[0]!.levels.find(({ container }) => container === 'van-cassette')!.level = owned(12)
    const shell = document.rigs[0]!.containers.find(({ id }) => id === 'van-cassette')!
    const kg = 'shell' in shell ? shell.shell.value : 0
    Object.assign(document.crews[0]!.schools.sides, { 'cassette-rinse': 'soaked' })
    const parts = partsOf(document, 'cassette')
    expect(number(parts, 'cassette.when', 'kg')).toBeCloseTo(kg + 12 * 0.998, 6)
    expect(number(parts, 'cassette.rinse-in', 'cassette-rinse-kg')).toBeLessThanOrEqual(15 + 1e-9)
  })
})
