import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import Dexie from 'dexie'
import { expect, it } from 'vitest'
import { checked, readDocument } from '@/document'
import { DATABASE_NAMES } from './database'
import { openDexieStore } from './dexieStore'

const LISTS = ['rigs', 'crews', 'habits', 'stays'] as const
type Kept = { currentStay: string } & Record<(typeof LISTS)[number], { id: string; name: string }[]>

it.each([1, 2, 3, 5, 6, 8])(
  'brings a browser’s rows and its history from document version %i to the current one; undo reaches back across it',
  async (version) => {
    const text = readFileSync(`src/document/fixtures/version-${version}.drycount.json`, 'utf8')
    const old = JSON.parse(text) as Kept
    const database = new Dexie(DATABASE_NAMES.mine)
    const tables = { rigs: 'id', crews: 'id', habits: 'id', stays: 'id', meta: 'key', history: 'seq, undone' }
    database.version(version).stores(tables)
    await database.open()
    for (const list of LISTS)
      await database
        .table(list)
        .bulkPut(old[list].map((entity, position) => ({ id: entity.id, position, entity })))
    await database.table('meta').bulkPut([
      { key: 'currentStay', value: old.currentStay },
      { key: 'revision', value: 7 },
    ])
    const row = { id: old.rigs[0]!.id, position: 0, entity: old.rigs[0]! }
    const before = { ...row, entity: { ...old.rigs[0]!, name: 'Before the upgrade' } }
    const changes = [{ list: 'rigs', id: old.rigs[0]!.id, before, after: row }]
    await database.table('history').put({ seq: 1, label: 'rig', at: 0, coalesce: null, changes, undone: 0 })
    database.close()

    const expected = await readDocument(text)
    if (!expected.ok) throw new Error('the fixture does not open')
    const store = openDexieStore('mine')
    expect((await store.load()).document).toEqual(expected.value)
    const { document } = await store.undo()
    expect(document.rigs[0]!.name).toBe('Before the upgrade')
    expect(checked(document)).toMatchObject({ ok: true })
    store.close()
    await Dexie.delete(DATABASE_NAMES.mine)
  },
)
