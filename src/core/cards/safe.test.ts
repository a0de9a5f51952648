import { describe, expect, it } from 'vitest'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import { compile } from '../compile'
import { count } from '../count'
import { usualRuns } from '../errands'
import { carrierFill, caseOf, isSoiled, type CardKind, type Document, type Place, type Run } from '../domain'
import { owned } from '../quantities'
import { runAnswers, stayCost } from '../schedule'
import { newPlace } from '@/document/starters'
import { starterCases } from '../../../tests/support/starterRigs'
import { headOver } from './amounts'
import {
  FIRST_ASKS,
  cardCase,
  cardOf,
  cardsFor,
  playCard,
  runFor,
  subjectsOf,
  type Card,
  type CardStep,
} from './index'

type Change = (document: Document) => void
const level =
  (id: string, litres: number, error = 0): Change =>
  (document) => {
    const one = document.stays[0]!.levels.find(({ container }) => container === id)!
    Object.assign(one, { level: owned(litres), error: { shape: 'even', size: owned(error) } })
  }
const side =
  (question: string, taken: string): Change =>
  ({ crews }) =>
    void Object.assign(crews[0]!.schools.sides, { [question]: taken })
const at =
  (of: Partial<Place>): Change =>
  ({ stays }) => {
    stays[0]!.places = [{ ...newPlace('there', 'There'), ...of }]
  }
function groundOf(make: () => Document, changes: Change[]) {
  const document = make()
  for (const change of changes) change(document)
  const stayCase = caseOf(document, document.stays[0]!.id)
  const model = compile(stayCase)
  return { stayCase, model, counted: count(model), log: [] }
}
function cardWith(make: () => Document, kind: CardKind, ...changes: Change[]): Card {
  const ground = groundOf(make, changes)
  const [subject] = subjectsOf(ground.stayCase, kind)
  const place = ground.stayCase.stay.places.find(({ id }) => id === 'there')?.id ?? null
  return cardOf(cardCase(ground, runFor(ground.stayCase, kind, subject!), FIRST_ASKS, place), kind, subject!)
}
const ids = ({ steps }: Pick<Card, 'steps'>) => steps.map(({ id }) => id)
const acts = ({ steps }: Pick<Card, 'steps'>) =>
  steps.flatMap((step) => step.acts.map(({ act, tank }) => `${act} ${tank}`))
const number = (step: CardStep | undefined, id: string) => step?.numbers.find((one) => one.id === id)?.value
const GRAY_ONLY = { accepts: ['gray'], water: 'not-potable' } satisfies Partial<Place>

describe('gray to black, as a card by itself', () => {
  const over = (...changes: Change[]) => cardWith(trailerDemo, 'gray-to-black', ...changes)

  it('refuses what the rig’s page refuses: 3 L of gray over 110 L of black open nothing', () => {
    const card = over(level('gray', 3), level('black', 110))
    expect(ids(card)).toContain('over.refused')
    expect(acts(card).filter((act) => act.startsWith('open:'))).toEqual([])
  })

  it('reads black at its upper end for the room, and holds the valve for the short time of the one rule', () => {
    const changes = [level('gray', 120), level('black', 60)]
    const ground = groundOf(trailerDemo, changes)
    const [subject] = subjectsOf(ground.stayCase, 'gray-to-black')
    const made = cardCase(ground, runFor(ground.stayCase, 'gray-to-black', subject!), FIRST_ASKS, null)
    const { answer } = headOver(made)!
    const step = cardOf(made, 'gray-to-black', subject!).steps.find(({ id }) => id === 'over.black-open')!
    expect(answer.ok && [answer.value.volume, answer.value.seconds.low]).toEqual([
      number(step, 'head-litres'),
      number(step, 'head-seconds'),
    ])
    // Read badly: less surely stands in gray, and more may stand in black.
    const wide = cardWith(trailerDemo, 'gray-to-black', level('gray', 120, 40), level('black', 60, 40))
    const litres =
      number(
        wide.steps.find(({ id }) => id === 'over.black-open'),
        'head-litres',
      ) ?? 0
    expect(litres).toBeLessThan(number(step, 'head-litres')!)
  })

  it('with heights that nobody measured it goes in pulses, and not at all into a black tank that may be full', () => {
    const unknown: Change = ({ rigs }) => {
      for (const one of rigs[0]!.containers) if ('shape' in one) one.shape = null
    }
    expect(ids(over(unknown, level('gray', 120), level('black', 60)))).toContain('over.pulse')
    for (const changes of [
      [level('gray', 120), level('black', 115, 20)],
      [level('gray', 0), level('black', 60)],
    ])
      expect(ids(over(unknown, ...changes))).toContain('over.refused')
  })
})

