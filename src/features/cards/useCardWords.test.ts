// @vitest-environment happy-dom
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Card } from '@/core/cards'
import { CARD_KINDS, type Document, type StayCase } from '@/core/domain'
import { UNIT_SYSTEMS, type UnitSystem } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { freshStores } from '../../../tests/support/freshStores'
import { starterCases } from '../../../tests/support/starterRigs'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import { vanDemo } from '../../../scripts/demo/van'
import { clockText, firstSentence, useCardWords } from './useCardWords'
import { GROUPS, useCards } from './useCards'

beforeEach(() => {
  localStorage.clear()
  freshStores()
})

const documentOf = ({ stay, rig, crew, habits }: StayCase): Document => ({
  ...trailerDemo(),
  rigs: [rig],
  crews: [crew],
  habits: [...habits],
  stays: [stay],
  currentStay: stay.id,
})

/** What the cards of a document say, in these units. */
function said(document: Document, units: UnitSystem) {
  freshStores()
  useWorkspaceStore().replace('import', () => document)
  useSettingsStore().units = { ...UNIT_SYSTEMS[units] }
  const words = useCardWords()
  return { words, cards: useCards().offers.value.map(({ card }) => card) }
}

const RIGS: [string, Document][] = [
  ['the trailer', trailerDemo()],
  ['the van', vanDemo()],
  ['the truck', truckDemo()],
  ...starterCases()
    .filter((_, k) => k % 3 === 0)
    .map((stayCase): [string, Document] => [stayCase.rig.name, documentOf(stayCase)]),
]
const BROKEN = /undefined|null|NaN|Infinity|\[object|[{}]| {2}|\s[.,;]|^\s|\s$/

describe('the words of the cards', () => {
  it.each(RIGS)('have no hole, in any units: %s', (_, document) => {
    const wrong: string[] = []
    for (const units of ['metric', 'us', 'imperial'] as const) {
      const { words, cards } = said(structuredClone(document), units)
      expect(cards.length).toBeGreaterThan(3)
      const foreign = units === 'metric' ? /\d\s(gal|qt|lb|ft|mi)\b/ : /\d\s(L|kg)\b/
      const check = (card: Card, where: string, text: string) => {
        if (text === '' || BROKEN.test(text) || foreign.test(text))
          wrong.push(`${units} ${card.kind} ${where}: ${text}`)
      }
      for (const card of cards) {
        check(card, 'title', words.title(card))
        for (const step of card.steps) {
          check(card, step.id, words.sentence(step, card))
          for (const one of step.numbers)
            for (const term of one.why) check(card, `${step.id} ${one.id}`, words.term(term, step))
        }
      }
    }
    expect(wrong).toEqual([])
  })

  it('a number in a sentence is the one that can be asked for', () => {
    const { words, cards } = said(trailerDemo(), 'metric')
    const dump = cards.find(({ kind }) => kind === 'dump')!
    let asked = 0
    for (const step of dump.steps) {
      const pieces = words.pieces(step, dump)
      expect(pieces.map(({ text }) => text).join('')).toBe(words.sentence(step, dump))
      for (const { text, quantity } of pieces) {
        if (quantity === null) continue
        asked += 1
        expect(text).toBe(words.quantity(quantity, step))
        expect(step.numbers).toContain(quantity)
      }
    }
    expect(asked).toBeGreaterThan(2)
  })

  it('a short time is cut and never rounded up, minutes are those of a watch, a level is a gauge’s', () => {
    const { words } = said(trailerDemo(), 'metric')
    const of = (id: string, unit: string, value: number) =>
      words.quantity({ id, unit, value, why: [] } as never, null).replaceAll('\u00a0', ' ')
    expect(of('head-seconds', 'seconds', 9.9)).toBe('9 s')
    expect(of('head-seconds', 'seconds', 0.2)).toBe('1 s')
    expect(of('content', 'minutes', 0.6)).toBe('35 s')
    expect(of('content', 'minutes', 7.6)).toBe('8 min')
    expect(of('content', 'mass', 14.3)).toBe('14.5 kg')
    expect(of('content', 'share', 0.754)).toBe('75 %')
    expect(of('content', 'days', 2.9)).toMatch(/^2 days$/)
    expect(of('content', 'hours', 2.1)).toMatch(/^3 h/)
    expect(of('content', 'millilitres', 52.4)).toBe('52 mL')
  })
})

it('every kind of card stands in one group', () => {
  const grouped = Object.values(GROUPS).flat() as string[]
  expect(new Set(grouped).size).toBe(grouped.length)
  expect([...grouped, 'by-hand'].sort()).toEqual([...CARD_KINDS].sort())
})

it('the act of a step is its first sentence: nothing is lost, and nothing of it is said twice', () => {
  const piece = fc.record({
    text: fc.stringMatching(/^[a-z ,.?!]{0,30}$/),
    quantity: fc.constantFrom(null, { id: 'content' }),
  })
  const close = (pieces: readonly { text: string }[]) =>
    pieces
      .map(({ text }) => text)
      .join('')
      .replaceAll(' ', '')
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 6 }), (pieces) => {
      const { act, rest } = firstSentence(pieces as never)
      expect(close([...act, ...rest])).toBe(close(pieces))
      if (rest.length > 0) expect(act.at(-1)!.text).toMatch(/[.?!]$/)
    }),
  )
})

it('a clock’s text is its seconds again', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 200_000 }), (seconds) => {
      const parts = clockText(seconds).split(':').map(Number)
      expect(parts.slice(1).every((part) => part < 60)).toBe(true)
      expect(parts.reduce((sum, part) => 60 * sum + part, 0)).toBe(seconds)
      expect(clockText(-seconds)).toBe(clockText(seconds))
    }),
  )
})
