import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import type { Chore, Document } from '@/core/domain'
import { owned } from '@/core/quantities'
import { addDocument, checked } from '../index'
import { ownActivity } from '../starters/activities'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { truckDemo } from '../../../scripts/demo/truck'
import * as edits from './index'

const STAY = 'harrow-ridge'
const edit = (recipe: (draft: Document) => void, document = trailerDemo()) => {
  const next = produce(document, recipe)
  expect(checked(next)).toMatchObject({ ok: true })
  return next
}
const refused = (recipe: (draft: Document) => void) => !checked(produce(trailerDemo(), recipe)).ok
const budgetOf = ({ stays }: Document) => stays[0]!.budget
const SWAP = { day: 3, less: 'shower', by: 1, more: 'dishes', plus: 2 }

describe('a budget', () => {
  it('has its night, sureness, shares and swaps, and hears what was declined again', () => {
    const set = edit((draft) => {
      edits.setGoal(draft, STAY, 7)
      edits.setBudgetConfidence(draft, STAY, 0.8)
      edits.setApart(draft, STAY, 'wren', 'shower', 1)
      edits.setApart(draft, STAY, 'wren', 'shower', 0.5)
      edits.addSwap(draft, STAY, SWAP)
      edits.addSwap(draft, STAY, { ...SWAP, day: 4 })
      edits.declineAdvice(draft, STAY, 'tote-loads')
      edits.declineAdvice(draft, STAY, 'tote-loads')
    })
    expect(budgetOf(set)).toEqual({
      night: 7,
      confidence: owned(0.8),
      apart: [{ person: 'wren', activity: 'shower', rate: owned(0.5) }],
      swaps: [SWAP, { ...SWAP, day: 4 }],
      declined: ['tote-loads'],
    })
    const bare = edit((draft) => {
      edits.setGoal(draft, STAY, null)
      edits.setBudgetConfidence(draft, STAY, null)
      edits.setApart(draft, STAY, 'wren', 'shower', null)
      edits.dropSwaps(draft, STAY, 3)
      edits.hearAllAdvice(draft, STAY)
    }, set)
    expect(budgetOf(bare)).toEqual({
      ...{ night: null, confidence: null, apart: [], declined: [] },
      swaps: [{ ...SWAP, day: 4 }],
    })
  })

  it('says nothing of people and activities that are gone, and refuses what is out of bounds', () => {
    const set = edit((draft) => {
      edits.setApart(draft, STAY, 'wren', 'shower', 1)
      edits.setApart(draft, STAY, 'maren', 'shower', 1)
      edits.addSwap(draft, STAY, SWAP)
      draft.crews[0]!.activities.push(ownActivity('sauna', 'Sauna'))
      edits.setSaves(draft, 'crew', 'sauna', true)
      edits.setSaves(draft, 'crew', 'sauna', true)
    })
    expect(set.crews[0]!.saves).toEqual(['sauna'])
    const left = edit((draft) => edits.removePerson(draft, 'crew', 'wren'), set)
    expect(budgetOf(left).apart.map(({ person }) => person)).toEqual(['maren'])
    const gone = edit((draft) => {
      edits.removeActivity(draft, 'crew', 'shower')
      edits.removeActivity(draft, 'crew', 'sauna')
    }, set)
    expect(budgetOf(gone)).toMatchObject({ apart: [], swaps: [] })
    expect(gone.crews[0]!.saves).toEqual([])
    expect(refused((draft) => edits.setBudgetConfidence(draft, STAY, 0.2))).toBe(true)
    expect(refused((draft) => edits.setGoal(draft, STAY, -1))).toBe(true)
    expect(refused((draft) => edits.setApart(draft, STAY, 'wren', 'shower', -1))).toBe(true)
    expect(refused((draft) => edits.addSwap(draft, STAY, { ...SWAP, by: Infinity }))).toBe(true)
  })

  it('declined habits follow their ids where a file is added to another', () => {
    const base = trailerDemo()
    const added = edit((draft) => {
      draft.habits.find(({ id }) => id === 'wet-soap-rinse')!.bother = owned(4)
      edits.declineAdvice(draft, STAY, 'wet-soap-rinse')
      edits.declineAdvice(draft, STAY, 'tote-loads')
    })
    let n = 0
    const joined = addDocument(base, added, (kind) => `${kind}-new-${(n += 1)}`)
    const stay = joined.stays.at(-1)!
    const habit = joined.habits.at(-1)!
    expect(habit.bother).toEqual(owned(4))
    expect(stay.budget.declined).toEqual([habit.id, 'tote-loads'])
  })
})

describe('chores', () => {
  const CHORE: Chore = {
    ...{ id: 'hinges', kind: 'own', name: 'Oil the hinges', container: 'black', done: null, snoozed: null },
    every: [{ by: 'days', n: owned(30) }],
  }

  it('are added, changed, done, put off and taken away; the usual ones come once', () => {
    const added = edit((draft) => edits.putChore(draft, 'trailer', CHORE))
    const snoozed = edit((draft) => edits.snoozeChore(draft, 'trailer', 'hinges', '2027-09-21'), added)
    const done = edit((draft) => edits.doneChore(draft, 'trailer', 'hinges', '2027-09-14T15:20'), snoozed)
    expect(done.rigs[0]!.chores.at(-1)).toEqual({ ...CHORE, done: '2027-09-14T15:20' })
    // What was done before does not undo what was done since.
    const before = edit((draft) => edits.doneChore(draft, 'trailer', 'hinges', '2027-09-01T10:00'), done)
    expect(before.rigs[0]!.chores.at(-1)!.done).toBe('2027-09-14T15:20')
    const bare = edit((draft) => {
      for (const { id } of trailerDemo().rigs[0]!.chores) edits.removeChore(draft, 'trailer', id)
    }, done)
    expect(bare.rigs[0]!.chores.map(({ id }) => id)).toEqual(['hinges'])
    const usual = edit((draft) => {
      edits.addUsualChores(draft, 'trailer', 'crew')
      edits.addUsualChores(draft, 'trailer', 'crew')
    }, bare)
    expect(usual.rigs[0]!.chores.length).toBe(1 + trailerDemo().rigs[0]!.chores.length)
  })

  it('go with their tank; two of one id, a rhythm of nothing and a stock below zero are refused', () => {
    const truck = truckDemo()
    const [rig] = truck.rigs
    const bin = rig!.containers.find(({ kind }) => kind === 'solids')!
    expect(rig!.chores.some(({ container }) => container === bin.id)).toBe(true)
    const without = produce(truck, (draft) => edits.removeContainer(draft, rig!.id, bin.id))
    expect(without.rigs[0]!.chores.some(({ container }) => container === bin.id)).toBe(false)
    expect(refused((draft) => void draft.rigs[0]!.chores.push({ ...CHORE }, { ...CHORE }))).toBe(true)
    const never = { ...CHORE, every: [{ by: 'trips' as const, n: owned(0) }] }
    expect(refused((draft) => edits.putChore(draft, 'trailer', never))).toBe(true)
    expect(refused((draft) => edits.setMediumStock(draft, 'crew', -1))).toBe(true)
  })
})