describe('a tote, load by load', () => {
  it('three loads of gray and two of black: each is filled, shut, towed and poured before the next', () => {
    const tote = trailerDemo().rigs[0]!.containers.find(({ kind }) => kind === 'tote')!
    const each = carrierFill(tote as never)
    const card = cardWith(trailerDemo, 'tote', level('gray', 2.5 * each), level('black', 1.5 * each))
    const fills = card.steps.filter(({ id }) => id === 'tote.fill')
    expect(fills.map(({ tank, load }) => `${tank} ${load!.n}/${load!.of}`)).toEqual([
      'gray 1/3',
      'gray 2/3',
      'gray 3/3',
      'black 1/2',
      'black 2/2',
    ])
    const shares = fills.map((step) => number(step, 'load-litres')! / each)
    shares.forEach((share, k) => expect(share).toBeCloseTo([1, 1, 0.5, 1, 0.5][k]!, 9))
    const order = ids(card).filter((id) => ['tote.fill', 'tote.off', 'tote.tow', 'tote.pour'].includes(id))
    expect(order).toEqual(fills.flatMap(() => ['tote.fill', 'tote.off', 'tote.tow', 'tote.pour']))
    // What each load moves adds up to the whole, and is logged with the load that was walked.
    const moved = card.steps
      .flatMap(({ moves }) => moves)
      .reduce((sum, { container, by }) => sum + (container === 'gray' ? -by : 0), 0)
    expect(moved).toBeCloseTo(2.5 * each, 9)
    expect(fills[0]!.did).toEqual([
      { container: 'gray', what: 'took-out', litres: Math.round(each * 10) / 10 },
    ])
  })

  it('pumped into a tote it says how much at most, and the pump is off before the valve moves', () => {
    const pumped: Change = ({ rigs, stays }) => {
      rigs[0]!.gear.push('macerator')
      const tote = rigs[0]!.containers.find(({ kind }) => kind === 'tote')!
      Object.assign(tote, { payload: owned(300) })
      stays[0]!.levels.find(({ container }) => container === 'black')!.level = owned(100)
    }
    const ground = groundOf(trailerDemo, [pumped])
    const errand = usualRuns(ground.stayCase).find(({ usual }) => usual === 'macerate-tote')!
    const run: Run = { ...errand, id: 'run', name: 'run', place: null, day: 0, part: 'morning' }
    const cards = cardsFor(cardCase(ground, run, FIRST_ASKS, null))
    expect(cards.map(({ kind }) => kind)).toEqual(['tote'])
    const pumps = cards[0]!.steps.filter(({ id }) => id === 'tote.pump')
    const tote = ground.stayCase.rig.containers.find(({ kind }) => kind === 'tote')!
    for (const step of pumps) {
      expect(number(step, 'load-litres')).toBeLessThanOrEqual(carrierFill(tote as never) + 1e-9)
      expect(step.acts.map(({ act }) => act)).toEqual([
        'open:tank',
        'pump-on',
        'attend',
        'move:loads',
        'pump-off',
        'shut:tank',
      ])
      expect(step.mishaps).toContain('pump-leaks')
    }
  })
})

describe('where the waste goes', () => {
  it('a place that takes gray only: nothing of black, and no drinking water from a tap that is not for drinking', () => {
    const card = cardWith(trailerDemo, 'dump', at(GRAY_ONLY))
    expect(card.kind).toBe('gray-only')
    expect(acts(card).filter((act) => act.endsWith(' black') || act.startsWith('fresh-first'))).toEqual([])
    for (const kind of ['rinse', 'top-up', 'charge'] as const) {
      const ground = groundOf(trailerDemo, [at(GRAY_ONLY)])
      const subject = subjectsOf(ground.stayCase, kind).find(({ container }) => container!.kind === 'black')!
      const made = cardCase(ground, runFor(ground.stayCase, kind, subject), FIRST_ASKS, 'there')
      expect(ids(cardOf(made, kind, subject))).toEqual(['where.refused'])
    }
    expect(ids(cardWith(vanDemo, 'cassette', at(GRAY_ONLY)))).toEqual(['where.refused'])
  })

  it('a run’s card there leaves black as it is: no charge into a tank that was not emptied', () => {
    const ground = groundOf(trailerDemo, [at(GRAY_ONLY), ({ rigs }) => (rigs[0]!.payload = null)])
    const errand = usualRuns(ground.stayCase).find(({ usual }) => usual === 'move-dump-fill')!
    const run: Run = { ...errand, id: 'run', name: 'run', place: 'there', day: 0, part: 'morning' }
    const cards = cardsFor(cardCase(ground, run, FIRST_ASKS, 'there'))
    expect(
      cards
        .flatMap(({ steps }) => steps.flatMap(({ moves }) => moves))
        .filter(({ container }) => container === 'black'),
    ).toEqual([])
    expect(cards.flatMap(acts).filter((act) => act.endsWith(' black'))).toEqual([])
  })

  it('with no place named it is asked before anything else, and drinking water only from a marked tap', () => {
    for (const [make, kind] of [
      [trailerDemo, 'dump'],
      [trailerDemo, 'rinse'],
      [trailerDemo, 'tote'],
      [vanDemo, 'cassette'],
    ] as const)
      expect(ids(cardWith(make, kind))[0]).toBe('where.ask')
    expect(ids(cardWith(trailerDemo, 'dump'))).not.toContain('open.fresh-first')
    expect(
      ids(cardWith(trailerDemo, 'dump', at({ accepts: ['gray', 'black'], water: 'potable' }))),
    ).toContain('open.fresh-first')
    expect(ids(cardWith(trailerDemo, 'fresh', level('fresh', 20), at({ water: 'not-potable' })))).toContain(
      'fresh.never',
    )
  })
})

