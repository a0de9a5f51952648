import { emptyDocument, type Document } from '@/core/domain'
import type { LogEntry } from '@/core/log'
import type { Action } from '@/data/action'
import { addDocument } from '@/document'

type NewId = Parameters<typeof addDocument>[2]

const whole = (label: Action['label'], next: Action['next'], log: Action['log']): Action => ({
  label,
  next,
  key: null,
  log,
  ends: null,
})

/** What the guided start made, beside what is there. @param idOf gives what is added its ids */
export const addStart = (made: Document, idOf: NewId): Action =>
  whole('start', (document) => addDocument(document, made, idOf), [])
/** All of a document and its log, in place of what is there. */
export const replaceAll = (label: 'start' | 'import', document: Document, log: readonly LogEntry[]): Action =>
  whole(label, () => document, [{ op: 'replace', entries: [...log] }])
/** A file beside what is there. @param add the same ids whenever it is made again */
export const addFromFile = (
  add: (document: Document) => { document: Document; log: LogEntry[] },
  now: Document,
): Action => whole('import', (document) => add(document).document, [{ op: 'merge', entries: add(now).log }])
export const clearAll = (): Action => whole('clear', () => emptyDocument(), [{ op: 'replace', entries: [] }])
