import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { count } from '../count'
import { compile } from '../compile'
import { caseOf, type CardKind, type Document, type Run, type StayCase } from '../domain'
import { owned } from '../quantities'
import { usualRuns } from '../errands'
import { levelsBefore } from '../schedule'
import { withRunsArb } from '../../../tests/support/generateRuns'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import {
  FIRST_ASKS,
  LAWS,
  brokenLaws,
  cardCase,
  cardOf,
  cardsFor,
  ownCopy,
  ownFaults,
  ownSteps,
  runFor,
  split,
  stopSafely,
  subjectsOf,
  type Act,
  type Card,
  type CardGround,
  type CardStep,
  type Law,
} from './index'

const groundOf = (stayCase: StayCase): CardGround => {
  const model = compile(stayCase)
  return { stayCase, model, counted: count(model), log: [] }
}
const caseWith = (document: Document) => caseOf(document, document.stays[0]!.id)
/** A card by itself, after a change of the document. */
function cardWith(
  make: () => Document,
  kind: CardKind,
  change: (document: Document) => void = () => undefined,
) {
  const document = make()
  change(document)
  const stayCase = caseWith(document)
  const [subject] = subjectsOf(stayCase, kind)
  const made = cardCase(groundOf(stayCase), runFor(stayCase, kind, subject!), FIRST_ASKS, null)
  return { card: cardOf(made, kind, subject!), rig: stayCase.rig }
}
const side = (question: string, taken: string) => (document: Document) => {
  Object.assign(document.crews[0]!.schools.sides, { [question]: taken })
}

