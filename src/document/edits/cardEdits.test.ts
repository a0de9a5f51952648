import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { cardFile, templateStepIds } from '@/core/cards'
import type { Document, OwnCard, Product } from '@/core/domain'
import { owned } from '@/core/quantities'
import { checked, checkedEntry, readCard, writeCard } from '../index'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { entry } from '../../../tests/support/entries'
import * as edits from './index'

const logEntryFaults = (input: unknown) => {
  const read = checkedEntry(input)
  return read.ok ? [] : read.faults
}
const edit = (recipe: (draft: Document) => void, document = trailerDemo()) => {
  const next = produce(document, recipe)
  expect(checked(next)).toMatchObject({ ok: true })
  return next
}
const CARD: OwnCard = {
  id: 'card',
  name: 'Dump, our way',
  kind: 'dump',
  from: 'own',
  steps: [{ step: 'open.gloves' }, { words: 'Fetch the blue bucket.' }],
}
const PRODUCT: Product = {
  id: 'powder',
  name: 'Fenlight',
  form: 'powder',
  for: ['gray', 'cassette'],
  dose: owned(20),
  per: 'charge',
  perLitres: owned(10),
  stock: owned(400),
}

describe('cards, products and what was measured', () => {
  it('are added, changed in their place and taken away', () => {
    const added = edit((draft) => edits.putCard(draft, 'trailer', CARD))
    const renamed = edit((draft) => edits.putCard(draft, 'trailer', { ...CARD, name: 'Another' }), added)
    expect(renamed.rigs[0]!.cards).toEqual([{ ...CARD, name: 'Another' }])
    expect(edit((draft) => edits.removeCard(draft, 'trailer', 'card'), renamed).rigs[0]!.cards).toEqual([])
    const treated = edit((draft) => edits.putProduct(draft, 'crew', PRODUCT))
    expect(treated.crews[0]!.products.map(({ id }) => id)).toEqual(['mire-ease', 'powder'])
    const gone = edit((draft) => edits.removeProduct(draft, 'crew', 'mire-ease'), treated)
    expect(gone.crews[0]!.products).toEqual([PRODUCT])
  })

  it('two of one id, a step that is no step and a product for nothing are refused', () => {
    const twice = produce(trailerDemo(), (draft) => void draft.rigs[0]!.cards.push({ ...CARD }, { ...CARD }))
    expect(checked(twice)).toMatchObject({ ok: false, faults: [{ code: 'duplicate-id' }] })
    const odd = produce(
      trailerDemo(),
      (draft) => void draft.rigs[0]!.cards.push({ ...CARD, steps: [{ step: 'Dump' }] }),
    )
    expect(checked(odd)).toMatchObject({ ok: false })
    const idle = produce(
      trailerDemo(),
      (draft) => void draft.crews[0]!.products.push({ ...PRODUCT, for: [] }),
    )
    expect(checked(idle)).toMatchObject({ ok: false, faults: [{ code: 'too-few' }] })
  })

  it('a bucket test is the place’s, or the hose’s where no place is named; a metered tank is sure of its size', () => {
    const there = edit((draft) => edits.setFlow(draft, 'harrow-ridge', 'tern-hollow', 24))
    expect(there.stays[0]!.places[1]!.flow).toEqual(owned(24))
    expect(there.crews[0]!.schools.hoseFlow.value).toBe(10)
    const anywhere = edit((draft) => edits.setFlow(draft, 'harrow-ridge', null, 7))
    expect(anywhere.crews[0]!.schools.hoseFlow).toEqual(owned(7))
    const metered = edit((draft) => edits.setMetered(draft, 'trailer', 'gray', 201))
    expect(metered.rigs[0]!.containers[1]).toMatchObject({ capacity: owned(201), spread: owned(0) })
  })
})

describe('a card as a file', () => {
  const read = (text: string) => readCard(text, 'new', templateStepIds())

  it('comes back with its steps, marked as one from elsewhere', () => {
    const text = writeCard(cardFile(CARD))
    expect(read(text)).toEqual({ ok: true, card: { ...CARD, id: 'new', from: 'elsewhere' } })
    expect(read(`\uFEFF${text}`)).toMatchObject({ ok: true })
  })

  it('says why it is none of ours, and takes nothing in by halves', () => {
    const changed = (change: object) => JSON.stringify({ ...cardFile(CARD), ...change })
    expect(read('{')).toEqual({ ok: false, fault: 'not-json' })
    expect(read('[]')).toEqual({ ok: false, fault: 'foreign' })
    expect(read(changed({ format: 'dry-count/document' }))).toEqual({ ok: false, fault: 'foreign' })
    const steps = (list: unknown[]) => changed({ card: { ...cardFile(CARD).card, steps: list } })
    expect(read(steps([{ step: 'dump.fly' }]))).toEqual({ ok: false, fault: 'unknown-step' })
    expect(read(steps([{ words: '<b>now</b>' }]))).toEqual({ ok: false, fault: 'foreign' })
    expect(read(steps([]))).toEqual({ ok: false, fault: 'foreign' })
    expect(read(`${' '.repeat(300_000)}{}`)).toEqual({ ok: false, fault: 'too-large' })
  })
})

it('what a run took and a dose are entries like any other; a run without it is what it was', () => {
  const did = [{ container: 'black', what: 'emptied' as const, litres: null }]
  const took = {
    minutes: 40,
    kilometres: null,
    fee: 3.5,
    rinses: [{ container: 'black', rounds: 3, owed: 0 }],
  }
  const run = entry({ kind: 'run', at: '2027-09-12T10:00', did, place: null })
  expect(logEntryFaults(run)).toEqual([])
  expect(logEntryFaults({ ...run, took })).toEqual([])
  expect(
    logEntryFaults({ ...run, took: { ...took, rinses: [{ container: 'black', rounds: 2.5, owed: 0 }] } }),
  ).toHaveLength(1)
  expect(
    logEntryFaults(
      entry({ kind: 'dose', at: '2027-09-12T10:00', container: 'black', product: 'mire-ease', amount: -1 }),
    ),
  ).toHaveLength(1)
})
