import type { WallTime } from '../calendar'
import { standing, type LogEntry } from '../log'
import type { Id } from '../model'

/** Where a guided count stands: not begun, counting, at rest for some days, or done. */
export interface Shakedown {
  state: 'none' | 'counting' | 'resting' | 'ended'
  /** When that began; null: not begun. */
  since: WallTime | null
}

const STATES = { begun: 'counting', rested: 'resting', 'taken-up': 'counting', ended: 'ended' } as const

/** @param log any entries */
export function shakedownOf(stay: Id, log: readonly LogEntry[]): Shakedown {
  const last = standing(log).findLast((entry) => entry.kind === 'shakedown' && entry.stay === stay)
  return last?.kind === 'shakedown'
    ? { state: STATES[last.did], since: last.at }
    : { state: 'none', since: null }
}

/** A day's draw known to within this share is enough to plan on: what is left is less than the luck of a week. */
export const ENOUGH = 0.1
