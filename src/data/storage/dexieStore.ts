import type { Document } from '@/core/model'
import { CURRENT_VERSION } from '@/document'
import { LISTS, inverse, setList, type Change } from './changes'
import { DryCountDatabase, type Space } from './database'
import { emptyDocument, type DocumentStore, type HistoryStep, type Snapshot } from './documentStore'
import { forgotten, nextStep } from './history'

/** The document in IndexedDB. */
export function openDexieStore(space: Space): DocumentStore {
  const database = new DryCountDatabase(space)
  const channel = new BroadcastChannel(`${database.name}-edits`)
  const tables = [...LISTS.map((list) => database[list]), database.meta, database.history]

  const write = async (work: (steps: HistoryStep[]) => Promise<void>): Promise<Snapshot> => {
    const snapshot = await database.transaction('rw', tables, async () => {
      await work(await database.history.orderBy('seq').toArray())
      await database.meta.put({ key: 'revision', value: (await revisionOf(database)) + 1 })
      await database.meta.put({ key: 'documentVersion', value: CURRENT_VERSION })
      return read(database)
    })
    channel.postMessage(snapshot.revision)
    return snapshot
  }

  return {
    load: () => database.transaction('r', tables, () => read(database)),
    commit: (edits, at) =>
      write(async (steps) => {
        let document = (await read(database)).document
        for (const edit of edits) {
          const next = edit.make(document)
          const step = nextStep(steps, document, next, edit, at)
          document = next
          if (!step) continue
          await writeChanges(database, step.changes)
          await database.history.bulkDelete(forgotten(steps, step.kept))
          await database.history.put(step.kept)
          steps = [...steps.filter(({ seq, undone }) => undone === 0 && seq !== step.kept.seq), step.kept]
        }
      }),
    undo: () =>
      write(async (steps) => {
        const step = steps.findLast(({ undone }) => undone === 0)
        if (!step) return
        await writeChanges(database, inverse(step.changes))
        await database.history.put({ ...step, undone: 1 })
      }),
    redo: () =>
      write(async (steps) => {
        const step = steps.find(({ undone }) => undone === 1)
        if (!step) return
        await writeChanges(database, step.changes)
        await database.history.put({ ...step, undone: 0 })
      }),
    subscribe: (listener) => {
      channel.addEventListener('message', listener)
      return () => channel.removeEventListener('message', listener)
    },
    close: () => {
      channel.close()
      database.close()
    },
  }
}

async function read(database: DryCountDatabase): Promise<Snapshot> {
  const document: Document = emptyDocument()
  for (const list of LISTS) setList(document, list, await database[list].toArray())
  const current = await database.meta.get('currentStay')
  document.currentStay = typeof current?.value === 'string' ? current.value : null
  const steps = await database.history.orderBy('seq').toArray()
  return {
    document,
    revision: await revisionOf(database),
    undo: steps.findLast(({ undone }) => undone === 0)?.label ?? null,
    redo: steps.find(({ undone }) => undone === 1)?.label ?? null,
  }
}

async function revisionOf(database: DryCountDatabase): Promise<number> {
  const row = await database.meta.get('revision')
  return typeof row?.value === 'number' ? row.value : 0
}

async function writeChanges(database: DryCountDatabase, changes: readonly Change[]): Promise<void> {
  for (const change of changes) {
    if (change.list === 'currentStay') await database.meta.put({ key: 'currentStay', value: change.after })
    else if (change.after) await database[change.list].put(change.after)
    else await database[change.list].delete(change.id)
  }
}
