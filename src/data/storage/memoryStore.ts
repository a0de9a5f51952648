import { applied, inverse } from './changes'
import { emptyDocument, type DocumentStore, type HistoryStep, type Snapshot } from './documentStore'
import { nextStep, withStep } from './history'

/** The document in memory: for browsers that keep nothing, and for tests. Gone with the page. */
export function openMemoryStore(): DocumentStore {
  let document = emptyDocument()
  let steps: HistoryStep[] = []
  let revision = 0
  const snapshot = (): Snapshot => ({
    document,
    revision,
    undo: steps.findLast(({ undone }) => undone === 0)?.label ?? null,
    redo: steps.find(({ undone }) => undone === 1)?.label ?? null,
  })
  const written = () => {
    revision += 1
    return Promise.resolve(snapshot())
  }
  const mark = (step: HistoryStep, undone: 0 | 1) => {
    steps = steps.map((candidate) => (candidate.seq === step.seq ? { ...candidate, undone } : candidate))
  }
  return {
    load: () => Promise.resolve(snapshot()),
    commit: (edits, at) => {
      for (const edit of edits) {
        const next = edit.make(document)
        const step = nextStep(steps.at(-1), document, next, edit, at)
        if (!step) continue
        const seqs = (undone: 0 | 1) => steps.filter((known) => known.undone === undone).map(({ seq }) => seq)
        const { gone: forgotten } = withStep(
          { last: steps.at(-1), standing: seqs(0), undone: seqs(1) },
          step.kept,
        )
        const gone = new Set([...forgotten, step.kept.seq])
        steps = [...steps.filter(({ seq }) => !gone.has(seq)), step.kept]
        document = applied(document, step.changes)
      }
      return written()
    },
    undo: () => {
      const step = steps.findLast(({ undone }) => undone === 0)
      if (step) {
        document = applied(document, inverse(step.changes))
        mark(step, 1)
      }
      return written()
    },
    redo: () => {
      const step = steps.find(({ undone }) => undone === 1)
      if (step) {
        document = applied(document, step.changes)
        mark(step, 0)
      }
      return written()
    },
    subscribe: () => () => undefined,
    close: () => undefined,
  }
}
