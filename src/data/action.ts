import type { Document } from '@/core/domain'
import type { Ends } from './storage/begun'
import type { EditLabel } from './storage/documentStore'
import type { LogOperation } from './storage/logStore'

/** Something an owner does: one step of undo. The catalogue of them is `src/actions`. */
export interface Action {
  label: EditLabel
  /** From a document to the next, sharing what it leaves as it is. @throws where what it changes is gone by then */
  next: (document: Document) => Document
  /** Actions in quick succession with the same key are one step of undo; null: a step of its own. */
  key: string | null
  /** What it logs. */
  log: readonly LogOperation[]
  /** The walk or timer that it ends. */
  ends: Ends | null
}
