import { onScopeDispose, watch, type InjectionKey } from 'vue'

/**
 * Back closes the sheet on top, and nothing else. An open sheet has an entry of its own in the history of the browser; one that
 * was closed by its button leaves that entry behind as spent, and the next Back passes over it.
 */
type Mark = 'open' | 'spent' | null
interface Entry {
  href: string
  position: unknown
  mark: Mark
}
interface HistoryState {
  position?: unknown
  sheet?: Mark
}

/** What the application does before an owner's closing of a sheet. */
export const BEFORE_CLOSE: InjectionKey<() => void> = Symbol('before close')

const sheets: (() => void)[] = []
let entry: Entry = entryNow()

/** @param request what the button that closes it does; it may ask first and leave it open */
export function useBackCloses(isOpen: () => boolean, request: () => void): void {
  watch(isOpen, (opens) => (opens ? begin(request) : end(request)), { immediate: true })
  onScopeDispose(() => end(request))
}

/** Asked for before the router listens, so that Back is heard here first. */
export function listenForBack(): void {
  window.addEventListener('popstate', goneBack)
}

/** Told by the router after it has moved: what its entry says is where Back goes on from. */
export function noteEntry(): void {
  entry = entryNow()
}

function entryNow(): Entry {
  const { position, sheet } = (history.state ?? {}) as HistoryState
  // After a reload no sheet is open.
  const mark = sheet ? (sheets.length > 0 ? sheet : 'spent') : null
  return { href: location.href, position, mark }
}

function begin(request: () => void): void {
  sheets.push(request)
  ensureEntry()
}

function end(request: () => void): void {
  const at = sheets.lastIndexOf(request)
  if (at < 0) return
  sheets.splice(at, 1)
  if (sheets.length === 0 && (history.state as HistoryState | null)?.sheet === 'open') markAs('spent')
}

function ensureEntry(): void {
  const mark = (history.state as HistoryState | null)?.sheet
  if (mark === 'spent') markAs('open')
  else if (!mark) history.pushState({ ...(history.state as object | null), sheet: 'open' }, '')
  noteEntry()
}

function markAs(sheet: Mark): void {
  history.replaceState({ ...(history.state as object | null), sheet }, '')
  noteEntry()
}

/** Before the router hears of it: for it nothing has happened. */
function goneBack(event: PopStateEvent): void {
  const before = entry
  noteEntry()
  if (entry.href !== before.href || entry.position !== before.position) return
  const top = sheets.at(-1)
  if (top) {
    event.stopImmediatePropagation()
    top()
    // One that asks first, or another below it, is still there.
    setTimeout(() => sheets.length > 0 && ensureEntry())
  } else if (before.mark !== null && entry.mark === null) {
    event.stopImmediatePropagation()
    history.back()
  }
}
