import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue'
import { safeStorage } from './safeStorage'
import { useWorkspaceStore } from './workspaceStore'

interface Begun<T> {
  current: ComputedRef<T | null>
  /** @param next null: it is over */
  keep: (next: T | null) => void
}

/**
 * Something that was begun in this browser: it outlives a locked screen and a reload, belongs to no document, and the
 * demo's is not the owner's. To be called while a store is set up.
 * @param isWhole whether what was read is one; it may throw, as for what cannot be read at all
 */
export function useBegun<T extends object>(name: string, isWhole: (value: T) => boolean): Begun<T> {
  const workspace = useWorkspaceStore()
  const storage = safeStorage()
  const key = () => `dry-count:${name}:${workspace.space}`
  const kept: ShallowRef<T | null> = shallowRef(null)
  /** Which space it was read for. */
  let of = ''

  function read(): T | null {
    try {
      const text = storage.getItem(key())
      const value = text === null ? null : (JSON.parse(text) as T)
      return value && isWhole(value) ? value : null
    } catch {
      return null
    }
  }
  const current = computed(() => {
    if (of !== key()) {
      of = key()
      kept.value = read()
    }
    return kept.value
  })
  function keep(next: T | null): void {
    kept.value = next
    of = key()
    if (next) storage.setItem(key(), JSON.stringify(next))
    else storage.removeItem(key())
  }
  return { current, keep }
}
