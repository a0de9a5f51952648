import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { produce } from 'immer'
import type { Document } from '@/core/model'
import { checked, type DocumentFault } from '@/document'
import {
  emptyDocument,
  type DocumentStore,
  type Edit,
  type EditLabel,
  type Snapshot,
} from './storage/documentStore'

/**
 * loading: not read yet. kept: every edit is written. volatile: this browser keeps nothing. failed: reading failed.
 * outdated: another tab has a newer application; this one must give way.
 */
export type WorkspaceState = 'loading' | 'kept' | 'volatile' | 'failed' | 'outdated'

export type EditResult = { ok: true } | { ok: false; faults: DocumentFault[] }

/**
 * The document everybody sees. An edit shows at once and is written behind; `saved` says whether all of it has
 * reached the disk. An edit that would make the document invalid is refused whole, with its faults.
 */
export const useWorkspaceStore = defineStore('workspace', () => {
  const state = ref<WorkspaceState>('loading')
  const document = shallowRef<Document>(emptyDocument())
  const undoLabel = ref<EditLabel | null>(null)
  const redoLabel = ref<EditLabel | null>(null)
  const pending = ref(0)
  const writeFailed = ref(false)
  const saved = computed(() => pending.value === 0 && !writeFailed.value)
  let store: DocumentStore | null = null
  let queue: Edit[] = []
  let chain = Promise.resolve()
  let now: () => number = () => 0

  function take(snapshot: Snapshot) {
    undoLabel.value = snapshot.undo
    redoLabel.value = snapshot.redo
    if (queue.length === 0) document.value = snapshot.document
  }

  /** Reads what is kept. @param clock UTC milliseconds, for the history */
  async function open(opened: DocumentStore, kind: 'kept' | 'volatile', clock: () => number): Promise<void> {
    store?.close()
    store = opened
    now = clock
    try {
      take(await opened.load())
      state.value = kind
      opened.subscribe((event) => {
        if (event === 'outdated') state.value = 'outdated'
        else void reload()
      })
    } catch {
      state.value = 'failed'
    }
  }

  async function reload(): Promise<void> {
    if (store) take(await store.load())
  }

  /** One write after the other; a failed one is said, and what is shown stays so that nothing typed is lost. */
  function enqueue(work: (store: DocumentStore) => Promise<Snapshot>): Promise<void> {
    pending.value += 1
    chain = chain.then(async () => {
      try {
        if (store) take(await work(store))
        writeFailed.value = false
      } catch {
        writeFailed.value = true
      } finally {
        pending.value -= 1
      }
    })
    return chain
  }

  function write(edit: Edit): void {
    queue.push(edit)
    void enqueue((target) => {
      const edits = queue
      queue = []
      return edits.length > 0 ? target.commit(edits, now()) : target.load()
    })
  }

  /**
   * Changes the document. @param recipe changes the draft it is given
   * @param coalesce edits in quick succession with the same key are one step of undo
   */
  function edit(
    label: EditLabel,
    recipe: (draft: Document) => void,
    coalesce: string | null = null,
  ): EditResult {
    return replace(label, (current) => produce(current, recipe), coalesce)
  }

  /** The same with a function from document to document. */
  function replace(
    label: EditLabel,
    make: (document: Document) => Document,
    coalesce: string | null = null,
  ): EditResult {
    const next = make(document.value)
    const result = checked(next)
    if (!result.ok) return { ok: false, faults: result.faults }
    document.value = next
    write({ label, coalesce, make: (kept) => validOr(kept, make(kept)) })
    return { ok: true }
  }

  return {
    state, document, saved, writeFailed, undoLabel, redoLabel, open, edit, replace,
    undo: () => enqueue((target) => target.undo()),
    redo: () => enqueue((target) => target.redo()),
    /** Resolves when everything shown has been written. */
    settled: () => chain,
  } // prettier-ignore
})

/** On top of another tab's edit the same change may no longer fit: then what is kept stays. */
function validOr(kept: Document, next: Document): Document {
  return checked(next).ok ? next : kept
}
