import fc from 'fast-check'
import { expect, it } from 'vitest'
import { count } from '@/core/count'
import { caseOf, compile, type Document } from '@/core/model'
import { addDocument, checked } from './index'
import { documentArb } from '../../tests/support/generate'
import { trailerDemo } from '../../scripts/demo/trailer'

function counter() {
  let n = 0
  return (kind: string) => `${kind}-new-${(n += 1)}`
}
const days = (document: Document, stay: string) => count(compile(caseOf(document, stay))).days

it('adds everything and loses nothing: every stay of both counts as it did before', () => {
  fc.assert(
    fc.property(documentArb, documentArb, (base, added) => {
      const both = addDocument(base, added, counter())
      expect(checked(both)).toEqual({ ok: true, value: both })
      expect(both.rigs.slice(0, base.rigs.length)).toEqual(base.rigs)
      for (const { id } of base.stays) expect(days(both, id)).toBe(days(base, id))
      expect(days(both, both.currentStay!)).toBe(days(added, 'stay'))
    }),
    { numRuns: 100 },
  )
})

it('adds nothing twice', () => {
  const demo = trailerDemo()
  expect(addDocument(demo, demo, counter())).toEqual(demo)
  const changed = structuredClone(demo)
  changed.rigs[0]!.name = 'Another trailer'
  const both = addDocument(demo, changed, counter())
  expect([both.rigs.length, both.crews.length, both.habits.length, both.stays.length]).toEqual([
    2,
    1,
    demo.habits.length,
    2,
  ])

  // Added again and again it stays what it is, also where its ids had to be others.
  const newId = counter()
  let again = both
  for (let n = 0; n < 5; n++) again = addDocument(again, changed, newId)
  expect(again).toEqual(both)
})