describe('the laws, each broken by a card that was tampered with', () => {
  const at = (card: Card, id: string) => card.steps.findIndex((step) => step.id === id)
  /** A step taken out and put somewhere else. */
  const moved = (card: Card, id: string, before: string): Card => {
    const steps = [...card.steps]
    const [step] = steps.splice(at(card, id), 1)
    steps.splice(before === 'end' ? steps.length : steps.findIndex((one) => one.id === before), 0, step!)
    return { ...card, steps }
  }
  const without = (card: Card, id: string): Card => ({
    ...card,
    steps: card.steps.filter((step) => step.id !== id),
  })
  const changed = (card: Card, id: string, change: (step: CardStep) => Partial<CardStep>): Card => ({
    ...card,
    steps: card.steps.map((step) => (step.id === id ? { ...step, ...change(step) } : step)),
  })
  const noAct = (act: Act) => (step: CardStep) => ({ acts: step.acts.filter((one) => one.act !== act) })
  const metered = side('rinse-way', 'metered')
  const halfFull = (document: Document) => {
    document.stays[0]!.levels[0]!.level = owned(100)
  }
  /** Else the card refuses, and opens nothing. */
  const grayStandsHigh = (document: Document) => {
    document.stays[0]!.levels.find(({ container }) => container === 'gray')!.level = owned(150)
  }
  const noPayload = (document: Document) => {
    document.rigs[0]!.payload = null
  }
  const macerate = (document: Document) => {
    document.rigs[0]!.gear.push('macerator')
  }

  const TAMPERED: Record<
    Law,
    [
      make: () => Document,
      kind: CardKind,
      tamper: (card: Card) => Card,
      change?: (document: Document) => void,
    ]
  > = {
    'fresh-before-waste': [trailerDemo, 'dump', (card) => moved(card, 'open.fresh-ask', 'dump.ground-off')],
    'all-home-before-cap': [trailerDemo, 'dump', (card) => moved(card, 'dump.all-home', 'dump.end-open')],
    'connected-before-open': [trailerDemo, 'dump', (card) => without(card, 'dump.rig-end')],
    'end-first-opening-last-closing': [
      trailerDemo,
      'dump',
      (card) => moved(card, 'dump.end-shut', 'dump.gray-shut'),
    ],
    'black-first-between-tanks': [
      trailerDemo,
      'gray-to-black',
      (card) => moved(card, 'over.gray-shut', 'over.black-shut'),
      grayStandsHigh,
    ],
    'never-a-hose-into-a-shut-tank-unattended': [
      trailerDemo,
      'dump',
      (card) => changed(card, 'rinse.timed', noAct('attend')),
      metered,
    ],
    'others-shut-while-filling-shut': [
      trailerDemo,
      'dump',
      (card) => moved(card, 'dump.gray', 'rinse.timed'),
      metered,
    ],
    'content-at-its-upper-bound': [
      trailerDemo,
      'dump',
      (card) =>
        changed(card, 'rinse.timed', ({ numbers }) => ({
          numbers: numbers.map((one) => ({
            ...one,
            why: one.why.filter(({ term }) => term !== 'content-high'),
          })),
        })),
      metered,
    ],
    'rinse-hose-and-breaker': [trailerDemo, 'dump', (card) => without(card, 'rinse.hose')],
    'blade-before-pulling': [vanDemo, 'cassette', (card) => moved(card, 'cassette.bowl', 'cassette.down')],
    'spout-before-button': [vanDemo, 'cassette', (card) => moved(card, 'cassette.down', 'cassette.seat')],
    'cap-before-tilt': [
      vanDemo,
      'cassette',
      (card) => changed(card, 'cassette.rinse-in', noAct('spout-cap-on')),
    ],
    'no-chlorine-on-urine': [trailerDemo, 'sanitize', (card) => without(card, 'sanitize.waste')],
    'gloves-before-waste': [trailerDemo, 'dump', (card) => without(card, 'open.gloves')],
    'toilet-shut-before-waste': [trailerDemo, 'dump', (card) => moved(card, 'open.toilet', 'dump.black')],
    'hands-last': [trailerDemo, 'dump', (card) => without(card, 'close.hands')],
    'clean-hands': [trailerDemo, 'dump', (card) => without(card, 'close.hands'), noPayload],
    'load-by-load': [trailerDemo, 'tote', (card) => without(card, 'tote.pour')],
    'all-shut-at-the-end': [
      trailerDemo,
      'gray-only',
      (card) => without(without(card, 'dump.end-shut'), 'dump.home'),
    ],
    'potable-before-fresh': [trailerDemo, 'fresh', (card) => without(card, 'fresh.potable'), halfFull],
    'hose-fixed-before-power': [
      trailerDemo,
      'macerator',
      (card) => changed(card, 'pump.fixed', noAct('hose-fixed')),
      macerate,
    ],
    'vent-shut-before-moving': [trailerDemo, 'tote', (card) => changed(card, 'tote.off', noAct('vent-shut'))],
    'cautions-stand': [trailerDemo, 'dump', (card) => changed(card, 'open.toilet', () => ({ cautions: [] }))],
    'valves-that-there-are': [
      trailerDemo,
      'dump',
      (card) =>
        changed(card, 'dump.black', ({ acts }) => ({
          acts: acts.map((one) => (one.act === 'open:tank' ? { ...one, tank: 'galley' } : one)),
        })),
    ],
    'no-number-lacks': [
      trailerDemo,
      'dump',
      (card) => changed(card, 'dump.black', () => ({ lacks: ['drain'] })),
    ],
    'held-where-it-matters': [
      trailerDemo,
      'dump',
      (card) => changed(card, 'dump.end-open', () => ({ holds: false })),
    ],
  }

  it.each(LAWS)('%s', (law) => {
    const [make, kind, tamper, change] = TAMPERED[law]
    const { card, rig } = cardWith(make, kind, change)
    expect(brokenLaws(card, rig)).toEqual([])
    expect(brokenLaws(tamper(card), rig).map((one) => one.law)).toContain(law)
  })

  it('an end valve that the rig has not is no valve of its cards', () => {
    const { card, rig } = cardWith(trailerDemo, 'dump')
    const bare = { ...rig, outlets: rig.outlets.map((outlet) => ({ ...outlet, endValve: false })) }
    expect(brokenLaws(card, bare).map(({ law }) => law)).toContain('valves-that-there-are')
  })

  it('stopping is safe at every step of every card: what was opened is shut again, tanks before the end valve', () => {
    for (const [make, kind] of [
      [trailerDemo, 'dump'],
      [trailerDemo, 'tote'],
      [trailerDemo, 'gray-to-black'],
      [vanDemo, 'cassette'],
      [truckDemo, 'gray-only'],
    ] as const) {
      const { card } = cardWith(make, kind)
      const open = new Set<string>()
      card.steps.forEach((step, k) => {
        for (const { act, tank } of step.acts) {
          if (act === 'open:tank' || act === 'open:end') open.add(tank ?? '')
          if (act === 'open:end') open.add('end')
        }
        const safe = stopSafely(card, k + 1)
        const opened = new Set(safe.filter((one) => one.safe === 'shut-tank').map(({ tank }) => tank))
        for (const id of opened) expect(open.has(id!)).toBe(true)
        const [lastTank, end] = [
          safe.findLastIndex((one) => one.safe === 'shut-tank'),
          safe.findIndex((one) => one.safe === 'shut-end'),
        ]
        if (end >= 0) expect(lastTank).toBeLessThan(end)
      })
      expect(stopSafely(card, card.steps.length).filter((one) => one.safe !== 'hands')).toEqual([])
    }
    const { card } = cardWith(trailerDemo, 'dump')
    const rinsing = card.steps.findIndex(({ id }) => id === 'rinse.open') + 1
    expect(stopSafely(card, rinsing).map(({ safe }) => safe)).toEqual([
      'water-off',
      'shut-tank',
      'shut-end',
      'lift-hose',
      'cap',
      'hands',
    ])
  })
})

