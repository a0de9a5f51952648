import { addWallDays, type WallTime } from '@/core/calendar'
import type { Count } from '@/core/count'
import type { Model } from '@/core/compile'
import type { LevelFan } from '@/core/risk'

/** One container's level at the start and at every part end, as a share of its capacity in percent. */
export interface LevelSeries {
  id: string
  name: string
  side: 'supply' | 'waste' | 'carrier'
  isStopper: boolean
  times: WallTime[]
  percent: number[]
  /** What it is at least and at most in eight of ten trips, from the first part's end; null: not known yet. */
  fan: { low: number[]; high: number[] } | null
  limitPercent: number | null
}

/** @param untilDays days from the start to show @param fans of the same stay, in the model's order, or none */
export function levelSeries(
  model: Model,
  counted: Count,
  untilDays: number,
  fans: readonly LevelFan[] = [],
): LevelSeries[] {
  const { count, edges } = model.grid
  const shown = Array.from({ length: count }, (_, i) => i).filter((i) => edges[i]! < untilDays)
  const times = [model.start, ...shown.map((i) => addWallDays(model.start, edges[i + 1]!))]
  return model.containers
    .map(({ id, name, side, start, limit, capacity }, c): LevelSeries => {
      const percent = (level: number) => (100 * level) / capacity
      const fan = fans.find(({ container }) => container === id)
      const isWhole = fan !== undefined && fan.low.length >= shown.length
      return {
        id,
        name,
        side,
        isStopper: id === counted.stopper,
        times,
        percent: [start, ...shown.map((i) => counted.ledger.levels[c * count + i]!)].map(percent),
        fan: isWhole
          ? { low: shown.map((i) => percent(fan.low[i]!)), high: shown.map((i) => percent(fan.high[i]!)) }
          : null,
        limitPercent: limit === null ? null : percent(limit),
      }
    })
    .filter(({ side }) => side !== 'carrier')
}