describe('what this rig is', () => {
  const joined: Change = ({ rigs }) => {
    for (const outlet of rigs[0]!.outlets)
      if (outlet.containers.length > 1) outlet.joined = [...outlet.containers]
  }

  it('tanks that stand joined are opened to each other again after a dump, on a road day and on arrival', () => {
    for (const kind of ['dump', 'road-day', 'arrival'] as const) {
      const card = cardWith(trailerDemo, kind, joined)
      const step = card.steps.find(({ id }) => id === 'dump.joined')!
      expect(step.acts.map(({ act, tank }) => `${act} ${tank}`)).toEqual([
        'open:tank gray',
        'open:tank black',
      ])
      expect(ids(card).indexOf('dump.joined')).toBeGreaterThan(
        card.steps.findLastIndex(({ acts: own }) => own.some(({ act }) => act === 'shut:all')),
      )
    }
  })

  it('a dry toilet has no bowl, no jug to flush and no water for black; its old black tank is gray', () => {
    expect(
      ids(cardWith(truckDemo, 'road-day')).filter((id) => id.startsWith('road.bowl') || id === 'road.jug'),
    ).toEqual([])
    expect(ids(cardWith(truckDemo, 'arrival'))).not.toContain('arrival.owed')
    const dry: Change = ({ rigs }) => {
      const [rig] = rigs
      const toilets = new Set(
        rig!.roles.filter(({ role }) => role === 'toilet').map(({ fixture }) => fixture),
      )
      rig!.roles = rig!.roles.filter(({ role }) => role !== 'toilet')
      rig!.fixtures = rig!.fixtures.filter(({ id }) => !toilets.has(id))
    }
    const ground = groundOf(trailerDemo, [dry])
    for (const kind of ['dump', 'rinse', 'top-up'] as const)
      expect(subjectsOf(ground.stayCase, kind)).toEqual([])
    const card = cardWith(trailerDemo, 'gray-only', dry, at({ accepts: ['gray'] }))
    expect(acts(card)).toContain('open:tank black')
    expect(ids(card)).toContain('where.old-black')
    expect(ids(card).filter((id) => id.startsWith('rinse.') || id.startsWith('charge.'))).toEqual([])
  })

  it('where no hose gets in a rinse is three buckets, and a run counts on as much', () => {
    const noInlet: Change = ({ rigs }) => {
      for (const outlet of rigs[0]!.outlets) outlet.rinses = null
    }
    const card = cardWith(trailerDemo, 'dump', noInlet)
    const step = card.steps.find(({ id }) => id === 'rinse.buckets')!
    expect([number(step, 'rounds'), number(step, 'bucket-size')]).toEqual([3, 10])
    expect(ids(card)).not.toContain('rinse.hose')
    const ground = groundOf(trailerDemo, [noInlet, side('rinse-when', 'every-dump')])
    const errand = usualRuns(ground.stayCase).find(({ usual }) => usual === 'move-dump-fill')!
    const run: Run = { ...errand, id: 'run', name: 'run', place: null, day: 2, part: 'midday' }
    const again = groundOf(trailerDemo, [
      noInlet,
      side('rinse-when', 'every-dump'),
      ({ stays }) => (stays[0]!.runs = [run]),
    ])
    const answers = runAnswers(again.stayCase, again.model, again.counted)
    expect(stayCost(again.stayCase, answers).runs[0]!.rinseL).toBe(30)
  })
})

