import { addWallDays, type WallTime } from '@/core/calendar'
import { type Count } from '@/core/count'
import type { Model } from '@/core/model'

/** One container's level at the start and at every part end, as a share of its capacity in percent. */
export interface LevelSeries {
  id: string
  name: string
  side: 'supply' | 'waste' | 'carrier'
  isStopper: boolean
  times: WallTime[]
  percent: number[]
  limitPercent: number | null
}

/** @param untilDays days from the start to show */
export function levelSeries(model: Model, counted: Count, untilDays: number): LevelSeries[] {
  const { count, edges } = model.grid
  const shown = Array.from({ length: count }, (_, i) => i).filter((i) => edges[i]! < untilDays)
  const times = [model.start, ...shown.map((i) => addWallDays(model.start, edges[i + 1]!))]
  return model.containers
    .map(({ id, name, side, start, limit, capacity }, c): LevelSeries => ({
      id,
      name,
      side,
      isStopper: id === counted.stopper,
      times,
      percent: [start, ...shown.map((i) => counted.ledger.levels[c * count + i]!)].map(
        (level) => (100 * level) / capacity,
      ),
      limitPercent: limit === null ? null : (100 * limit) / capacity,
    }))
    .filter(({ side }) => side !== 'carrier')
}
