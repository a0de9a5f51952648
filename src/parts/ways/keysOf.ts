import type { Key } from '@/parts/log/keys'
import * as t from '@/texts/t'

export interface KeyLine {
  keys: string
  does: string
}

/** Keys that do the same on every screen. */
export function keysEverywhere(): KeyLine[] {
  return [
    { keys: '?', does: t.ways.keys.keys },
    { keys: 'Ctrl K', does: t.ways.keys.find },
    { keys: 'Ctrl Z', does: t.ways.keys.undo },
    { keys: 'Ctrl Shift Z', does: t.ways.keys.redo },
  ]
}

/** Keys of a screen, by its route. @param logKeys those that log, where the stay is under way */
export function keysOf(route: string, logKeys: readonly Key[]): KeyLine[] {
  if (route === 'camp' || route === 'log') {
    const letters = logKeys.flatMap(({ letter, activity }) =>
      letter === '' ? [] : [{ keys: letter, does: t.ways.keys.log(activity.name) }],
    )
    if (letters.length === 0) return []
    return [
      ...letters,
      { keys: 'p', does: t.ways.keys.panel },
      { keys: 'e', does: t.ways.keys.other },
      { keys: '1 … 9', does: t.ways.keys.many },
      { keys: 'Shift', does: t.ways.keys.ask },
    ]
  }
  if (route === 'stay' || route === 'runs')
    return [
      { keys: '← → ↑ ↓', does: t.ways.keys.arrows },
      { keys: 'Enter', does: t.ways.keys.enter },
    ]
  if (route === 'walk') return [{ keys: 'Enter', does: t.ways.keys.walk }]
  if (route === 'shower')
    return [
      { keys: 'Enter', does: t.ways.keys.timer },
      { keys: 'Enter', does: t.ways.keys.timerEnd },
    ]
  return []
}
