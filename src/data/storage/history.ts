import type { Document } from '@/core/domain'
import { changesBetween, merged, type Change, type LogChange } from './changes'
import { COALESCE_MS, HISTORY_STEPS, type Edit, type HistoryStep } from './documentStore'

interface NextStep {
  /** What the edit writes now. */
  changes: Change[]
  /** The step of the history that holds it: a new one, or the last one grown by it. */
  kept: HistoryStep
}

/** What an edit needs to know of the history. */
export interface HistoryState {
  /** The newest step, undone or not. */
  last: HistoryStep | undefined
  /** Sequence numbers of the steps that stand, and of those taken back, ascending. */
  standing: readonly number[]
  undone: readonly number[]
}

/** The history's next step for an edit from one document to the next; null where nothing changed. @param by the tab */
export function nextStep(
  last: HistoryStep | undefined,
  before: Document,
  after: Document,
  edit: Edit,
  at: number,
  by: string,
  logChanges: readonly LogChange[] = [],
): NextStep | null {
  const changes = [...changesBetween(before, after), ...logChanges]
  if (changes.length === 0) return null
  const { label, coalesce } = edit
  const madeAt = edit.at ?? at
  const grows =
    last?.undone === 0 &&
    last.by === by &&
    coalesce !== null &&
    last.coalesce === coalesce &&
    madeAt - last.at < COALESCE_MS
  const kept: HistoryStep = grows
    ? { ...last, at: madeAt, changes: merged(last.changes, changes) }
    : { seq: (last?.seq ?? 0) + 1, label, at: madeAt, coalesce, changes, undone: 0, by }
  return { changes, kept }
}

/** The history once a step is kept, and the steps that go: those taken back, and the oldest past the limit. */
export function withStep(
  { standing, undone }: HistoryState,
  kept: HistoryStep,
): HistoryState & { gone: number[] } {
  const all = [...standing.filter((seq) => seq !== kept.seq), kept.seq]
  const old = all.slice(0, Math.max(0, all.length - HISTORY_STEPS))
  return { last: kept, standing: all.slice(old.length), undone: [], gone: [...undone, ...old] }
}
