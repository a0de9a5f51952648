import { customStorageEventName } from '@vueuse/core'

/**
 * This browser's small store of preferences, or a stand-in for as long as the page is open where the browser forbids it;
 * what no longer fits into it is kept in the stand-in.
 */
export function safeStorage(): Storage {
  let real: Storage | null = null
  try {
    real = window.localStorage
    real.getItem('')
  } catch {
    real = null
  }
  const own = new Map<string, string>()
  const storage: Storage = {
    get length() {
      return new Set([...keysOf(real), ...own.keys()]).size
    },
    key: (index) => [...new Set([...keysOf(real), ...own.keys()])][index] ?? null,
    getItem: (key) => own.get(key) ?? real?.getItem(key) ?? null,
    setItem(key, value) {
      try {
        if (!real) throw new Error('forbidden')
        real.setItem(key, value)
        own.delete(key)
      } catch {
        own.set(key, value)
      }
    },
    removeItem(key) {
      own.delete(key)
      real?.removeItem(key)
    },
    clear() {
      own.clear()
      real?.clear()
    },
  }
  followOtherTabs(storage)
  return storage
}

/** What another tab put into the browser's own store is told to those who listen to this one. */
function followOtherTabs(storageArea: Storage): void {
  if (typeof window === 'undefined') return
  window.addEventListener('storage', ({ key, oldValue, newValue }) => {
    const detail = { key, oldValue, newValue, storageArea }
    window.dispatchEvent(new CustomEvent(customStorageEventName, { detail }))
  })
}

/** Whether what is put into it outlasts the page. */
export function outlasts(storage: Storage): boolean {
  const key = 'dry-count:try'
  storage.setItem(key, '1')
  try {
    return window.localStorage.getItem(key) === '1'
  } catch {
    return false
  } finally {
    storage.removeItem(key)
  }
}

function keysOf(storage: Storage | null): string[] {
  return storage ? Array.from({ length: storage.length }, (_, index) => storage.key(index)!) : []
}
