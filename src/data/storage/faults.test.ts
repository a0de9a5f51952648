import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { afterEach, describe, expect, it } from 'vitest'
import { CURRENT_VERSION, readDocument } from '@/document'
import { DATABASE_NAMES } from './database'
import { openDexieStore } from './dexieStore'
import type { Edit } from './documentStore'
import { StorageFault, storageFault } from './faults'
import { discard, salvaged } from './salvage'
import { trailerDemo } from '../../../scripts/demo/trailer'

const load: Edit = { label: 'import', coalesce: null, make: () => trailerDemo() }
const kindOf = (work: Promise<unknown>) =>
  work.then(
    () => 'no fault',
    (error: unknown) => (error instanceof StorageFault ? error.kind : String(error)),
  )

/** The database as it stands, by another hand. */
async function byHand(work: (database: Dexie) => Promise<unknown>) {
  const database = new Dexie(DATABASE_NAMES.mine)
  await database.open()
  await work(database)
  database.close()
}
async function filled() {
  const store = openDexieStore('mine')
  await store.commit([load], 1)
  store.close()
}

afterEach(() => Dexie.delete(DATABASE_NAMES.mine))

describe('what is on the disk is checked when it is read', () => {
  it('a row that is no rig any more: said, nothing changed, and taken out as a file that says where', async () => {
    await filled()
    await byHand((database) =>
      database
        .table('rigs')
        .toCollection()
        .modify((row: { entity: { containers: unknown } }) => {
          row.entity.containers = 'gone'
        }),
    )
    const store = openDexieStore('mine')
    expect(await kindOf(store.load())).toBe('damaged')
    expect(await kindOf(store.commit([load], 2))).toBe('damaged')
    store.close()
    const result = await readDocument(await salvaged('mine'))
    expect(result).toMatchObject({ ok: false, faults: [{ path: ['rigs', 0, 'containers'] }] })
  })

  it('written by a newer application, by its own version or by the browser’s: not read, not written, taken out whole', async () => {
    await filled()
    await byHand((database) =>
      database.table('meta').put({ key: 'documentVersion', value: CURRENT_VERSION + 1 }),
    )
    const store = openDexieStore('mine')
    expect(await kindOf(store.load())).toBe('newer')
    expect(await kindOf(store.commit([load], 2))).toBe('newer')
    store.close()
    expect(JSON.parse(await salvaged('mine'))).toEqual({
      ...trailerDemo(),
      version: CURRENT_VERSION + 1,
      log: [],
    })
  })

  it('what an undo would lead to is checked as well', async () => {
    await filled()
    await byHand((database) =>
      database
        .table('history')
        .toCollection()
        .modify((step: { changes: { before: unknown }[] }) => {
          step.changes = [
            {
              list: 'rigs',
              id: 'trailer',
              before: { id: 'trailer', position: 0, entity: { id: 'trailer' } },
              after: null,
            },
          ] as never
        }),
    )
    const store = openDexieStore('mine')
    expect(await kindOf(store.undo())).toBe('damaged')
    expect((await store.load()).document).toEqual(trailerDemo())
    store.close()
  })

  it('an upgrade that does not lead to a valid document has not happened', async () => {
    const database = new Dexie(DATABASE_NAMES.mine)
    database
      .version(2)
      .stores({ rigs: 'id', crews: 'id', habits: 'id', stays: 'id', meta: 'key', history: 'seq, undone' })
    await database.open()
    const stay = { id: 's', name: 'S', rig: 'no such rig', crew: 'c', levels: [], habits: [] }
    await database.table('stays').put({ id: 's', position: 0, entity: stay })
    await database.table('meta').put({ key: 'documentVersion', value: 2 })
    database.close()
    const store = openDexieStore('mine')
    expect(await kindOf(store.load())).toBe('upgrade')
    store.close()
    await byHand(async (now) => {
      expect(now.verno).toBe(2)
      expect(await now.table('stays').toArray()).toEqual([{ id: 's', position: 0, entity: stay }])
    })
    expect(JSON.parse(await salvaged('mine'))).toMatchObject({ version: 2, stays: [stay] })
  })

  it('deleted while it is open: said by the browser, and noticed where it was not', async () => {
    await filled()
    const store = openDexieStore('mine')
    await store.load()
    const heard = new Promise<string>((resolve) => store.subscribe(resolve))
    await discard('mine')
    expect(await heard).toBe('deleted')
    store.close()
    const other = openDexieStore('mine')
    await other.commit([load], 1)
    await byHand((database) => database.table('meta').clear())
    expect(await kindOf(other.commit([load], 2))).toBe('deleted')
    other.close()
  })
})

it('names what a browser says, the innermost cause first', () => {
  const quota = new DOMException('full', 'QuotaExceededError')
  expect(storageFault(quota).kind).toBe('full')
  expect(storageFault(Object.assign(new Error('aborted'), { name: 'AbortError', inner: quota })).kind).toBe(
    'full',
  )
  expect(storageFault(new DOMException('no', 'SecurityError')).kind).toBe('blocked')
  expect(storageFault(new TypeError('odd')).kind).toBe('failed')
  expect(storageFault(undefined).kind).toBe('failed')
  const own = new StorageFault('newer')
  expect(storageFault(new Error('around', { cause: own }))).toBe(own)
})
