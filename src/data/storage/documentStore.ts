import type { Document } from '@/core/model'
import type { Change } from './changes'

/** What an edit is called in the history; the texts give each its words. */
export type EditLabel =
  | 'level' | 'rig' | 'crew' | 'stay' | 'habit' | 'absence' | 'import' | 'clear' | 'start' | 'switch-stay'
  | 'copy' | 'remove' // prettier-ignore

/** A change of the document as a function, so that it can be made again on top of another tab's edit. */
export interface Edit {
  label: EditLabel
  /** @throws nothing; returns the next document, sharing what it did not touch. */
  make: (document: Document) => Document
  /** Edits with the same key within `COALESCE_MS` are one step of the history: a drag, not its every pixel. */
  coalesce: string | null
}

/** One step of the history, as it is kept. */
export interface HistoryStep {
  seq: number
  label: EditLabel
  /** UTC, milliseconds. */
  at: number
  coalesce: string | null
  changes: Change[]
  undone: 0 | 1
}

export interface Snapshot {
  document: Document
  /** Grows with every write of any tab. */
  revision: number
  undo: EditLabel | null
  redo: EditLabel | null
}

export const COALESCE_MS = 1500
/** Steps kept for undo. */
export const HISTORY_STEPS = 300

/**
 * Where a document is kept. Every call is one transaction: it happens whole or not at all, and has reached the disk
 * when its promise resolves. One acceptance suite holds every implementation to this.
 */
export interface DocumentStore {
  load: () => Promise<Snapshot>
  /** Makes the edits on what is kept now, another tab's edits included. */
  commit: (edits: readonly Edit[], at: number) => Promise<Snapshot>
  /** Takes back, or makes again, one step; the same snapshot where there is none. */
  undo: () => Promise<Snapshot>
  redo: () => Promise<Snapshot>
  /**
   * Calls back after another tab has written ('edited'), or has brought a newer application whose data this one
   * cannot read ('outdated'; the store is then closed). @returns stops listening
   */
  subscribe: (listener: (event: StoreEvent) => void) => () => void
  close: () => void
}

export type StoreEvent = 'edited' | 'outdated'

export function emptyDocument(): Document {
  return {
    format: 'dry-count/document',
    version: 3,
    currentStay: null,
    rigs: [],
    crews: [],
    habits: [],
    stays: [],
  }
}
