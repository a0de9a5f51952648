import { emptyDocument } from '@/core/domain'
import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import fc from 'fast-check'
import { produce } from 'immer'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'
import { applied, changesBetween, inverse, merged } from './changes'
import { DATABASE_NAMES } from './database'
import { openDexieStore } from './dexieStore'
import { COALESCE_MS, HISTORY_STEPS, type DocumentStore, type Edit } from './documentStore'
import { openMemoryStore, sharedMemory } from './memoryStore'
import { trailerDemo } from '../../../scripts/demo/trailer'
import { inProof } from '../../../tests/support/thorough'

const load: Edit = { label: 'import', coalesce: null, make: () => trailerDemo() }
const capacity = (litres: number, coalesce: string | null = null): Edit => ({
  label: 'rig',
  coalesce,
  make: (document) =>
    produce(document, (draft) => {
      draft.rigs[0]!.containers[0]!.capacity = { value: litres, by: 'owner' }
    }),
})
/** A note of the trailer's stay on a morning. */
const note = (id: string, clock: string, stay = 'harrow-ridge'): LogEntry => ({
  id,
  revision: 1,
  isRemoved: false,
  rig: 'trailer',
  stay,
  at: `2027-09-12T${clock}`,
  utc: `2027-09-12T${clock}:00.000Z`,
  note: '',
  kind: 'note',
  container: null,
})
const capacityOf = (document: Document) => document.rigs[0]!.containers[0]!.capacity.value

