import type { Document } from '@/core/domain'
import type { BegunStore, Ends } from './begun'
import type { Change, LogChange } from './changes'
import type { LogOperation, LogStore } from './logStore'

/** What an edit is called in the history; the texts give each its words. */
export type EditLabel =
  | 'level'
  | 'rig'
  | 'crew'
  | 'stay'
  | 'habit'
  | 'absence'
  | 'import'
  | 'clear'
  | 'start'
  | 'switch-stay'
  | 'copy'
  | 'remove'
  | 'log'
  | 'shakedown'
  | 'take-over'
  | 'run'
  | 'place'
  | 'school'
  | 'site'
  | 'card'
  | 'product'
  | 'budget'
  | 'chore'

/** A change of the document as a function, so that it can be made again on top of another tab's edit. */
export interface Edit {
  label: EditLabel
  /**
   * Returns the next document, sharing what it did not touch.
   * @throws where it does not fit what is kept by now: it is then left out, alone
   */
  make: (document: Document) => Document
  /** What it does to the log, in the same step. */
  log?: readonly LogOperation[]
  /** Edits with the same key within `COALESCE_MS` are one step of the history: a drag, not its every pixel. */
  coalesce: string | null
  /** UTC milliseconds of the edit itself; without it, those of the commit. */
  at?: number
  /** What was begun and ends with it; left out, with all it does, where another tab has ended it. */
  ends?: Ends
  /** Made of nothing but what ships, in place of everything: the build's tests hold it valid, nobody need check it. */
  isShipped?: boolean
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
  /** The tab that made it; steps of older applications have none. */
  by?: string
}

export interface Snapshot {
  document: Document
  /** Grows with every write of any tab. */
  revision: number
  /** The revision at which the log was written last. */
  logRevision: number
  undo: EditLabel | null
  redo: EditLabel | null
}

/** What came of a commit. */
export interface Committed extends Snapshot {
  /** What became of the log, and the revision at which it was written before. */
  logChanges: LogChange[]
  logBefore: number
  /** Edits that no longer fitted, with what they threw; the others are written. */
  dropped: { edit: Edit; error: unknown }[]
}

/** What came of an undo or redo; `step` is the one moved, null where there was none. */
export interface Replayed extends Snapshot {
  logChanges: LogChange[]
  logBefore: number
  step: Pick<HistoryStep, 'label' | 'by'> | null
}

export const COALESCE_MS = 1500
/** Steps kept for undo. */
export const HISTORY_STEPS = 300

/**
 * Where a document is kept. Every call is one transaction: it happens whole or not at all, and has reached the disk
 * when its promise resolves. What is read is a valid document. One acceptance suite holds every implementation to this.
 * @throws StorageFault
 */
export interface DocumentStore {
  /** @param unchecked shows what is there at once; the caller reads it again, checked, before anything is done with it */
  load: (unchecked?: boolean) => Promise<Snapshot>
  /** Makes the edits on what is kept now, another tab's edits included. */
  commit: (edits: readonly Edit[], at: number) => Promise<Committed>
  /** Takes back, or makes again, one step; the same snapshot where there is none. */
  undo: () => Promise<Replayed>
  redo: () => Promise<Replayed>
  log: LogStore
  begun: BegunStore
  /**
   * Calls back after another tab has written ('edited'), has brought a newer application whose data this one cannot read
   * ('outdated'), or what was kept has been deleted ('deleted'; in both the store is closed). @returns stops listening
   */
  subscribe: (listener: (event: StoreEvent) => void) => () => void
  close: () => void
}

export type StoreEvent = 'edited' | 'outdated' | 'deleted'
