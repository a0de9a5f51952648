import { describe, expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { vanDemo } from '../../../scripts/demo/van'
import { starterCases } from '../../../tests/support/starterRigs'
import { compile } from '../compile'
import { count } from '../count'
import { usualRuns } from '../errands'
import { caseOf, isSoiled, type OwnCard, type Run, type StayCase } from '../domain'
import { fromVersion10 } from '@/document/migrations/fromVersion10'
import { owned } from '../quantities'
import type { LogEntry } from '../log'
import {
  FIRST_ASKS,
  THINGS,
  asksForTwo,
  brokenLaws,
  cardCase,
  cardOf,
  cardsFor,
  cassetteAt,
  ownCopy,
  ownFaults,
  ownSteps,
  runFor,
  stopSafely,
  subjectsOf,
  thingsFor,
  type Card,
} from './index'

const groundOf = (stayCase: StayCase, log: LogEntry[] = []) => {
  const model = compile(stayCase)
  return { stayCase, model, counted: count(model), log }
}
const ids = ({ steps }: Pick<Card, 'steps'>) => steps.map(({ id }) => id)
const acts = (card: Pick<Card, 'steps'>) => card.steps.flatMap((step) => step.acts.map(({ act }) => act))
const trailer = () => {
  const document = trailerDemo()
  document.rigs[0]!.payload = null
  return caseOf(document, document.stays[0]!.id)
}
/** The run of a rig with a tank of each kind at two outlets. */
const twoOutlets = (): StayCase => {
  const found = starterCases().find(
    (one) => subjectsOf(one, 'dump').length > 0 && one.rig.outlets.length > 1,
  )!
  const [one] = [structuredClone(found)]
  for (const level of one.stay.levels) {
    const tank = one.rig.containers.find(({ id }) => id === level.container)!
    level.level = owned('safeFill' in tank ? 0.5 * tank.capacity.value : tank.capacity.value)
  }
  return one
}
const runOf = (stayCase: StayCase, usual: string): Run => ({
  ...usualRuns(stayCase).find((one) => one.usual === usual)!,
  id: 'run',
  name: 'run',
  place: null,
  day: 0,
  part: 'morning',
})

describe('from one outlet to the next', () => {
  const stayCase = twoOutlets()
  const made = (usual: string) =>
    cardsFor(cardCase(groundOf(stayCase), runOf(stayCase, usual), FIRST_ASKS, null))
  const cards = made('last-dump').filter(({ kind }) => kind === 'dump' || kind === 'gray-only')

  it('the hose stays in the drain and gloves on; what is asked at a drain is asked once', () => {
    expect(cards.length).toBeGreaterThan(1)
    const count = (id: string) => cards.flatMap(ids).filter((one) => one === id).length
    for (const once of ['open.gloves', 'dump.ground-off', 'close.hands', 'close.point', 'dump.take'])
      expect([once, count(once)]).toEqual([once, 1])
    expect(count('where.ask') + count('where.ask-gray')).toBe(1)
    expect(count('dump.next')).toBe(cards.length - 1)
    expect(count('dump.rig-end') + count('dump.rig-gray')).toBe(cards.length)
    for (const card of cards) expect(brokenLaws(card, stayCase.rig)).toEqual([])
    // Stopped on the second: hands are still on waste, before its first valve.
    expect(stopSafely(cards[1]!, 1)).toEqual([{ safe: 'hands', tank: null }])
  })

  it('a hose that is taken out of the drain between them breaks a law', () => {
    const { turn: _, ...alone } = cards[1]!
    expect(brokenLaws(alone, stayCase.rig).map(({ law }) => law)).toContain('connected-before-open')
  })

  it('water goes back into a tank only once hands are clean, on a card of its own', () => {
    const all = made('last-dump')
    const charges = all.filter(({ steps }) =>
      steps.some(({ acts: own }) => own.some(({ act }) => act === 'move:charge' || act === 'dose')),
    )
    for (const card of charges) expect(card.turn?.leadsOn ?? false).toBe(false)
    expect(charges.length).toBeGreaterThan(0)
  })
})

describe('fresh water is offered once, and not where it is drained', () => {
  it.each(['go-home', 'last-dump', 'move-dump-fill'])('%s', (usual) => {
    for (const stayCase of [trailer(), ...starterCases()]) {
      if (!usualRuns(stayCase).some((one) => one.usual === usual)) continue
      const run = runOf(stayCase, usual)
      const cards = cardsFor(cardCase(groundOf(stayCase), run, FIRST_ASKS, null))
      const offers = cards.flatMap(acts).filter((act) => act === 'fresh-first').length
      const isDrained = run.steps.some(
        ({ do: does, from }) =>
          does === 'empty' && stayCase.rig.containers.some(({ id, kind }) => id === from && kind === 'fresh'),
      )
      // A flush tank of its own is filled at a potable tap beside it.
      const flushes = cards.flatMap(ids).filter((id) => id.startsWith('cassette.flush')).length
      expect(offers - flushes).toBeLessThanOrEqual(isDrained ? 0 : 1)
    }
  })
})

describe('two people, or one', () => {
  const card = (areTwo: boolean, gear: string[] = []) => {
    const stayCase = trailer()
    stayCase.rig.outlets.forEach((outlet) => (outlet.rinses = null))
    Object.assign(stayCase.rig, { gear: [...stayCase.rig.gear, ...gear] })
    const [subject] = subjectsOf(stayCase, 'dump')
    const made = cardCase(
      groundOf(stayCase),
      runFor(stayCase, 'dump', subject!),
      { ...FIRST_ASKS, areTwo },
      null,
    )
    return cardOf(made, 'dump', subject!)
  }

  it('where water is poured indoors each step says whose it is; alone it is one way in with clean hands', () => {
    for (const gear of [[], ['rinse-wand']]) {
      const two = card(true, gear)
      expect(asksForTwo([two])).toBe(true)
      expect(two.steps.every(({ by }) => by === 'inside' || by === 'hose')).toBe(true)
      const poured = two.steps.find(({ id }) => id === (gear.length > 0 ? 'rinse.wand' : 'rinse.buckets'))!
      expect(poured.by).toBe('inside')
      expect(two.steps.find(({ id }) => id === 'rinse.watch')!.by).toBe('hose')
      const one = card(false, gear)
      expect(asksForTwo([one])).toBe(true)
      expect(one.steps.some(({ by }) => by)).toBe(false)
      const at = (id: string) => ids(one).indexOf(id)
      expect(at('rinse.go-in')).toBeGreaterThan(at('dump.black'))
      expect(at('rinse.go-out')).toBeGreaterThan(at('rinse.go-in'))
      for (const made of [one, two]) expect(brokenLaws(made, trailer().rig)).toEqual([])
    }
  })

  it('a card that the owner made that was copied as two has the way of one person too, and of before', () => {
    const own = ownCopy(card(true), 'own', 'Ours')
    const alone = ownSteps(card(false), own).map(({ id }) => id)
    expect(alone).toEqual(expect.arrayContaining(['rinse.go-in', 'rinse.buckets-alone', 'rinse.go-out']))
    expect(ownFaults(card(false), own, trailer().rig)).toEqual([])
    const before = {
      ...own,
      steps: own.steps.filter((one) => !('step' in one) || !one.step.startsWith('rinse.')),
    }
    const at = before.steps.findIndex((one) => 'step' in one && one.step === 'dump.black')
    before.steps.splice(at + 1, 0, { step: 'rinse.buckets' })
    const { rigs } = fromVersion10({ rigs: [{ cards: [before] }] }) as { rigs: { cards: OwnCard[] }[] }
    expect(ownSteps(card(false), rigs[0]!.cards[0]!).map(({ id }) => id)).toContain('rinse.buckets-alone')
  })

  it('as many as the crew is, where nobody said', () => {
    const stayCase = trailer()
    stayCase.rig.outlets.forEach((outlet) => (outlet.rinses = null))
    const [subject] = subjectsOf(stayCase, 'rinse')
    const made = () =>
      cardOf(
        cardCase(groundOf(stayCase), runFor(stayCase, 'rinse', subject!), FIRST_ASKS, null),
        'rinse',
        subject!,
      )
    expect(ids(made())).toContain('rinse.watch')
    stayCase.crew.persons = stayCase.crew.persons.slice(0, 1)
    expect(ids(made())).toContain('rinse.go-in')
  })
})

describe('a cassette', () => {
  const document = vanDemo()
  const stayCase = caseOf(document, document.stays[0]!.id)
  const [subject] = subjectsOf(stayCase, 'cassette')
  const card = cardOf(
    cardCase(groundOf(stayCase), runFor(stayCase, 'cassette', subject!), FIRST_ASKS, null),
    'cassette',
    subject!,
  )
  const at = (id: string) => cassetteAt(card, stayCase.rig, ids(card).indexOf(id) + 1)!

  it('the picture stands as the acts left it: step for step', () => {
    expect(at('cassette.bowl')).toMatchObject({
      isIn: true,
      isBladeShut: true,
      isCapOn: true,
      holds: 'waste',
    })
    expect(at('cassette.aside')).toMatchObject({ isIn: false, spout: 'out', isCapOn: false })
    expect(at('cassette.pour')).toMatchObject({
      spout: 'down',
      isButtonDown: true,
      runs: true,
      isCapOn: false,
    })
    expect(at('cassette.rinse-in')).toMatchObject({
      spout: 'out',
      isCapOn: true,
      holds: 'water',
      runs: false,
    })
    expect(at('cassette.tilt')).toMatchObject({ isCapOn: true, isBladeShut: true })
    expect(at('cassette.in')).toMatchObject({ isIn: true, spout: 'in', holds: 'nothing', isCapOn: true })
  })

  it('at no step does anything run with the cap on, or the button pressed with the spout up', () => {
    card.steps.forEach((_, k) => {
      const state = cassetteAt(card, stayCase.rig, k + 1)!
      expect(state.runs && (state.isCapOn || state.spout !== 'down')).toBe(false)
      expect(state.isButtonDown && state.spout !== 'down').toBe(false)
    })
  })

  it('a household mixture shows the dose of each of its parts', () => {
    const own = structuredClone(stayCase)
    own.crew.schools.sides.treatment = 'household'
    const part = (id: string, amount: number) => ({
      ...own.crew.products[0]!,
      id,
      name: id,
      for: ['cassette' as const],
      form: 'powder' as const,
      dose: owned(amount),
    })
    own.crew.products = [part('softener', 30), part('soda', 20)]
    const made = cardOf(
      cardCase(groundOf(own), runFor(own, 'cassette', subject!), FIRST_ASKS, null),
      'cassette',
      subject!,
    )
    const doses = made.steps.filter(({ product }) => product !== null)
    expect(doses.map(({ product }) => product)).toEqual(['softener', 'soda'])
    expect(doses.every(({ numbers }) => numbers.some(({ id }) => id === 'dose'))).toBe(true)
    expect(ids(made)).not.toContain('cassette.household')
  })
})

describe('what is put ready', () => {
  it('is what the steps need, each once, and every thing is needed by some card', () => {
    const needed = new Set(
      [trailer(), caseOf(vanDemo(), vanDemo().stays[0]!.id), ...starterCases()].flatMap((stayCase) => {
        Object.assign(stayCase.rig, { gear: [...stayCase.rig.gear, 'macerator'] })
        return [
          'dump',
          'gray-only',
          'cassette',
          'tote',
          'macerator',
          'fresh',
          'solids',
          'sanitize',
          'seals',
          'rinse',
          'charge',
          'bucket-test',
        ].flatMap((kind) =>
          subjectsOf(stayCase, kind as Card['kind']).flatMap((subject) => {
            const made = cardCase(
              groundOf(stayCase),
              runFor(stayCase, kind as Card['kind'], subject),
              FIRST_ASKS,
              null,
            )
            return thingsFor([cardOf(made, kind as Card['kind'], subject)])
          }),
        )
      }),
    )
    // Straps and jugs are for a tote in a vehicle and for water by hand.
    expect(THINGS.filter((thing) => !needed.has(thing))).toEqual(['straps', 'jugs'])
    const dump = trailer()
    const [subject] = subjectsOf(dump, 'dump')
    const card = cardOf(
      cardCase(groundOf(dump), runFor(dump, 'dump', subject!), FIRST_ASKS, null),
      'dump',
      subject!,
    )
    expect(thingsFor([card])).toEqual(
      expect.arrayContaining([
        'waste-hose',
        'adaptor',
        'gasket',
        'elbow',
        'cap-bucket',
        'rinse-hose',
        'breaker',
        'spare-gloves',
        'wipes',
        'spare-cap',
      ]),
    )
  })
})

describe('how long it takes to drain', () => {
  const minutes = (log: LogEntry[]) => {
    const stayCase = trailer()
    const [subject] = subjectsOf(stayCase, 'dump')
    const card = cardOf(
      cardCase(groundOf(stayCase, log), runFor(stayCase, 'dump', subject!), FIRST_ASKS, null),
      'dump',
      subject!,
    )
    return card.steps
      .find(({ id, tank }) => id === 'dump.gray' && tank === 'gray')!
      .numbers.find(({ id }) => id === 'drain')!
  }
  const timed = (k: number, took: number): LogEntry => ({
    id: `run-${k}`,
    revision: 1,
    isRemoved: false,
    rig: 'trailer',
    stay: 'harrow-ridge',
    at: '2027-09-12T10:00',
    utc: `2027-09-12T1${k}:00:00.000Z`,
    note: '',
    kind: 'run',
    did: [{ container: 'gray', what: 'emptied', litres: null }],
    place: null,
    took: {
      minutes: 20,
      kilometres: null,
      fee: null,
      rinses: [],
      drains: [{ container: 'gray', minutes: took }],
    },
  })

  it('by the formula until somebody had a clock on it; then the time in the middle, never under a minute', () => {
    expect(minutes([]).why.map(({ term }) => term)).toContain('head-of-water')
    expect(minutes([timed(0, 12), timed(1, 3), timed(2, 7)]).value).toBe(7)
    expect(minutes([timed(0, 0.2)]).value).toBe(1)
  })
})

it('a gray outlet with a thin hose of its own is only laid into its drain', () => {
  const van = vanDemo()
  const stayCase = caseOf(van, van.stays[0]!.id)
  const [subject] = subjectsOf(stayCase, 'gray-only')
  const card = cardOf(
    cardCase(groundOf(stayCase), runFor(stayCase, 'gray-only', subject!), FIRST_ASKS, null),
    'gray-only',
    subject!,
  )
  expect(ids(card)).toContain('dump.ground-lies')
  expect(ids(card).filter((id) => id === 'dump.ground-first' || id === 'dump.ground-last')).toEqual([])
  expect(brokenLaws(card, stayCase.rig)).toEqual([])
})

describe('an errand and its cards call the same tank gray', () => {
  it.each(starterCases().map((stayCase, k) => [k, stayCase] as const))('rig %i', (_, stayCase) => {
    for (const errand of usualRuns(stayCase)) {
      const run: Run = { ...errand, id: 'run', name: 'run', place: null, day: 0, part: 'morning' }
      for (const { do: does, to } of run.steps) {
        const tank = stayCase.rig.containers.find(({ id }) => id === to)
        // What treats, tops up or runs over into black is for a tank that a toilet drains to.
        if (tank && tank.kind === 'black' && ['charge', 'top-up', 'by-head', 'transfer'].includes(does))
          expect([errand.usual, tank.name, isSoiled(stayCase.rig, tank)]).toEqual([
            errand.usual,
            tank.name,
            true,
          ])
      }
    }
  })
})