/** Every store keeps to this. */
function acceptance(name: string, open: () => DocumentStore) {
  describe(`${name} keeps a document`, () => {
    let store: DocumentStore
    let now = 0
    beforeEach(() => {
      store = open()
      now = 0
    })
    afterEach(async () => {
      store.close()
      await Promise.all(Object.values(DATABASE_NAMES).map((database) => Dexie.delete(database)))
    })
    const commit = (...edits: Edit[]) => store.commit(edits, (now += 10_000))
    /** A hundred steps take the disk a while: in memory in every run, in the database in the proof. */
    const itLong = name === 'memory' ? it : inProof

    it('starts empty, and gives back what it was given', async () => {
      expect(await store.load()).toMatchObject({ document: emptyDocument(), undo: null, redo: null })
      expect((await commit(load)).document).toEqual(trailerDemo())
      expect((await store.load()).document).toEqual(trailerDemo())
    })

    itLong(
      'undoes and redoes a hundred and twenty steps, and forgets what was undone at the next edit',
      async () => {
        await commit(load)
        for (let n = 1; n <= 120; n++) await commit(capacity(400 + n))
        for (let n = 119; n >= 1; n--) expect(capacityOf((await store.undo()).document)).toBe(400 + n)
        expect(capacityOf((await store.undo()).document)).toBe(340)
        expect(await store.undo()).toMatchObject({ document: emptyDocument(), undo: null, redo: 'import' })
        expect((await store.undo()).document).toEqual(emptyDocument())
        expect((await store.redo()).document).toEqual(trailerDemo())
        expect(capacityOf((await store.redo()).document)).toBe(401)
        const branched = await commit(capacity(999))
        expect(branched.redo).toBeNull()
        expect(capacityOf((await store.redo()).document)).toBe(999)
        expect(capacityOf((await store.undo()).document)).toBe(401)
      },
    )

    it('keeps what was begun until the edit that ends it, and that edit happens once', async () => {
      await commit(load)
      const { begun } = store
      expect(await begun.read('walk')).toBeNull()
      await begun.keep({ name: 'walk', id: 'w', value: { step: 1 } }, true)
      await begun.keep({ name: 'walk', id: 'w', value: { step: 2 } }, false)
      expect(await begun.read('walk')).toEqual({ name: 'walk', id: 'w', value: { step: 2 } })
      await begun.drop('walk', 'another')
      const ends = { name: 'walk' as const, id: 'w', isKept: true }
      const log = [{ op: 'put' as const, entry: note('w-1', '10:00') }]
      const edit: Edit = { label: 'log', coalesce: null, make: (document) => document, log, ends }
      expect((await commit(edit)).dropped).toEqual([])
      expect(await begun.read('walk')).toBeNull()
      expect(
        (await commit({ ...edit, log: [{ op: 'put', entry: note('w-2', '11:00') }] })).dropped,
      ).toHaveLength(1)
      expect((await store.log.range()).map(({ id }) => id)).toEqual(['w-1'])
      expect(await begun.keep({ name: 'walk', id: 'w', value: {} }, false)).toBeNull()
      expect(
        (await commit({ ...edit, log: [], ends: { ...ends, id: 'never', isKept: false } })).dropped,
      ).toEqual([])
    })

    it('keeps a log beside the document: appended, amended, removed, by stay and time, in one history with it', async () => {
      await commit(load)
      const { log } = store
      await log.append(
        [note('b', '10:00'), note('a', '09:00'), note('c', '11:00', 'elsewhere')],
        (now += 10_000),
      )
      const ids = async (from?: string, until?: string) =>
        (
          await log.range({ stay: 'harrow-ridge', ...(from ? { from } : {}), ...(until ? { until } : {}) })
        ).map(({ id, revision, isRemoved }) => `${id} ${revision}${isRemoved ? ' removed' : ''}`)
      expect(await ids()).toEqual(['a 1', 'b 1'])
      expect(await ids('2027-09-12T09:30:00.000Z')).toEqual(['b 1'])
      expect(await ids(undefined, '2027-09-12T09:30:00.000Z')).toEqual(['a 1'])
      expect(await log.range()).toHaveLength(3)
      // The same again is nothing new; an older revision than the one that is kept comes after it.
      const again = await log.append([note('a', '09:00')], (now += 10_000))
      expect(again.logChanges).toEqual([])
      await log.amend({ ...note('a', '09:30'), revision: 2 }, (now += 10_000))
      await log.amend({ ...note('a', '09:45'), revision: 2 }, (now += 10_000))
      expect(await ids()).toEqual(['a 3', 'b 1'])
      await log.remove('b', (now += 10_000))
      await log.remove('nothing', (now += 10_000))
      expect(await ids()).toEqual(['a 3', 'b 2 removed'])
      // One sequence with the edits of the document.
      await commit(capacity(401))
      expect(capacityOf((await store.undo()).document)).toBe(340)
      const taken = await store.undo()
      expect(taken.logChanges.map(({ id }) => id)).toEqual(['b'])
      expect(await ids()).toEqual(['a 3', 'b 1'])
      await store.undo()
      await store.undo()
      expect(await ids()).toEqual(['a 1', 'b 1'])
      expect((await store.redo()).logChanges).toHaveLength(1)
      expect(await ids()).toEqual(['a 2', 'b 1'])
    })

    it('drops a stay with its log, takes in what is new of a file, and takes all of it back', async () => {
      await commit(load)
      await store.log.append([note('a', '09:00'), note('c', '11:00', 'elsewhere')], (now += 10_000))
      const before = await store.log.range()
      const remove: Edit = {
        label: 'remove',
        coalesce: null,
        make: (document) => ({ ...document, currentStay: null, stays: [] }),
        log: [{ op: 'drop-stay', stay: 'harrow-ridge' }],
      }
      await commit(remove)
      expect((await store.log.range()).map(({ id }) => id)).toEqual(['c'])
      const back = await store.undo()
      expect(back.document.stays).toHaveLength(1)
      expect(await store.log.range()).toEqual(before)
      const merge: Edit = {
        label: 'import',
        coalesce: null,
        make: (document) => document,
        log: [
          {
            op: 'merge',
            entries: [
              note('a', '09:00'),
              { ...note('c', '12:00', 'elsewhere'), revision: 4 },
              note('d', '13:00'),
            ],
          },
        ],
      }
      const merged = await commit(merge)
      expect(merged.logChanges.map(({ id }) => id)).toEqual(['c', 'd'])
      await store.undo()
      expect(await store.log.range()).toEqual(before)
      const replace: Edit = { ...merge, log: [{ op: 'replace', entries: [note('z', '08:00')] }] }
      await commit(replace)
      expect((await store.log.range()).map(({ id }) => id)).toEqual(['z'])
      await store.undo()
      expect(await store.log.range()).toEqual(before)
    })

    it('makes one step of a drag, and two of a pause', async () => {
      await commit(load)
      now += 10_000
      for (let n = 0; n < 5; n++) await store.commit([capacity(350 + n, 'drag')], (now += COALESCE_MS / 3))
      expect(capacityOf((await store.undo()).document)).toBe(340)
      expect(capacityOf((await store.redo()).document)).toBe(354)
      await store.commit([capacity(360, 'drag')], now + COALESCE_MS * 2)
      expect(capacityOf((await store.undo()).document)).toBe(354)
    })

    itLong('makes no step where nothing changes, and keeps the newest steps only', async () => {
      await commit(load)
      const idle: Edit = { label: 'rig', coalesce: null, make: (document) => document }
      expect(await commit(idle)).toMatchObject({ undo: 'import' })
      await commit(...Array.from({ length: HISTORY_STEPS + 20 }, (_, n) => capacity(500 + n)))
      let steps = 0
      while ((await store.undo()).undo !== null) steps += 1
      expect(steps + 1).toBe(HISTORY_STEPS)
    })

    it('removes, adds and reorders rows, and takes it back', async () => {
      await commit(load)
      const before = (await store.load()).document
      const shuffle: Edit = {
        label: 'habit',
        coalesce: null,
        make: (document) => ({
          ...document,
          currentStay: null,
          habits: [...document.habits].reverse().slice(1),
        }),
      }
      const after = await commit(shuffle)
      expect(after.document.habits.map(({ id }) => id)).toEqual(
        before.habits
          .map(({ id }) => id)
          .reverse()
          .slice(1),
      )
      expect((await store.undo()).document).toEqual(before)
    })

    it('leaves out an edit that throws, alone, and hands it back', async () => {
      await commit(load)
      const error = new Error('no')
      const failing: Edit = {
        label: 'rig',
        coalesce: null,
        make: () => {
          throw error
        },
      }
      const done = await commit(capacity(700), failing, capacity(777))
      expect(done.dropped).toEqual([{ edit: failing, error }])
      expect(capacityOf(done.document)).toBe(777)
      expect((await store.load()).document).toEqual(done.document)
      expect(capacityOf((await store.undo()).document)).toBe(700)
    })

    it('gives the very object it was given back, as long as nobody else has written', async () => {
      const document = trailerDemo()
      const { document: kept } = await commit({ ...load, make: () => document })
      expect(kept).toBe(document)
      let seen: Document | null = null
      await commit({ ...load, make: (base) => (seen = base) })
      expect(seen).toBe(document)
    })

    it('says whose step was taken back, and that there was none', async () => {
      expect((await store.undo()).step).toBeNull()
      await commit(load)
      expect((await store.undo()).step).toMatchObject({ label: 'import', by: 'one' })
      expect((await store.redo()).step).toMatchObject({ label: 'import', by: 'one' })
    })
  })
}

