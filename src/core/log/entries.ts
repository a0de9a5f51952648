import type { WallTime } from '../calendar'
import type { Id } from '../domain'
import type { Amount, Litres } from '../quantities'
import type { LogEntry, OddEntry, RunEntry, RunTook, Saw, ShakedownEntry, TextEntry, UseEntry } from './entry'

// The catalogue of what can be logged: every entry is made by one of these. Who writes it adds id, rig, stay and UTC.

type Head = 'id' | 'revision' | 'isRemoved' | 'rig' | 'stay' | 'utc' | 'note'
/** What is logged, without what every entry has. */
export type Told<E = LogEntry> = E extends LogEntry ? Omit<E, Head> & { note?: string } : never
type At = WallTime

/** @param more whose it was, liters or minutes where they were metered or timed, and whether it was more than usual */
export function toldUse(
  at: At,
  activity: Id,
  n: number,
  more: Partial<Pick<UseEntry, 'person' | 'litres' | 'minutes' | 'isExtra'>> = {},
): Told {
  const { person = null, litres = null, minutes = null, isExtra = false } = more
  return { kind: 'use', at, activity, n, person, litres, minutes, ...(isExtra ? { isExtra } : {}) }
}

/** @param isOffLevel the rig was not level: no evidence */
export function toldReading(at: At, container: Id, saw: Saw, isOffLevel = false): Told {
  return { kind: 'reading', at, container, saw, isOffLevel }
}

export function toldRun(
  at: At,
  did: RunEntry['did'],
  more: { place?: Id | null; took?: RunTook; note?: string } = {},
): Told {
  const { place = null, ...rest } = more
  return { kind: 'run', at, did, place, ...rest }
}

/** What one tank was emptied of, filled with, or had put in or taken out. */
export function toldMove(
  at: At,
  container: Id,
  what: RunEntry['did'][0]['what'],
  litres: Litres | null,
): Told {
  return toldRun(at, [{ container, what, litres }])
}

/** @param amount in the product's unit */
export function toldDose(at: At, container: Id, product: Id, amount: Amount): Told {
  return { kind: 'dose', at, container, product, amount }
}

/** @param container whose level is unsure; null: of all of them */
export function toldOdd(at: At, from: WallTime, container: Id | null, why: OddEntry['why']): Told {
  return { kind: 'odd', at, from, container, why }
}

export function toldShakedown(at: At, did: ShakedownEntry['did']): Told {
  return { kind: 'shakedown', at, did }
}

export function toldText(
  at: At,
  kind: TextEntry['kind'],
  container: Id | null,
  more: { chore?: Id; note?: string } = {},
): Told {
  return { kind, at, container, ...more }
}

export const toldStart = (at: At, valvesShut: boolean): Told => ({ kind: 'start', at, valvesShut })
export const toldEnd = (at: At): Told => ({ kind: 'end', at })