describe('what a finished card leaves is what the run leaves', () => {
  /** The levels after all cards, step by step, and after the run in the ledger. */
  function bothWays(document: Document, run: Run) {
    const ground = groundOf(caseWith(document))
    const { model, counted } = ground
    const before = levelsBefore(model, counted, run)
    const cards = cardsFor(cardCase(ground, run, FIRST_ASKS, run.place))
    const byCards = before.slice()
    const lowest = before.slice()
    for (const { container, by } of cards.flatMap(({ steps }) => steps.flatMap(({ moves }) => moves))) {
      const c = model.containers.findIndex(({ id }) => id === container)
      byCards[c]! += by
      lowest[c] = Math.min(lowest[c]!, byCards[c]!)
    }
    const byRun = before.slice()
    for (const { run: id, from, to, moved } of counted.ledger.runs) {
      if (id !== run.id) continue
      if (from >= 0) byRun[from]! -= moved
      if (to >= 0) byRun[to]! += moved
    }
    return { byCards, byRun, lowest, before, cards, model }
  }
  const near = (a: Float64Array, b: Float64Array) => {
    a.forEach((level, c) => {
      expect(Math.abs(level - b[c]!)).toBeLessThanOrEqual(1e-9 * Math.max(1, ...b.map(Math.abs)))
    })
  }

  it('on fifty generated rigs and more, whatever steps the run has', () => {
    let played = 0
    fc.assert(
      fc.property(withRunsArb, (document) => {
        const inDays = new Set(compile(caseWith(document)).runs.map(({ id }) => id))
        for (const run of document.stays[0]!.runs.filter(({ id }) => inDays.has(id))) {
          const { byCards, byRun, cards } = bothWays(document, run)
          near(byCards, byRun)
          for (const card of cards)
            expect(card.steps.flatMap(({ id, lacks }) => lacks.map((one) => `${id} ${one}`))).toEqual([])
          played += 1
        }
      }),
      { numRuns: 80 },
    )
    expect(played).toBeGreaterThan(50)
  })

  it('by hand: of two lettings over the card counts by the one that moves most', () => {
    const document = trailerDemo()
    for (const one of document.stays[0]!.levels) if (one.container !== 'fresh') one.level = owned(0)
    const over = {
      do: 'by-head',
      from: 'gray',
      to: 'black',
      amount: { as: 'head', within: owned(0) },
      loads: 1,
    } as const
    const run: Run = {
      id: 'run',
      name: 'run',
      kind: 'gray-to-black',
      day: 0,
      part: 'evening',
      place: null,
      steps: [
        over,
        { do: 'transfer', from: 'fresh', to: 'gray', amount: { as: 'most', litres: owned(90) }, loads: 1 },
        over,
      ],
      ...{ minutes: owned(0), kilometres: owned(0), fee: owned(0), bother: owned(0) },
    }
    document.stays[0]!.runs = [run]
    const { byCards, byRun, cards } = bothWays(document, run)
    near(byCards, byRun)
    const step = cards.flatMap(({ steps }) => steps).find(({ id }) => id === 'over.black-open')!
    expect(step.lacks).toEqual([])
    expect(step.numbers.find(({ id }) => id === 'head-litres')!.value).toBeGreaterThan(1)
    expect(step.numbers.find(({ id }) => id === 'head-seconds')!.value).toBeGreaterThan(0)
  })

  it('of the usual errands: fresh first, nothing drawn below zero, and no law broken', () => {
    for (const make of [trailerDemo, vanDemo, truckDemo]) {
      const stayCase = caseWith(make())
      for (const { usual, ...errand } of usualRuns(stayCase)) {
        const run: Run = { ...errand, id: 'run', name: usual, place: null, day: 3, part: 'midday' }
        const document = make()
        document.stays[0]!.runs = [run]
        const { byCards, byRun, lowest, before, cards, model } = bothWays(document, run)
        near(byCards, byRun)
        lowest.forEach((level, c) => {
          expect(level).toBeGreaterThanOrEqual(Math.min(0, before[c]!) - 1e-9)
          expect(byCards[c]).toBeLessThanOrEqual(Math.max(model.containers[c]!.capacity, before[c]!) + 1e-9)
        })
        for (const card of cards)
          expect([usual, card.kind, brokenLaws(card, stayCase.rig)]).toEqual([usual, card.kind, []])
        const kinds = cards.map(({ kind }) => kind)
        const waste = kinds.findIndex(
          (kind) => kind === 'dump' || kind === 'gray-only' || kind === 'cassette',
        )
        if (kinds.includes('fresh') && waste >= 0) expect(kinds.indexOf('fresh')).toBeLessThan(waste)
      }
    }
  })

  it('by hand: a charge drawn from fresh that is filled afterwards comes from the tap, and fresh takes as much less', () => {
    const document = trailerDemo()
    document.stays[0]!.levels.find(({ container }) => container === 'fresh')!.level = owned(100)
    document.rigs[0]!.payload = null
    const steps: Run['steps'] = [
      { do: 'empty', from: 'black', to: null, amount: { as: 'all' }, loads: 1 },
      { do: 'charge', from: 'fresh', to: 'black', amount: { as: 'most', litres: owned(10) }, loads: 1 },
      { do: 'fill', from: null, to: 'fresh', amount: { as: 'level', litres: owned(200) }, loads: 1 },
    ]
    const none = owned(0)
    const run: Run = {
      id: 'run',
      name: 'run',
      kind: 'move',
      day: 0,
      part: 'midday',
      place: null,
      steps,
      minutes: none,
      kilometres: none,
      fee: none,
      bother: none,
    }
    document.stays[0]!.runs = [run]
    const { cards, byCards, byRun, before } = bothWays(document, run)
    near(byCards, byRun)
    const fill = cards.find(({ kind }) => kind === 'fresh')!.steps.find(({ id }) => id === 'fresh.fill')!
    // Nothing was used yet: 10 are charged, so 110 are filled; 10 of them never pass the tank.
    expect(before[0]).toBeCloseTo(100, 9)
    expect(fill.numbers.find(({ id }) => id === 'fill')!.value).toBeCloseTo(100, 9)
    expect(fill.moves).toEqual([{ container: 'fresh', by: 100 }])
  })
})

