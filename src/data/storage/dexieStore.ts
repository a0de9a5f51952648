import type { Document } from '@/core/model'
import { CURRENT_VERSION } from '@/document'
import { LISTS, applied, inverse, setList, type Change } from './changes'
import { DryCountDatabase, type Space } from './database'
import { emptyDocument, type DocumentStore, type HistoryStep, type Snapshot } from './documentStore'
import { nextStep, withStep, type HistoryState } from './history'

/** The document in IndexedDB. */
export function openDexieStore(space: Space): DocumentStore {
  const database = new DryCountDatabase(space)
  const channel = new BroadcastChannel(`${database.name}-edits`)
  const tables = [...LISTS.map((list) => database[list]), database.meta, database.history]

  /** What this tab read or wrote last; good as long as no other tab has written since. */
  let known: { revision: number; document: Document } | null = null

  const current = async (): Promise<{ revision: number; document: Document }> => {
    const revision = await revisionOf(database)
    if (known?.revision !== revision) known = { revision, document: await readDocument(database) }
    return known
  }
  const write = async (work: (document: Document) => Promise<Document>): Promise<Snapshot> => {
    const snapshot = await database.transaction('rw', tables, async () => {
      const before = await current()
      const document = await work(before.document)
      const revision = before.revision + 1
      await database.meta.put({ key: 'revision', value: revision })
      await database.meta.put({ key: 'documentVersion', value: CURRENT_VERSION })
      return { document, revision, ...(await labels(database)) }
    })
    known = snapshot
    channel.postMessage(snapshot.revision)
    return snapshot
  }
  const replay = async (
    document: Document,
    step: HistoryStep | undefined,
    undone: 0 | 1,
  ): Promise<Document> => {
    if (!step) return document
    const changes = undone === 1 ? inverse(step.changes) : step.changes
    await writeChanges(database, changes)
    await database.history.put({ ...step, undone })
    return applied(document, changes)
  }

  return {
    load: () =>
      database.transaction('r', tables, async () => ({ ...(await current()), ...(await labels(database)) })),
    commit: (edits, at) =>
      write(async (kept) => {
        let document = kept
        let history: HistoryState = await readHistory(database)
        for (const edit of edits) {
          const edited = edit.make(document)
          const step = nextStep(history.last, document, edited, edit, at)
          document = edited
          if (!step) continue
          await writeChanges(database, step.changes)
          const next = withStep(history, step.kept)
          await database.history.bulkDelete(next.gone)
          await database.history.put(step.kept)
          history = next
        }
        return document
      }),
    undo: () => write(async (document) => replay(document, await lastStanding(database), 1)),
    redo: () => write(async (document) => replay(document, await firstUndone(database), 0)),
    subscribe: (listener) => {
      const edited = () => listener('edited')
      const outdated = () => {
        database.close()
        listener('outdated')
      }
      channel.addEventListener('message', edited)
      database.on('versionchange', outdated)
      return () => {
        channel.removeEventListener('message', edited)
        database.on('versionchange').unsubscribe(outdated)
      }
    },
    close: () => {
      channel.close()
      database.close()
    },
  }
}

async function labels(database: DryCountDatabase): Promise<Pick<Snapshot, 'undo' | 'redo'>> {
  return {
    undo: (await lastStanding(database))?.label ?? null,
    redo: (await firstUndone(database))?.label ?? null,
  }
}

async function readDocument(database: DryCountDatabase): Promise<Document> {
  const document: Document = emptyDocument()
  for (const list of LISTS) setList(document, list, await database[list].toArray())
  const current = await database.meta.get('currentStay')
  document.currentStay = typeof current?.value === 'string' ? current.value : null
  return document
}

/** Only the newest step whole: the others may be large. */
async function readHistory({ history }: DryCountDatabase): Promise<HistoryState> {
  return {
    last: await history.orderBy('seq').last(),
    standing: await history.where('undone').equals(0).primaryKeys(),
    undone: await history.where('undone').equals(1).primaryKeys(),
  }
}

function lastStanding({ history }: DryCountDatabase): Promise<HistoryStep | undefined> {
  return history.where('undone').equals(0).last()
}

function firstUndone({ history }: DryCountDatabase): Promise<HistoryStep | undefined> {
  return history.where('undone').equals(1).first()
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
