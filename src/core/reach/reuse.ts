import { drawnPerUse } from '../compile'
import { vesselsAtStart, playVesselsPart } from '../count'
import type { Model } from '../compile'
import type { Habit, StreamIndex } from '../domain'
import type { Days } from '../quantities'
import { levelSigns, tappedStreams } from '../risk'
import { rateHabits, type TripTable } from './tripTable'

/** A stream that a vessel takes from or gives to: litres = weight of the part × litres drawn over those of one mean use. */
interface Tapped {
  stream: StreamIndex
  sums: Float64Array
  weights: Float64Array
}

/**
 * What the vessels of a set hold back in one trip up to an instant, by limited container: the streams they touch played
 * part by part, after less before. L, mostly <= 0.
 */
export function reuseOf(
  table: TripTable,
  habits: readonly Habit[],
  days: Days,
): (trip: number, change: Float64Array) => void {
  const model = table.compileWith(habits.map(({ id }) => id))
  const { grid } = model
  const tapped = tappedOf(table, model, habits)
  const moving = [...new Set([...tapped.map(({ stream }) => stream), ...vesselStreams(model)])]
  const effects = moving.map((s) => effectOn(table, model, s))
  const amounts = new Float64Array(model.streams.length)
  const moved = new Float64Array(moving.length)
  return (trip, change) => {
    const states = vesselsAtStart(model)
    moved.fill(0)
    for (let i = 0; i < grid.count && grid.edges[i]! < days; i++) {
      const share = Math.min(1, (days - grid.edges[i]!) / (grid.edges[i + 1]! - grid.edges[i]!))
      const at = trip * (grid.count + 1) + i
      for (let m = 0; m < moving.length; m++) amounts[moving[m]!] = 0
      for (let n = 0; n < tapped.length; n++) {
        const { stream, sums, weights } = tapped[n]!
        amounts[stream] = weights[i]! * (sums[at + 1]! - sums[at]!)
        moved[n]! -= share * amounts[stream]
      }
      playVesselsPart(model, states, i, amounts, 0, 1)
      for (let m = 0; m < moving.length; m++) moved[m]! += share * amounts[moving[m]!]!
    }
    change.fill(0)
    for (let m = 0; m < moving.length; m++)
      for (let k = 0; k < change.length; k++) change[k]! += effects[m]![k]! * moved[m]!
  }
}

function tappedOf(table: TripTable, model: Model, habits: readonly Habit[]): Tapped[] {
  const { streams, volume, grid, activities } = model
  return tappedStreams(model)
    .filter((s) => !streams[s]!.isOfVessel)
    .map((stream): Tapped => {
      const along = streams[stream]!
      const { activity } = along
      return {
        stream,
        sums: table.drawnOf(activity, rateHabits(habits, activities[activity]!.id)).sums,
        weights: Float64Array.from({ length: grid.count }, (_, i) =>
          drawnPerUse(along, volume[activity * grid.count + i]!, i),
        ),
      }
    })
}

function vesselStreams({ vessels }: Model): number[] {
  return vessels.flatMap(({ donors, recipients }) => [
    ...donors.flatMap(({ caught, emptied }) => [caught, emptied]),
    ...recipients.map(({ reused }) => reused),
  ])
}

/** What a litre of a stream does to each limited container: 1 nearer its limit, −1 farther. */
function effectOn({ limited }: TripTable, model: Model, stream: StreamIndex): number[] {
  const width = model.containers.length
  const signs = levelSigns(model, width)
  return limited.map(
    (c) => (model.containers[c]!.side === 'supply' ? -1 : 1) * signs[stream * width + c]! || 0,
  )
}
