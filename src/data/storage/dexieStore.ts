import type { Document, Id } from '@/core/domain'
import { CURRENT_VERSION } from '@/document'
import { loadChecks, type Checks } from '../checks'
import type { LogEntry } from '@/core/log'
import { mayEnd, type BegunStore } from './begun'
import { applied, inverse, isOfLog, type Change, type LogChange } from './changes'
import { logChangesOf, logStoreOf, neededFor, type LogOperation, type LogRange } from './logStore'
import { DryCountDatabase, type Space } from './database'
import type { Committed, DocumentStore, Edit, HistoryStep, Replayed, Snapshot } from './documentStore'
import Dexie from 'dexie'
import { StorageFault, storageFault } from './faults'
import { nextStep, withStep, type HistoryState } from './history'
import { readRows } from './readRows'
import { openTabs } from './tabs'

interface Known {
  revision: number
  document: Document
  isChecked: boolean
}

/** The document in IndexedDB. @param by the tab @throws StorageFault where the browser has no database to open */
export function openDexieStore(space: Space, by = ''): DocumentStore {
  const database = opened(space)
  const tabs = openTabs(`${database.name}-edits`)
  const begun = begunStoreOf(database)
  /** What this tab read or wrote last; good as long as no other tab has written since. */
  let known: Known | null = null

  /** @param checks null: shown before they are there */
  const current = async (checks: Checks | null): Promise<Known> => {
    const revision = await revisionOf(database)
    // Revisions only grow: a smaller one is another database under the same name.
    if (known && revision < known.revision) throw new StorageFault('deleted')
    if (known?.revision !== revision)
      known = { revision, document: await readDocument(database), isChecked: false }
    if (checks && !known.isChecked)
      known = { ...known, document: valid(checks, known.document), isChecked: true }
    return known
  }
  const write = async <T extends { logChanges: LogChange[] }>(
    checks: Checks | null,
    work: (document: Document) => Promise<T & { document: Document }>,
  ): Promise<T & Snapshot & { logBefore: number }> => {
    // On a turn of its own: begun between the awaits of a reading, the database would take it for over before it is.
    await new Promise((resolve) => setTimeout(resolve))
    const snapshot = await transaction(database, 'rw', async () => {
      const before = await current(checks)
      const logBefore = await revisionOf(database, 'logRevision')
      const done = await work(before.document)
      const revision = before.revision + 1
      await database.meta.put({ key: 'revision', value: revision })
      await database.meta.put({ key: 'documentVersion', value: CURRENT_VERSION })
      if (done.logChanges.length > 0) await database.meta.put({ key: 'logRevision', value: revision })
      return {
        ...done,
        revision,
        logBefore,
        logRevision: done.logChanges.length > 0 ? revision : logBefore,
        ...(await labels(database)),
      }
    })
    known = { revision: snapshot.revision, document: snapshot.document, isChecked: true }
    tabs.tell(snapshot.revision)
    return snapshot
  }
  const replay = async (
    find: (database: DryCountDatabase) => Promise<HistoryStep | undefined>,
    undone: 0 | 1,
  ): Promise<Replayed> => {
    const checks = await loadChecks()
    return write<Pick<Replayed, 'step' | 'logChanges'>>(checks, async (document) => {
      const step = await find(database)
      if (!step) return { document, step: null, logChanges: [] }
      const changes = undone === 1 ? inverse(step.changes) : step.changes
      const next = valid(checks, applied(document, changes))
      await writeChanges(database, changes)
      await database.history.put({ ...step, undone })
      return {
        document: next,
        logChanges: changes.filter(isOfLog),
        step: { label: step.label, ...(step.by === undefined ? {} : { by: step.by }) },
      }
    })
  }

  const commit: DocumentStore['commit'] = async (edits, at) => {
    const checks = edits.every(({ isShipped }) => isShipped) ? null : await loadChecks()
    const committed = await write(checks, (kept) => makeEdits(database, kept, edits, at, by))
    if (edits.some(({ ends }) => ends)) begun.tell()
    return committed
  }

  return {
    load: async (unchecked = false) => {
      const checks = unchecked ? null : await loadChecks()
      return transaction(database, 'r', async () => {
        const { document, revision } = await current(checks)
        const logRevision = await revisionOf(database, 'logRevision')
        return { document, revision, logRevision, ...(await labels(database)) }
      })
    },
    commit,
    log: logStoreOf(commit, (of) => transaction(database, 'r', () => readLog(database, of))),
    begun: begun.store,
    undo: () => replay(lastStanding, 1),
    redo: () => replay(firstUndone, 0),
    subscribe: (listener) => {
      const stop = tabs.hear(() => listener('edited'))
      const changed = ({ newVersion }: IDBVersionChangeEvent) => {
        database.close()
        listener(newVersion === null ? 'deleted' : 'outdated')
      }
      database.on('versionchange', changed)
      return () => {
        stop()
        database.on('versionchange').unsubscribe(changed)
      }
    },
    close: () => {
      tabs.close()
      begun.close()
      database.close()
    },
  }
}

