import type { WallTime } from '../calendar'
import type { Amount, Litres } from '../quantities'
import type { Id } from './ids'

/**
 * A stay under way, looked at from inside it (model.md section 2): when, and what stands where. What it is derived from
 * (the ledger up to then, or what was logged and read) is not its business.
 */
export interface Now {
  /** Wall time, not before the start of the stay. */
  at: WallTime
  /** What each of the model's containers holds, the heater's water included. */
  levels: { container: Id; level: Amount }[]
  /** What the vessels hold. Of a habit that is not named here: nothing. */
  vessels: VesselContent[]
  /** Of black tanks, since they were last emptied; of one that is not named here: its level, and no solids. */
  onSolids: (OnSolids & { container: Id })[]
  /** What is left of today's uses, where something of them is known: they are times this. Not there: nothing is. */
  today?: { activity: Id; factor: number }[]
  /** What is not known of it, drawn together; null: all of it stands as it is given. */
  draws: JointDraws | null
}

/** What a stay takes over from the one it follows, at its start (model.md section 1, chain). */
export type Passed = Pick<Now, 'levels' | 'vessels' | 'onSolids' | 'draws'>

/**
 * Joint draws of a stay's unknowns, a row a draw; trip i takes row i mod `rows`. Columns: own factor of each activity, rate
 * factor of each, capacity over the one given of each container, level of each (L, uses), in the model's order.
 */
export interface JointDraws {
  rows: number
  columns: number
  values: Float64Array
}

export interface VesselContent {
  habit: Id
  /** L */
  content: Litres
  /** L from each donor since it was last emptied, in the model's order. */
  given: Litres[]
}

/** What the flush floor counts: the liquid on the solids, and their uses. */
export interface OnSolids {
  liquid: Litres
  uses: number
}
