import { DATABASE_NAMES, type Space } from '@/data/storage/database'
import { isText, keptValue } from '@/data/keptValue'
import { outlasts, safeStorage } from '@/data/safeStorage'

const kept = () =>
  keptValue<Space | null>({
    ...{ key: 'dry-count:space', version: 1, first: null },
    isWhole: (value) => isText(value) && value in DATABASE_NAMES,
  })

/** Whether nothing of Dry Count was ever shown in this browser, as far as it remembers. */
export const isFirstVisit = (): boolean => kept().read() === null

/**
 * Whose data is shown: what the address says, else what was chosen before, else the demo where the page asks for it, else
 * the owner's.
 */
export function chosenSpace(): Space {
  const said = new URLSearchParams(location.search)
  const asked = (Object.keys(DATABASE_NAMES) as Space[]).find((space) => said.has(space))
  if (asked) return asked
  const stored = kept().read()
  if (stored !== null) return stored
  if (document.documentElement.dataset.start !== 'demo') return 'mine'
  kept().write('demo')
  return 'demo'
}

/** Shows the other data from now on; the page starts again with it. */
export function switchSpace(space: Space): void {
  const storage = safeStorage()
  kept().write(space)
  const url = new URL(location.href)
  url.search = outlasts(storage) ? '' : `?${space}`
  url.hash = '#/'
  location.replace(url)
  if (url.href === location.href) location.reload()
}
