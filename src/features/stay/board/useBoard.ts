import { computed } from 'vue'
import { addWallDays, dayAndPartOf, dayZero, nightsBetween, wallDaysBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { formatDate, formatShortDay } from '@/texts'
import { useUnderWayStore } from '@/data/underWayStore'
import { CONTRADICTS } from '@/core/learn'
import type { Count } from '@/core/count'
import type { Model } from '@/core/compile'
import type { Stay } from '@/core/domain'
import { boardCells, boardX, withLived, type BoardCell } from './boardShape'

/** What the board shows: its days, its containers' cells, and where the stop falls. Null without a stay. */
export function useBoard() {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  /** A container's days: those lived, and what is expected. */
  function cellsOf(model: Model, result: Count, c: number, count: number, stay: Stay): BoardCell[] {
    const cells = boardCells(model, result, c, count)
    const { learned, phase } = underWay
    if (!learned || phase !== 'under-way') return cells
    const { track, agreements } = learned
    const container = model.containers[c]!
    const marks = agreements
      .filter((one) => one.container === c)
      .map(({ at, read, likely }) => ({
        at,
        from: read.from / container.capacity,
        to: read.to / container.capacity,
        fits: likely >= CONTRADICTS,
      }))
    const levels = track.levels[c] ?? []
    const zeroDays = wallDaysBetween(dayZero(stay.start), stay.start)
    return withLived(cells, { at: track.at, levels }, container, zeroDays, marks)
  }
  return computed(() => {
    const { stay, model, result, crew, rig } = forecast
    if (!stay || !model || !result || !crew || !rig) return null
    const nights = nightsBetween(stay.start, stay.leaveAt)
    const count = Math.min(nights + 1, model.grid.day.at(-1)! + 1)
    const zero = dayZero(stay.start)
    const stopX = result.days === null ? null : boardX(model, result.days)
    return {
      stay,
      crew,
      untilDays: wallDaysBetween(model.start, stay.leaveAt),
      firstPart: dayAndPartOf(stay.start, stay.start).part,
      days: Array.from({ length: count }, (_, day) => ({
        day,
        label: formatDate(addWallDays(zero, day)),
        short: formatShortDay(addWallDays(zero, day)),
      })),
      rows: model.containers
        .map((container, c) => ({
          ...container,
          index: c,
          isStopper: container.id === result.stopper,
          cells: cellsOf(model, result, c, count, stay),
        }))
        .filter(({ side }) => side !== 'carrier'),
      /** Days from 05:00 of day 0; null where the stop lies beyond the board. */
      stopX: stopX !== null && stopX < count ? stopX : null,
    }
  })
}