acceptance('memory', () => openMemoryStore('one'))
acceptance('Dexie', () => openDexieStore('mine', 'one'))

describe.each<[string, () => (by: string) => DocumentStore]>([
  ['memory', () => sharedMemory()],
  ['Dexie', () => (by) => openDexieStore('mine', by)],
])('two openings of one %s', (_, share) => {
  it('make their edits on top of each other, tell each other, and each step is its own', async () => {
    const open = share()
    const [first, second] = [open('first'), open('second')]
    await first.commit([load], 1)
    const told = new Promise<string>((resolve) => second.subscribe(resolve))
    await first.commit([capacity(111, 'drag')], 2)
    expect(await told).toBe('edited')
    const rename: Edit = {
      label: 'rig',
      coalesce: 'drag',
      make: (d) => produce(d, (draft) => void (draft.rigs[0]!.name = 'Both')),
    }
    const { document } = await second.commit([rename], 3)
    expect([capacityOf(document), document.rigs[0]!.name]).toEqual([111, 'Both'])
    const { step, document: undone } = await first.undo()
    expect([step?.by, capacityOf(undone), undone.rigs[0]!.name]).toEqual(['second', 111, 'Family trailer'])
    first.close()
    second.close()
    await Promise.all(Object.values(DATABASE_NAMES).map((database) => Dexie.delete(database)))
  })
})

it('the demo’s database is another one', async () => {
  const [mine, demo] = [openDexieStore('mine'), openDexieStore('demo')]
  await mine.commit([load], 1)
  expect((await demo.load()).document).toEqual(emptyDocument())
  mine.close()
  demo.close()
  await Promise.all(Object.values(DATABASE_NAMES).map((database) => Dexie.delete(database)))
})

describe('changes', () => {
  it('lead from one document to the other and back, and two runs of them merge into one', () => {
    const some = fc
      .subarray(trailerDemo().habits)
      .chain((habits) => fc.shuffledSubarray(habits, { minLength: habits.length }))
    const document = (habits: Document['habits'], currentStay: string | null): Document => ({
      ...emptyDocument(),
      habits,
      currentStay,
    })
    fc.assert(
      fc.property(some, some, some, fc.option(fc.constant('x')), (a, b, c, stay) => {
        const [one, two, three] = [document(a, null), document(b, stay), document(c, 'y')]
        const there = changesBetween(one, two)
        expect(applied(one, there)).toEqual(two)
        expect(applied(two, inverse(there))).toEqual(one)
        const both = merged(there, changesBetween(two, three))
        expect(applied(one, both)).toEqual(three)
        expect(applied(three, inverse(both))).toEqual(one)
      }),
    )
  })
})
