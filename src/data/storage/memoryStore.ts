import { emptyDocument, type Document } from '@/core/model'
import { applied, inverse } from './changes'
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
  steps: HistoryStep[]
  revision: number
}

/** The document in memory: for browsers that keep nothing, and for tests. Gone with the page. @param by the tab */
export function openMemoryStore(by = '', document: Document = emptyDocument()): DocumentStore {
  return sharedMemory(document)(by)
}

/** One memory that several tabs open, each with its own store. */
export function sharedMemory(document: Document = emptyDocument()): (by: string) => DocumentStore {
  let kept: Kept = { document, steps: [], revision: 0 }
  const listeners = new Map<(event: StoreEvent) => void, string>()
  const put = (by: string, next: Omit<Kept, 'revision'>): Snapshot => {
    kept = { ...next, revision: kept.revision + 1 }
    for (const [listener, of] of listeners) if (of !== by) queueMicrotask(() => listener('edited'))
    return snapshotOf(kept)
  }
  const replay = (by: string, step: HistoryStep | undefined, undone: 0 | 1): Replayed => {
    if (!step) return { ...snapshotOf(kept), step: null }
    const document = applied(kept.document, undone === 1 ? inverse(step.changes) : step.changes)
    const steps = kept.steps.map((one) => (one === step ? { ...one, undone } : one))
    return { ...put(by, { document, steps }), step }
  }
  return (by) => ({
    load: () => Promise.resolve(snapshotOf(kept)),
    commit: async (edits, at) => {
      await Promise.resolve()
      const { dropped, ...next } = made(kept, edits, at, by)
      return { ...put(by, next), dropped }
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
function made(kept: Kept, edits: readonly Edit[], at: number, by: string) {
  let { document, steps } = kept
  const dropped: Committed['dropped'] = []
  for (const edit of edits) {
    try {
      const next = edit.make(document)
      const step = nextStep(steps.at(-1), document, next, edit, at, by)
      if (step) steps = withNewest(steps, step.kept)
      document = next
    } catch (error) {
      dropped.push({ edit, error })
    }
  }
  return { document, steps, dropped }
}

function standing(steps: readonly HistoryStep[]): HistoryStep[] {
  return steps.filter((step) => step.undone === 0)
}

function undone(steps: readonly HistoryStep[]): HistoryStep[] {
  return steps.filter((step) => step.undone === 1)
}

function snapshotOf({ document, steps, revision }: Kept): Snapshot {
  return {
    document,
    revision,
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
