import fc from 'fast-check'
import { expect, it } from 'vitest'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf, type Document } from '@/core/domain'
import type { LogEntry } from '@/core/log'
import { addDocument, addFile, checked, orphansOf } from './index'
import { logChecks } from './checks/logChecks'
import { trailerLog } from '../../scripts/demo/trailerLog'
import { entry } from '../../tests/support/entries'
import { habit } from '../../tests/support/build'
import { runOf, runStep } from '../../tests/support/generateRuns'
import { owned } from '@/core/quantities'
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

it('habits whose order counts keep it, under whatever ids they come in; and nothing of it twice', () => {
  const own = (id: string, litres: number) =>
    habit(id, [{ kind: 'replace', activity: 'shower', volume: owned(litres), trickle: null }])
  const on = (id: string) => ({ habit: id, days: null, persons: null })
  const [base, added] = [trailerDemo(), trailerDemo()]
  base.habits.push(own('b', 30))
  added.stays[0]!.name = 'Another time'
  added.habits.push(own('b', 3), own('c', 20))
  added.stays[0]!.habits.push(on('b'), on('c'))
  const dry = days(added, 'harrow-ridge')
  // In one file the new id comes after that of the other habit, in one before it, in one the other is there by itself.
  for (const names of ['z', 'a']) {
    let n = 0
    const newId = (kind: string) => (kind === 'habit' ? `${names}-${(n += 1)}` : `${kind}-new-${(n += 1)}`)
    const both = addDocument(base, added, newId)
    expect(days(both, both.currentStay!)).toBe(dry)
    expect(addDocument(both, added, newId)).toEqual(both)
  }
  base.habits.push({ ...own('c', 20), id: 'a-there' })
  const both = addDocument(base, added, counter())
  expect(days(both, both.currentStay!)).toBe(dry)
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

it('a log comes along: the very entries where the stay is the same, entries of their own where it got a new id', () => {
  const [demo, log] = [trailerDemo(), trailerLog()]
  expect(addFile(demo, demo, log, counter()).log).toEqual(log)
  const changed = structuredClone(demo)
  changed.stays[0]!.name = 'Another time'
  const { document, log: brought } = addFile(demo, changed, log, counter())
  const [, other] = document.stays
  expect(new Set(brought.map(({ stay }) => stay))).toEqual(new Set([other!.id]))
  const ids = new Set([...log, ...brought].map(({ id }) => id))
  expect(ids.size).toBe(2 * log.length)
  expect(logChecks([...log, ...brought])).toEqual([])
  expect(orphansOf(document, [...log, ...brought])).toEqual([])
  // What it was is the same but for whose it is.
  brought.forEach((one, k) => expect({ ...one, id: '', stay: '' }).toEqual({ ...log[k]!, id: '', stay: '' }))
  const loose = entry({ kind: 'note', at: '2027-09-12T08:00', stay: null })
  expect(addFile(demo, changed, [loose], counter()).log).toEqual([loose])
})

it('runs and places of a stay that is added stay its own', () => {
  const added = trailerDemo()
  added.stays[0]!.runs = [
    runOf('run', 3, 'midday', [runStep('empty', 'gray', null)], { place: 'sallow-mill' }),
  ]
  const both = addDocument(trailerDemo(), added, counter())
  expect(checked(both)).toMatchObject({ ok: true })
  expect(both.stays.map(({ runs }) => runs.length)).toEqual([0, 1])
  expect(days(both, both.currentStay!)).toBe(days(added, 'harrow-ridge'))
})

it('an entry is there once and does not end before it begins; what it refers to may be gone', () => {
  const demo = trailerDemo()
  const of = (...log: LogEntry[]) => logChecks(log).map(({ code, path }) => `${code} ${path.join('.')}`)
  const note = entry({ kind: 'note', at: '2027-09-12T08:00' })
  expect(of(note)).toEqual([])
  expect(of(note, note)).toEqual(['duplicate-id log.1.id'])
  const gone = [
    { ...note, id: 'a', stay: 'sea' },
    { ...note, id: 'b', stay: null, rig: 'sea' },
  ]
  // A stay may have got another rig since.
  const other = { ...note, id: 'c', rig: 'sea' }
  expect(of(...gone, other)).toEqual([])
  expect(orphansOf(demo, [...gone, other, note, { ...note, stay: 'sea', isRemoved: true }])).toEqual(gone)
  // They come along, and stay what they are.
  expect(addFile(trailerDemo(), demo, gone, counter()).log).toEqual(gone)
  expect(of(entry({ kind: 'odd', at: '2027-09-12T08:00', from: '2027-09-12T09:00' }))).toEqual([
    'stretch-backwards log.0.at',
  ])
})
