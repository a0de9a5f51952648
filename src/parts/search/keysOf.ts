import type { Key } from '@/parts/log/keys'
import * as t from '@/texts/t'

export interface KeyLine {
  keys: string
  does: string
}

/** Keys that do the same on every screen. */
export function keysEverywhere(): KeyLine[] {
  return [
    { keys: '?', does: t.search.keys.keys },
    { keys: 'Ctrl K', does: t.search.keys.find },
    { keys: 'Ctrl Z', does: t.search.keys.undo },
    { keys: 'Ctrl Shift Z', does: t.search.keys.redo },
  ]
}

/** Keys of a screen, by its route. @param logKeys those that log, where the stay is under way */
export function keysOf(route: string, logKeys: readonly Key[]): KeyLine[] {
  if (route === 'camp' || route === 'log') {
    const letters = logKeys.flatMap(({ letter, activity }) =>
      letter === '' ? [] : [{ keys: letter, does: t.search.keys.log(activity.name) }],
    )
    if (letters.length === 0) return []
    return [
      ...letters,
      { keys: 'p', does: t.search.keys.panel },
      { keys: 'e', does: t.search.keys.other },
      { keys: '1 … 9', does: t.search.keys.many },
      { keys: 'Shift', does: t.search.keys.ask },
    ]
  }
  if (route === 'stay' || route === 'runs')
    return [
      { keys: '← → ↑ ↓', does: t.search.keys.arrows },
      { keys: 'Enter', does: t.search.keys.enter },
    ]
  if (route === 'walk') return [{ keys: 'Enter', does: t.search.keys.walk }]
  if (route === 'shower')
    return [
      { keys: 'Enter', does: t.search.keys.timer },
      { keys: 'Enter', does: t.search.keys.timerEnd },
    ]
  return []
}
