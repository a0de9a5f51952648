import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  PLAY_FAULTS,
  FIRST_ASKS,
  brokenLaws,
  cardCase,
  cardOf,
  outletAt,
  playCard,
  runFor,
  stopSafely,
  subjectsOf,
  type Card,
  type CardStep,
  type PlayFault,
} from '@/core/cards'
import { compile } from '@/core/compile'
import { count } from '@/core/count'
import { caseOf, type Accepted, type CardKind, type Document } from '@/core/domain'
import { owned } from '@/core/quantities'
import { trailerDemo } from '../../scripts/demo/trailer'
import { KINDS, drawn, made } from '../support/drawnCards'
import { often } from '../support/thorough'

it('every card of every rig, done act by act on levels within what is known, fouls nothing and nobody', () => {
  const seen = new Map<string, number>()
  fc.assert(
    fc.property(drawn, (of) => {
      const one = made(of)
      if (!one) return
      const { card, levels, takes } = one
      const { rig } = one.made.stayCase
      seen.set(card.kind, (seen.get(card.kind) ?? 0) + 1)
      const { faults } = playCard(card, { rig, levels, takes })
      const said = (found: { fault: PlayFault; step: number }[]) =>
        found.map(({ fault, step }) => `${card.kind} ${card.steps[step]?.id}: ${fault}`)
      expect(said(faults)).toEqual([])
      expect(
        brokenLaws(card, rig).map(({ law, step }) => `${card.kind} ${card.steps[step]?.id}: ${law}`),
      ).toEqual([])
      // The picture beside each step shows what the acts did: what one step opens and shuts stands open while hands are at it.
      const open = new Set(rig.outlets.find(({ id }) => id === card.outlet)?.joined ?? [])
      card.steps.forEach(({ acts }, k) => {
        const opened = acts.flatMap(({ act, tank }) => (act === 'open:tank' ? [tank!] : []))
        if (acts.some(({ act }) => act === 'shut:all')) open.clear()
        for (const id of opened) open.add(id)
        for (const { act, tank } of acts)
          if (act === 'shut:tank' && !opened.includes(tank!)) open.delete(tank!)
        const state = outletAt(card, rig, k + 1)
        for (const tank of state?.tanks ?? [])
          expect([card.kind, k, tank.id, tank.isOpen]).toEqual([card.kind, k, tank.id, open.has(tank.id)])
        if (state && state.hose === null && state.over === null) expect(state.runs).toEqual([])
        for (const id of opened)
          if (acts.some(({ act, tank }) => act === 'shut:tank' && tank === id)) open.delete(id)
      })
      // Wherever somebody stops: pump and water are off before a valve moves.
      card.steps.forEach((_, k) => {
        const safe = stopSafely(card, k + 1).map((step) => step.safe)
        const valve = safe.findIndex((step) => step === 'shut-tank' || step === 'shut-end')
        const off = Math.max(safe.lastIndexOf('water-off'), safe.lastIndexOf('pump-off'))
        if (valve >= 0) expect(off).toBeLessThan(valve)
      })
    }),
    { numRuns: often(1_000, 20_000) },
  )
  expect([...seen.keys()].sort()).toEqual([...KINDS].sort())
})

/** Each of them once by hand: a card that was tampered with, or met what it does not expect. */
describe('what goes wrong is seen', () => {
  type Tamper = (card: Card) => Card
  const change =
    (id: string, to: (step: CardStep) => Partial<CardStep>): Tamper =>
    (card) => ({
      ...card,
      steps: card.steps.map((step) => (step.id === id ? { ...step, ...to(step) } : step)),
    })
  const times =
    (id: string, factor: number) =>
    ({ numbers }: CardStep) => ({
      numbers: numbers.map((one) => (one.id === id ? { ...one, value: one.value * factor } : one)),
    })
  const without =
    (...ids: string[]): Tamper =>
    (card) => ({ ...card, steps: card.steps.filter(({ id }) => !ids.includes(id)) })
  const noAct =
    (name: string) =>
    ({ acts }: CardStep) => ({ acts: acts.filter(({ act }) => act !== name) })

  const CASES: Record<
    PlayFault,
    [kind: CardKind, tamper: Tamper, takes?: Accepted[] | null, really?: Record<string, number>]
  > = {
    'over-its-limit': ['top-up', change('top-up.fresh', times('top-up-fresh', 9))],
    'tote-over-its-limit': ['tote', change('tote.fill', times('load-litres', 2))],
    'not-taken-here': ['dump', (card) => card, ['gray']],
    'sewage-into-gray': ['gray-to-black', (card) => card, null, { gray: 3, black: 110 }],
    'dirty-hands': ['dump', without('close.hands')],
    'load-onto-a-load': ['tote', without('tote.pour')],
    'valve-under-pump': ['macerator', change('pump.black', noAct('pump-off'))],
    'valve-under-water': ['dump', change('rinse.open-off', noAct('water-off'))],
    'not-as-lived': ['gray-only', without('dump.end-shut', 'dump.home')],
  }

  it.each(PLAY_FAULTS)('%s', (fault) => {
    const [kind, tamper, takes, really] = CASES[fault]
    const document: Document = trailerDemo()
    document.rigs[0]!.payload = null
    document.rigs[0]!.gear.push('macerator')
    for (const one of document.stays[0]!.levels) {
      const litres = { fresh: 200, gray: 150, black: 40 }[one.container]
      if (litres !== undefined)
        Object.assign(one, { level: owned(litres), error: { shape: 'even', size: owned(0) } })
    }
    const stayCase = caseOf(document, document.stays[0]!.id)
    const model = compile(stayCase)
    const subject = subjectsOf(stayCase, kind)[0]!
    const at = cardCase(
      { stayCase, model, counted: count(model), log: [] },
      runFor(stayCase, kind, subject),
      FIRST_ASKS,
      null,
    )
    const card = cardOf(at, kind, subject)
    const levels = new Map([...at.contents].map(([id, { likely }]) => [id, likely]))
    const played = (of: Card, changed: Record<string, number> = {}, taken?: Accepted[] | null) =>
      playCard(of, {
        rig: stayCase.rig,
        levels: new Map([...levels, ...Object.entries(changed)]),
        takes: (what) => taken?.includes(what) ?? true,
      }).faults.map((one) => one.fault)
    expect(played(card)).toEqual([])
    expect(played(tamper(card), really, takes)).toContain(fault)
  })
})