it('the guided start asks for a rinse inlet: with one every toilet tank is rinsed by hose, without one none is', () => {
  let rinsed = 0
  for (const rinseInlet of [false, true])
    for (const stayCase of starterCases({ rinseInlet })) {
      const model = compile(stayCase)
      const soiled = stayCase.rig.containers.filter((tank) => isSoiled(stayCase.rig, tank))
      const rinses = stayCase.rig.outlets.flatMap((outlet) => outlet.rinses ?? [])
      expect(rinses).toEqual(rinseInlet ? soiled.map(({ id }) => id) : [])
      for (const subject of subjectsOf(stayCase, 'rinse')) {
        const ground = { stayCase, model, counted: count(model), log: [] }
        const card = cardOf(
          cardCase(ground, runFor(stayCase, 'rinse', subject), FIRST_ASKS, null),
          'rinse',
          subject,
        )
        expect(ids(card).includes('rinse.hose')).toBe(rinseInlet)
        expect(ids(card).includes('rinse.buckets')).toBe(!rinseInlet)
        rinsed += 1
      }
    }
  expect(rinsed).toBeGreaterThan(4)
})

describe('room in the tank', () => {
  it('top up, what is left of fresh and the hose together never pass the safe fill at the high reading', () => {
    const into: Change = ({ stays }) => {
      const none = owned(0)
      stays[0]!.runs = [
        {
          ...{ id: 'run', name: 'run', kind: 'move', day: 0, part: 'morning', place: null },
          steps: [
            { do: 'top-up', from: 'fresh', to: 'black', amount: { as: 'school' }, loads: 1 },
            {
              do: 'transfer',
              from: 'fresh',
              to: 'black',
              amount: { as: 'most', litres: owned(90) },
              loads: 1,
            },
          ],
          ...{ minutes: none, kilometres: none, fee: none, bother: none },
        },
      ]
    }
    const ground = groundOf(trailerDemo, [level('black', 70, 20), into])
    const made = cardCase(ground, ground.stayCase.stay.runs[0]!, FIRST_ASKS, null)
    const [card] = cardsFor(made)
    const { high } = made.contents.get('black')!
    const { faults } = playCard(card!, {
      rig: ground.stayCase.rig,
      levels: new Map([['black', high]]),
      takes: () => true,
    })
    expect(faults).toEqual([])
    expect(ids(card!)).toContain('top-up.no-room')
  })

  it('a charge that the payload forbids is said, and no treatment goes in without it', () => {
    const heavy = cardWith(trailerDemo, 'dump')
    expect(ids(heavy)).toContain('charge.dropped')
    expect(acts(heavy).filter((act) => act.startsWith('dose'))).toEqual([])
    const light = cardWith(trailerDemo, 'dump', ({ rigs }) => (rigs[0]!.payload = null))
    expect(acts(light).filter((act) => act.startsWith('dose'))).toEqual(['dose black'])
  })

  it('the bleach has room, and a bath that drains to black takes its part of what is flushed out', () => {
    const bath: Change = ({ rigs }) => {
      const shower = rigs[0]!.fixtures.find(({ id }) =>
        rigs[0]!.roles.some(({ role, fixture }) => role === 'shower' && fixture === id),
      )!
      shower.drains = 'black'
    }
    const small: Change = ({ rigs }) => {
      Object.assign(
        rigs[0]!.containers.find(({ id }) => id === 'gray')!,
        { capacity: owned(60) },
      )
    }
    const stages = (...changes: Change[]) =>
      number(
        cardWith(trailerDemo, 'sanitize', ...changes).steps.find(({ id }) => id === 'sanitize.room'),
        'stages',
      )!
    // 340 + 22 + 5 L: seven times what 54 L take, three times with black’s 117 L.
    expect([stages(small, level('gray', 0)), stages(small, level('gray', 0), bath)]).toEqual([7, 3])
    const order = ids(cardWith(trailerDemo, 'sanitize'))
    expect(order.indexOf('sanitize.half')).toBeLessThan(order.indexOf('sanitize.dose'))
    expect(order.indexOf('sanitize.dose')).toBeLessThan(order.indexOf('sanitize.fill'))
  })
})

it('hands: a fresh pair for what goes indoors, gloves and soap wherever waste is touched', () => {
  const card = cardWith(trailerDemo, 'dump', ({ rigs }) => (rigs[0]!.payload = null))
  const hands = acts(card).flatMap(
    (act) => /^(gloves|hands|dose|hose-off|move:charge)\b/.exec(act)?.[0] ?? [],
  )
  expect(hands).toEqual(['gloves', 'hose-off', 'hands', 'gloves', 'move:charge', 'dose', 'hands'])
  for (const kind of ['probes', 'lay-up'] as const) {
    const own = ids(cardWith(trailerDemo, kind))
    expect([own.includes('open.gloves'), own.includes('close.hands')]).toEqual([true, true])
  }
})
