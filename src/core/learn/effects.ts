import { addedPerUse, drawnPerUse } from '../compile'
import type { Ledger } from '../count'
import type { Model } from '../compile'

/** What one use of each activity does to each container in each part: rows activity × part, columns containers. */
export interface Effects {
  /** L (uses) by the water it draws, at the litres of a mean use; signed. */
  drawn: Float64Array
  /** L (uses) added whatever it draws; signed. */
  fixed: Float64Array
  /** Columns. */
  width: number
}

/**
 * Effects of a compiled stay. Where a vessel passes water on, what it takes and gives is shared over the uses of the part
 * as the ledger has it.
 */
export function effectsOf(model: Model, ledger: Ledger): Effects {
  const { streams, grid, containers, activities, volume, uses, vessels } = model
  const width = containers.length
  const rows = activities.length * grid.count
  const [drawn, fixed] = [new Float64Array(rows * width), new Float64Array(rows * width)]
  streams.forEach((stream, s) => {
    const { activity, from, to } = stream
    for (let i = 0; i < grid.count; i++) {
      const row = activity * grid.count + i
      const added = stream.isOfVessel ? 0 : addedPerUse(stream, i)
      const n = uses[row]!
      const byLedger = vessels.length > 0 && n > 0
      const flow = byLedger
        ? ledger.amounts[s * grid.count + i]! / n - added
        : stream.isOfVessel
          ? 0
          : drawnPerUse(stream, volume[row]!, i)
      for (const [end, sign] of [
        [to, 1],
        [from, -1],
      ] as const) {
        if (end < 0) continue
        drawn[row * width + end]! += sign * flow
        fixed[row * width + end]! += sign * added
      }
    }
  })
  return { drawn, fixed, width }
}
