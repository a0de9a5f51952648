import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { DocumentFault } from '@/document'
import type { EditLabel } from './storage/documentStore'

/** Something that happened and has to be said in passing; the texts give each its words. */
export type Notice =
  /** An edit no longer fitted what another tab has made of the document. `what`: names of what it changed. */
  | { kind: 'dropped'; label: EditLabel; what: string[]; fault: DocumentFault | null }
  /** A habit switched on here took the place of one that another tab had switched on. */
  | { kind: 'gave-way'; on: string; off: string }
  /** An undo, or redo, was of another tab's step. */
  | { kind: 'others-step'; way: 'undo' | 'redo'; label: EditLabel }
  /** An undo, or redo, could not be kept; nothing has changed. */
  | { kind: 'not-replayed'; way: 'undo' | 'redo' }
  /** A stay went, and what was logged of it. */
  | { kind: 'log-went'; stay: string; entries: number }
  /** What a card came to stands in the log. */
  | { kind: 'logged'; card: string; tanks: string[] }
  /** Entries of a stay that is gone: kept, and counted by nothing. */
  | { kind: 'orphans'; entries: number }
  /** What was to end here had been ended by another tab: it stands in the log, once. */
  | { kind: 'already-ended'; name: 'walk' | 'shower' }
  /** A screen, or a part of one, could not be loaded. */
  | { kind: 'not-loaded' }

export const useNoticeStore = defineStore('notices', () => {
  const shown = ref<{ id: number; notice: Notice }[]>([])
  let last = 0
  return {
    shown,
    /** The same thing is said once as long as it stands. */
    say(notice: Notice): void {
      const text = JSON.stringify(notice)
      if (shown.value.some((one) => JSON.stringify(one.notice) === text)) return
      // Of what was logged only the last is news.
      const kept = shown.value.filter((one) => notice.kind !== 'logged' || one.notice.kind !== 'logged')
      shown.value = [...kept, { id: (last += 1), notice }].slice(-3)
    },
    dismiss(id: number): void {
      shown.value = shown.value.filter((one) => one.id !== id)
    },
  }
})
