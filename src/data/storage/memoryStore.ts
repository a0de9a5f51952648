import { emptyDocument, type Document, type Id } from '@/core/domain'
import { byTime, type LogEntry } from '@/core/log'
import { mayEnd, type BegunName, type BegunRow } from './begun'
import { applied, inverse, isOfLog, type LogChange } from './changes'
import { logChangesOf, logStoreOf, withLogChanges } from './logStore'
import {
  type Committed,
  type DocumentStore,
  type Edit,
  type HistoryStep,
  type Replayed,
  type Snapshot,
  type StoreEvent,
} from './documentStore'
import { nextStep, withStep } from './history'

/** What is kept, replaced whole: a call that fails half-way has changed nothing. */
interface Kept {
  document: Document
  log: ReadonlyMap<Id, LogEntry>
  logRevision: number
  steps: HistoryStep[]
  revision: number
}

/** The document in memory: for browsers that keep nothing, and for tests. Gone with the page. @param by the tab */
export function openMemoryStore(
  by = '',
  document: Document = emptyDocument(),
  log: readonly LogEntry[] = [],
): DocumentStore {
  return sharedMemory(document, log)(by)
}

/** One memory that several tabs open, each with its own store. */
export function sharedMemory(
  document: Document = emptyDocument(),
  log: readonly LogEntry[] = [],
): (by: string) => DocumentStore {
  const first = new Map(log.map((entry) => [entry.id, entry]))
  let kept: Kept = { document, log: first, logRevision: 0, steps: [], revision: 0 }
  const listeners = new Map<(event: StoreEvent) => void, string>()
  const begun = new Map<BegunName, BegunRow>()
  const begunListeners = new Map<() => void, string>()
  const tellBegun = (by: string) => {
    for (const [listener, of] of begunListeners) if (of !== by) queueMicrotask(listener)
  }
  const put = (
    by: string,
    next: Pick<Kept, 'document' | 'steps'>,
    logChanges: readonly LogChange[],
  ): Snapshot & { logBefore: number } => {
    const revision = kept.revision + 1
    const logBefore = kept.logRevision
    kept = {
      ...next,
      log: logChanges.length > 0 ? withLogChanges(kept.log, logChanges) : kept.log,
      logRevision: logChanges.length > 0 ? revision : kept.logRevision,
      revision,
    }
    for (const [listener, of] of listeners) if (of !== by) queueMicrotask(() => listener('edited'))
    return { ...snapshotOf(kept), logBefore }
  }
  const replay = (by: string, step: HistoryStep | undefined, undone: 0 | 1): Replayed => {
    if (!step) return { ...snapshotOf(kept), step: null, logChanges: [], logBefore: kept.logRevision }
    const changes = undone === 1 ? inverse(step.changes) : step.changes
    const document = applied(kept.document, changes)
    const logChanges = changes.filter(isOfLog)
    const steps = kept.steps.map((one) => (one === step ? { ...one, undone } : one))
    return { ...put(by, { document, steps }, logChanges), step, logChanges }
  }
  const committed = async (by: string, edits: readonly Edit[], at: number): Promise<Committed> => {
    await Promise.resolve()
    const { dropped, logChanges, ...next } = made(kept, edits, at, by, begun)
    if (edits.some(({ ends }) => ends)) tellBegun(by)
    return { ...put(by, next, logChanges), dropped, logChanges }
  }
  return (by) => ({
    load: () => Promise.resolve(snapshotOf(kept)),
    commit: (edits, at) => committed(by, edits, at),
    log: logStoreOf(
      (edits, at) => committed(by, edits, at),
      ({ stay, from = '', until = '~' } = { stay: '' }) =>
        Promise.resolve(
          [...kept.log.values()]
            .sort(byTime)
            .filter(
              (entry) => stay === '' || (entry.stay === stay && entry.utc >= from && entry.utc <= until),
            ),
        ),
    ),
    begun: {
      read: (name) => Promise.resolve(begun.get(name) ?? null),
      keep: async (row, isNew) => {
        await Promise.resolve()
        const known = begun.get(row.name) ?? null
        if (!isNew && known?.id !== row.id) return known
        begun.set(row.name, row)
        tellBegun(by)
        return row
      },
      drop: async (name, id) => {
        await Promise.resolve()
        if (begun.get(name)?.id === id) begun.delete(name)
        tellBegun(by)
      },
      subscribe: (listener) => {
        begunListeners.set(listener, by)
        return () => void begunListeners.delete(listener)
      },
    },
    undo: async () => Promise.resolve(replay(by, standing(kept.steps).at(-1), 1)),
    redo: async () => Promise.resolve(replay(by, undone(kept.steps)[0], 0)),
    subscribe: (listener) => {
      listeners.set(listener, by)
      return () => void listeners.delete(listener)
    },
    close: () => undefined,
  })
}

/** One edit after the other; one that no longer fits is left out and handed back. */
function made(kept: Kept, edits: readonly Edit[], at: number, by: string, begun: Map<BegunName, BegunRow>) {
  let { document, steps, log } = kept
  const dropped: Committed['dropped'] = []
  const logChanges: LogChange[] = []
  for (const edit of edits) {
    try {
      if (edit.ends) mayEnd(edit.ends, begun.get(edit.ends.name) ?? null)
      const next = edit.make(document)
      const ofLog = edit.log ? logChangesOf(edit.log, log) : []
      const step = nextStep(steps.at(-1), document, next, edit, at, by, ofLog)
      if (ofLog.length > 0) log = withLogChanges(log, ofLog)
      logChanges.push(...ofLog)
      if (step) steps = withNewest(steps, step.kept)
      document = next
      if (edit.ends) begun.delete(edit.ends.name)
    } catch (error) {
      dropped.push({ edit, error })
    }
  }
  return { document, steps, dropped, logChanges }
}

function standing(steps: readonly HistoryStep[]): HistoryStep[] {
  return steps.filter((step) => step.undone === 0)
}

function undone(steps: readonly HistoryStep[]): HistoryStep[] {
  return steps.filter((step) => step.undone === 1)
}

function snapshotOf({ document, steps, revision, logRevision }: Kept): Snapshot {
  return {
    document,
    revision,
    logRevision,
    undo: standing(steps).at(-1)?.label ?? null,
    redo: undone(steps)[0]?.label ?? null,
  }
}

function withNewest(steps: readonly HistoryStep[], newest: HistoryStep): HistoryStep[] {
  const seqs = (of: readonly HistoryStep[]) => of.map(({ seq }) => seq)
  const state = { last: steps.at(-1), standing: seqs(standing(steps)), undone: seqs(undone(steps)) }
  const gone = new Set([...withStep(state, newest).gone, newest.seq])
  return [...steps.filter(({ seq }) => !gone.has(seq)), newest]
}
