import fc from 'fast-check'
import { produce } from 'immer'
import { expect, it } from 'vitest'
import type { Document } from '@/core/domain'
import { documentArb } from '../../../tests/support/generate'
import { addDocument } from '../addDocument'
import { documentChecks, editChecks } from './documentChecks'

let made = 0
/** Two documents in one, so that an edit has something to leave alone. Ids unlike those of the generated ones. */
const pairArb = fc
  .tuple(documentArb, documentArb)
  .map(([base, added]) => addDocument(base, added, (kind) => `added-${kind}-${(made += 1)}`))

/** What an edit may do, right or wrong: each breaks something now and then. */
const EDITS: ((draft: Document, n: number) => void)[] = [
  (draft, n) => void draft.rigs.splice(n % draft.rigs.length, 1),
  (draft, n) => void draft.crews.splice(n % draft.crews.length, 1),
  (draft) => void (draft.crews = []),
  (draft, n) => {
    draft.habits.splice(n, 1)
  },
  (draft, n) => void draft.stays.splice(n % draft.stays.length, 1),
  (draft, n) => {
    draft.rigs[n % draft.rigs.length]!.containers.pop()
  },
  (draft, n) => void (draft.rigs[n % draft.rigs.length]!.id = `other-${n}`),
  (draft, n) => void draft.crews[n % draft.crews.length]!.activities.pop(),
  (draft, n) => void (draft.crews[n % draft.crews.length]!.activities[0]!.kind = 'drinking'),
  (draft, n) => void draft.crews[n % draft.crews.length]!.persons.pop(),
  (draft, n) => void (draft.stays[n % draft.stays.length]!.leaveAt = '2027-03-01T11:00'),
  (draft, n) => void (draft.stays[n % draft.stays.length]!.start = '2027-03-27T09:00'),
  (draft, n) => void (draft.stays[n % draft.stays.length]!.rig = draft.rigs.at(-1)!.id),
  (draft) => void draft.rigs.push({ ...draft.rigs[0]! }),
  (draft) => {
    for (const habit of draft.habits) habit.gear = ['spray-bottle']
  },
  (draft, n) => {
    for (const habit of draft.habits) habit.where = n % 2 === 0 ? 'one' : null
  },
]

it('an edit’s check finds what the whole check finds', () => {
  const found = { good: 0, bad: 0 }
  fc.assert(
    fc.property(pairArb, fc.nat(EDITS.length - 1), fc.nat(9), (base, which, n) => {
      const next = produce(base, (draft: Document) => EDITS[which]!(draft, n))
      const whole = documentChecks(next)
      expect(editChecks(base, next)).toEqual(whole)
      found[whole.length > 0 ? 'bad' : 'good'] += 1
    }),
    { numRuns: 300 },
  )
  expect(Math.min(found.good, found.bad)).toBeGreaterThan(50)
})
