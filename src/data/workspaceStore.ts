import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { produce } from 'immer'
import type { Document } from '@/core/model'
import { checkedEdit, type DocumentFault } from '@/document'
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
  let revision = 0
  /** Another tab wrote while edits of this one were waiting: show what is kept once they are through. */
  let isBehind = false
  let queue: Edit[] = []
  let isFlushQueued = false
  let chain = Promise.resolve()
  let now: () => number = () => 0

  /** @param isOwn what was written is what is shown already, unless another tab wrote in between */
  function take(snapshot: Snapshot, isOwn = false) {
    undoLabel.value = snapshot.undo
    redoLabel.value = snapshot.redo
    isBehind ||= !isOwn || snapshot.revision !== revision + 1
    revision = snapshot.revision
    if (!isBehind || queue.length > 0) return
    document.value = snapshot.document
    isBehind = false
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
        else reload()
      })
    } catch {
      state.value = 'failed'
    }
  }

  /** After the writes that are under way, so that none of them is taken for another tab's. */
  function reload(): void {
    chain = chain.then(async () => {
      if (store) take(await store.load())
    })
  }

  /** One write after the other; a failed one is said, and what is shown stays so that nothing typed is lost. */
  function enqueue(work: (store: DocumentStore) => Promise<Snapshot>, isOwn = false): Promise<void> {
    pending.value += 1
    chain = chain.then(async () => {
      try {
        if (store) take(await work(store), isOwn)
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
    void flush()
  }

  /** Edits made while a write is under way wait together for the next one; those that failed go first. */
  function flush(): Promise<void> {
    if (isFlushQueued || queue.length === 0) return chain
    isFlushQueued = true
    return enqueue(async (target) => {
      isFlushQueued = false
      const edits = queue
      queue = []
      try {
        return await target.commit(edits, now())
      } catch (error) {
        queue = [...edits, ...queue]
        throw error
      }
    }, true)
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
    const result = checkedEdit(document.value, next)
    if (!result.ok) return { ok: false, faults: result.faults }
    document.value = next
    write({ label, coalesce, make: (kept) => validOr(kept, make(kept)) })
    return { ok: true }
  }

  return {
    state, document, saved, writeFailed, undoLabel, redoLabel, open, edit, replace,
    undo: () => enqueue((target) => target.undo()),
    redo: () => enqueue((target) => target.redo()),
    /** Writes again what could not be written. */
    retry: () => flush(),
    /** Resolves when everything shown has been written. */
    settled: () => chain,
  } // prettier-ignore
})

/** On top of another tab's edit the same change may no longer fit: then what is kept stays. */
function validOr(kept: Document, next: Document): Document {
  return checkedEdit(kept, next).ok ? next : kept
}
