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
