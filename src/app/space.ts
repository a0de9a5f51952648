import { DATABASE_NAMES, type Space } from '@/data/storage/database'

const KEY = 'dry-count:space'

/** Whose data is shown: what was chosen before, else the demo where the page asks for it, else the owner's. */
export function chosenSpace(): Space {
  const stored = localStorage.getItem(KEY)
  if (stored !== null && stored in DATABASE_NAMES) return stored as Space
  const asked = isDemoAsked()
  if (asked) localStorage.setItem(KEY, 'demo')
  return asked ? 'demo' : 'mine'
}

function isDemoAsked(): boolean {
  return document.documentElement.dataset.start === 'demo' || new URLSearchParams(location.search).has('demo')
}

/** Shows the other data from now on; the page starts afresh with it. */
export function switchSpace(space: Space): void {
  localStorage.setItem(KEY, space)
  const url = new URL(location.href)
  url.search = ''
  url.hash = '#/'
  location.replace(url)
  if (url.href === location.href) location.reload()
}