/** Begun things of a database, and how its tabs hear of them. */
function begunStoreOf(database: DryCountDatabase): {
  store: BegunStore
  tell: () => void
  close: () => void
} {
  const tabs = openTabs(`${database.name}-begun`)
  const keep: BegunStore['keep'] = async (row, isNew) => {
    const kept = await begunTransaction(database, 'rw', async () => {
      const known = (await database.begun.get(row.name)) ?? null
      if (!isNew && known?.id !== row.id) return known
      await database.begun.put(row)
      return row
    })
    tabs.tell(0)
    return kept
  }
  return {
    store: {
      read: (name) => begunTransaction(database, 'r', async () => (await database.begun.get(name)) ?? null),
      keep,
      drop: async (name, id) => {
        await begunTransaction(database, 'rw', async () => {
          if ((await database.begun.get(name))?.id === id) await database.begun.delete(name)
        })
        tabs.tell(0)
      },
      subscribe: (listener) => tabs.hear(listener),
    },
    tell: () => tabs.tell(0),
    close: () => tabs.close(),
  }
}

async function begunTransaction<T>(
  database: DryCountDatabase,
  mode: 'r' | 'rw',
  work: () => Promise<T>,
): Promise<T> {
  try {
    return await database.transaction(mode, database.begun, work)
  } catch (error) {
    throw storageFault(error)
  }
}

function opened(space: Space): DryCountDatabase {
  try {
    return new DryCountDatabase(space)
  } catch (error) {
    throw storageFault(error)
  }
}

async function transaction<T>(
  database: DryCountDatabase,
  mode: 'r' | 'rw',
  work: () => Promise<T>,
): Promise<T> {
  try {
    return await database.transaction(mode, database.tables, work)
  } catch (error) {
    throw storageFault(error)
  }
}

/** One edit after the other; one that no longer fits is left out and handed back. */
async function makeEdits(
  database: DryCountDatabase,
  kept: Document,
  edits: readonly Edit[],
  at: number,
  by: string,
): Promise<Pick<Committed, 'document' | 'dropped' | 'logChanges'>> {
  let document = kept
  let history: HistoryState = await readHistory(database)
  const dropped: Committed['dropped'] = []
  const logChanges: LogChange[] = []
  for (const edit of edits) {
    let edited: Document
    try {
      if (edit.ends) mayEnd(edit.ends, (await database.begun.get(edit.ends.name)) ?? null)
      edited = edit.make(document)
    } catch (error) {
      dropped.push({ edit, error })
      continue
    }
    const ofLog = edit.log ? logChangesOf(edit.log, await rowsFor(database, edit.log)) : []
    const step = nextStep(history.last, document, edited, edit, at, by, ofLog)
    logChanges.push(...ofLog)
    document = edited
    if (edit.ends) await database.begun.delete(edit.ends.name)
    if (!step) continue
    await writeChanges(database, step.changes)
    const next = withStep(history, step.kept)
    await database.history.bulkDelete(next.gone)
    await database.history.put(step.kept)
    history = next
  }
  return { document, dropped, logChanges }
}

/** What is kept of the log, as far as operations need to know it. */
async function rowsFor(
  { log }: DryCountDatabase,
  operations: readonly LogOperation[],
): Promise<Map<Id, LogEntry>> {
  const { all, ids, stays } = neededFor(operations)
  if (all) return byId(await log.toArray())
  const found = (await log.bulkGet(ids)).filter((entry) => entry !== undefined)
  for (const stay of stays) found.push(...(await ofStay(log, { stay })))
  return byId(found)
}

const byId = (entries: readonly LogEntry[]) => new Map(entries.map((entry) => [entry.id, entry]))

function ofStay(log: DryCountDatabase['log'], { stay, from, until }: LogRange): PromiseLike<LogEntry[]> {
  return log
    .where('[stay+utc]')
    .between([stay, from ?? Dexie.minKey], [stay, until ?? Dexie.maxKey], true, true)
    .toArray()
}

async function readLog({ log }: DryCountDatabase, of?: LogRange): Promise<LogEntry[]> {
  return of ? ofStay(log, of) : log.toArray()
}

async function labels(database: DryCountDatabase): Promise<Pick<Snapshot, 'undo' | 'redo'>> {
  return {
    undo: (await lastStanding(database))?.label ?? null,
    redo: (await firstUndone(database))?.label ?? null,
  }
}

/** As it stands, unchecked. @throws StorageFault where a newer application has written */
async function readDocument(database: DryCountDatabase): Promise<Document> {
  const version = await database.meta.get('documentVersion')
  if (typeof version?.value === 'number' && version.value > CURRENT_VERSION) throw new StorageFault('newer')
  return readRows((table) => database.table(table))
}

/** @throws StorageFault where it is no valid document */
function valid({ checked }: Checks, document: Document): Document {
  const result = checked(document)
  if (!result.ok) throw new StorageFault('damaged', result.faults)
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

async function revisionOf(
  { meta }: DryCountDatabase,
  key: 'revision' | 'logRevision' = 'revision',
): Promise<number> {
  const value = (await meta.get(key))?.value
  return typeof value === 'number' ? value : 0
}

async function writeChanges(database: DryCountDatabase, changes: readonly Change[]): Promise<void> {
  const entries = changes.filter(isOfLog)
  await database.log.bulkPut(entries.flatMap(({ after }) => (after ? [after] : [])))
  await database.log.bulkDelete(entries.flatMap(({ id, after }) => (after ? [] : [id])))
  for (const change of changes) {
    if (change.list === 'log') continue
    if (change.list === 'currentStay') await database.meta.put({ key: 'currentStay', value: change.after })
    else if (change.after) await database[change.list].put(change.after)
    else await database[change.list].delete(change.id)
  }
}
