import { computed, ref, shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import type { Id } from '@/core/domain'
import { newId } from './newId'
import { report } from './report'
import { safeStorage } from './safeStorage'
import type { BegunName, BegunStore, Ends } from './storage/begun'
import { useWorkspaceStore } from './workspaceStore'

interface Begun<T> {
  current: ComputedRef<T | null>
  /** Whether what is kept has been read. */
  isRead: Ref<boolean>
  /** Begins another one, in place of whatever was begun. */
  begin: (value: T) => void
  /** Goes on with the one that is under way. */
  goOn: (value: T) => void
  /** It was never to be. */
  discard: () => void
  /** For the edit that logs it: both happen, or neither. Null: nothing is under way. */
  ending: () => Ends | null
  /** That edit was made: it is over here, as soon as it is written it is over everywhere. */
  ended: () => void
}

/**
 * Something that was begun: kept in the database beside the log, the same in every tab, and ended in the step that logs it. It
 * belongs to no document, and the demo's is not the owner's. To be called while a store is set up.
 * @param isWhole whether what was read is one; it may throw, as for what cannot be read at all
 */
export function useBegun<T extends object>(name: BegunName, isWhole: (value: T) => boolean): Begun<T> {
  const workspace = useWorkspaceStore()
  const current = shallowRef<{ id: Id; value: T } | null>(null)
  const isRead = ref(false)
  let isKept = false
  /** Logged here, and perhaps not written yet. */
  const over = new Set<Id>()
  let stop: () => void = () => undefined
  /** Counts what was done here: what is read meanwhile is old. */
  let done = 0

  const wholeOf = (row: { id: Id; value: unknown } | null): { id: Id; value: T } | null => {
    try {
      return row && !over.has(row.id) && isWhole(row.value as T) ? (row as { id: Id; value: T }) : null
    } catch (error) {
      report(`reading the ${name}`, error)
      return null
    }
  }

  async function read(store: BegunStore): Promise<void> {
    const before = done
    const row = await store.read(name).catch(() => undefined)
    if (store !== workspace.begun || before !== done) return
    isRead.value = true
    if (row === undefined) return
    current.value = wholeOf(row)
    isKept = current.value !== null
    if (!row) takeOld()
  }

  /** What an earlier version kept with the browser's preferences. */
  function takeOld(): void {
    const key = `dry-count:${name}:${workspace.space}`
    const storage = safeStorage()
    try {
      const text = storage.getItem(key)
      storage.removeItem(key)
      const value = text === null ? null : (JSON.parse(text) as T)
      if (value && isWhole(value)) begin(value)
    } catch {
      // It was none.
    }
  }

  watch(
    () => workspace.begun,
    (store) => {
      stop()
      current.value = null
      isKept = isRead.value = false
      if (!store) return
      stop = store.subscribe(() => void read(store))
      void read(store)
    },
    { immediate: true },
  )

  function keep(next: { id: Id; value: T }, isNew: boolean): void {
    done += 1
    current.value = next
    const store = workspace.begun
    const row = JSON.parse(JSON.stringify({ name, ...next })) as { name: BegunName; id: Id; value: unknown }
    store?.keep(row, isNew).then(
      (kept) => {
        if (store !== workspace.begun || current.value?.id !== next.id) return
        isKept = true
        // Another tab has ended it, or begun another.
        if (kept?.id !== next.id) current.value = wholeOf(kept)
      },
      // On a full disk it goes on as long as the page is open.
      () => undefined,
    )
  }

  function begin(value: T): void {
    isKept = false
    keep({ id: newId('entry'), value }, true)
  }

  function discard(): void {
    const { value: now } = current
    done += 1
    current.value = null
    if (now) void workspace.begun?.drop(name, now.id).catch(() => undefined)
  }

  return {
    current: computed(() => current.value?.value ?? null),
    isRead,
    begin,
    goOn: (value) => {
      if (current.value) keep({ id: current.value.id, value }, !isKept)
    },
    discard,
    ending: () => current.value && { name, id: current.value.id, isKept },
    ended: () => {
      done += 1
      if (current.value) over.add(current.value.id)
      current.value = null
    },
  }
}