describe('a card that the owner made', () => {
  it('a copy has the card’s steps and keeps its laws; a dangerous order is refused by name, own words are free', () => {
    const { card, rig } = cardWith(trailerDemo, 'dump')
    const own = ownCopy(card, 'own', 'My dump')
    expect(ownSteps(card, own)).toEqual(card.steps)
    expect(ownFaults(card, own, rig)).toEqual([])
    const words = {
      ...own,
      steps: [...own.steps.slice(0, 3), { words: 'Fetch the blue bucket.' }, ...own.steps.slice(3)],
    }
    expect(ownFaults(card, words, rig)).toEqual([])
    expect(ownSteps(card, words)[3]).toMatchObject({ words: 'Fetch the blue bucket.', holds: false })
    const bold = {
      ...own,
      steps: own.steps.filter((step) => !('step' in step) || step.step !== 'open.gloves'),
    }
    expect(ownFaults(card, bold, rig).map(({ law }) => law)).toContain('gloves-before-waste')
  })

  it('what is done for two tanks stays done for each in turn', () => {
    const { card, rig } = cardWith(trailerDemo, 'dump', (document) => {
      const black = document.rigs[0]!.containers[2]!
      document.rigs[0]!.containers.push({ ...black, id: 'black-2', name: 'Second black' })
      document.rigs[0]!.outlets[0]!.containers.push('black-2')
      const toilet = document.rigs[0]!.fixtures.find(({ drains }) => drains === 'black')!
      document.rigs[0]!.fixtures.push({ ...toilet, id: 'toilet-2', drains: 'black-2' })
      document.rigs[0]!.roles.push({ role: 'toilet', fixture: 'toilet-2', share: owned(0) })
      document.stays[0]!.levels.push({
        container: 'black-2',
        level: owned(40),
        error: { shape: 'even', size: owned(0) },
      })
    })
    const own = ownCopy(card, 'own', 'Two blacks')
    expect(brokenLaws(card, rig)).toEqual([])
    expect(ownFaults(card, own, rig)).toEqual([])
    const opened = ownSteps(card, own).flatMap(({ acts }) =>
      acts.filter(({ act }) => act === 'open:tank').map(({ tank }) => tank),
    )
    expect(opened).toEqual(['black', 'black-2', 'gray'])
    expect(split(card).every(({ steps }) => steps.length <= 14)).toBe(true)
  })
})
