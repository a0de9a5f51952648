import { wallDaysBetween, type WallTime } from '../calendar'
import { ledger, stateAt } from '../count'
import { compile } from '../compile'
import type { Follows, Passed, StayCase } from '../model'

/** A stay is looked at a little beyond its end, so that the part it is left in is there with its runs. */
const BEYOND_D = 1e-3

/**
 * What a stay leaves to the one that follows it (model.md section 1): its levels, vessels and what stands on the solids when
 * it is left, after the runs on the road. One that begins earlier takes over what there is by then.
 */
export function passedOn(before: StayCase, start: WallTime): Passed & { from: Follows } {
  const { leaveAt } = before.stay
  const begins = before.now?.at ?? before.stay.start
  const planned = start < leaveAt ? start : leaveAt
  const leftAt = planned > begins ? planned : begins
  const model = compile(before, { horizonDays: wallDaysBetween(begins, leftAt) + BEYOND_D })
  const { levels, vessels, onSolids } = stateAt(model, ledger(model), leftAt)
  return { levels, vessels, onSolids, draws: null, from: { before, leftAt } }
}
