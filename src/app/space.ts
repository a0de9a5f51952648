import { DATABASE_NAMES, type Space } from '@/data/storage/database'
import { outlasts, safeStorage } from '@/data/safeStorage'

const KEY = 'dry-count:space'

/** Whether nothing of Dry Count was ever shown in this browser, as far as it remembers. */
export const isFirstVisit = (): boolean => safeStorage().getItem(KEY) === null

/**
 * Whose data is shown: what the address says, else what was chosen before, else the demo where the page asks for it, else
 * the owner's.
 */
export function chosenSpace(): Space {
  const storage = safeStorage()
  const said = new URLSearchParams(location.search)
  const asked = (Object.keys(DATABASE_NAMES) as Space[]).find((space) => said.has(space))
  if (asked) return asked
  const stored = storage.getItem(KEY)
  if (stored !== null && stored in DATABASE_NAMES) return stored as Space
  if (document.documentElement.dataset.start !== 'demo') return 'mine'
  storage.setItem(KEY, 'demo')
  return 'demo'
}

/** Shows the other data from now on; the page starts afresh with it. */
export function switchSpace(space: Space): void {
  const storage = safeStorage()
  storage.setItem(KEY, space)
  const url = new URL(location.href)
  url.search = outlasts(storage) ? '' : `?${space}`
  url.hash = '#/'
  location.replace(url)
  if (url.href === location.href) location.reload()
}
