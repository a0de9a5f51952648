import type { Document } from '@/core/model'
import { changesBetween, merged, type Change } from './changes'
import { COALESCE_MS, HISTORY_STEPS, type Edit, type HistoryStep } from './documentStore'

interface NextStep {
  /** What the edit writes now. */
  changes: Change[]
  /** The step of the history that holds it: a new one, or the last one grown by it. */
  kept: HistoryStep
}

/** The history's next step for an edit from one document to the next; null where nothing changed. */
export function nextStep(
  steps: readonly HistoryStep[],
  before: Document,
  after: Document,
  edit: Edit,
  at: number,
): NextStep | null {
  const changes = changesBetween(before, after)
  if (changes.length === 0) return null
  const last = steps.at(-1)
  const { label, coalesce } = edit
  const grows = last?.undone === 0 && coalesce !== null && last.coalesce === coalesce && at - last.at < COALESCE_MS
  const kept: HistoryStep = grows
    ? { ...last, at, changes: merged(last.changes, changes) }
    : { seq: (last?.seq ?? 0) + 1, label, at, coalesce, changes, undone: 0 }
  return { changes, kept }
}

/** Steps that go when one is kept: those taken back, and the oldest past the limit. */
export function forgotten(steps: readonly HistoryStep[], kept: HistoryStep): number[] {
  const undone = steps.filter((step) => step.undone === 1).map(({ seq }) => seq)
  const alive = steps.filter((step) => step.undone === 0 && step.seq !== kept.seq).map(({ seq }) => seq)
  return [...undone, ...alive.slice(0, Math.max(0, alive.length + 1 - HISTORY_STEPS))].filter((seq) => seq !== kept.seq)
}
