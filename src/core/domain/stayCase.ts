import type { WallTime } from '../calendar'
import type { Crew } from './crew'
import type { Document } from './document'
import type { Habit } from './habit'
import { found, type Id } from './ids'
import type { Now, Passed } from './now'
import type { Hours } from './openTimes'
import type { Rig } from './rig'
import type { Stay } from './stay'

/** The stay before, when it is left and until when its road may last: trips go on where its trips end. */
export interface Follows {
  before: StayCase
  leftAt: WallTime
  until: WallTime
}

/**
 * Everything one computation needs and nothing else: what `compile` takes and what workers are sent. Its cost does not
 * grow with the other stays, rigs and crews of a document.
 */
export interface StayCase {
  stay: Stay
  rig: Rig
  crew: Crew
  /** The catalogue: those that are on, and those that could be. */
  habits: Habit[]
  /** Under way: everything starts there, and rests on what is known by then. Not there: at the start of the stay. */
  now?: Now
  /** Planned after another stay: what that leaves, in place of the starting levels. Not there: it starts by itself. */
  passed?: Passed & { from: Follows }
  /** When its places are open, as far as it is read; the count asks nothing of it. */
  hours?: Hours
}

/** The same from its start: what is known of a stay under way left aside. */
export function fromItsStart(stayCase: StayCase): StayCase {
  const planned = { ...stayCase }
  delete planned.now
  return planned
}

/**
 * A stay with what it refers to, the document's own objects.
 * @throws RangeError where a reference of the stay does not resolve: a broken contract, not a user's mistake
 */
export function caseOf({ stays, rigs, crews, habits }: Document, stayId: Id): StayCase {
  const stay = found(stays, stayId, 'stay')
  return { stay, rig: found(rigs, stay.rig, 'rig'), crew: found(crews, stay.crew, 'crew'), habits }
}
