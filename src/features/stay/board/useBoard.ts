import { computed } from 'vue'
import { addWallDays, dayAndPartOf, dayZero, nightsBetween, wallDaysBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { formatDate, formatShortDay } from '@/texts'
import { boardCells, boardX } from './boardShape'

/** What the board shows: its days, its containers' cells, and where the stop falls. Null without a stay. */
export function useBoard() {
  const forecast = useForecastStore()
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
      untilDays: wallDaysBetween(stay.start, stay.leaveAt),
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
          cells: boardCells(model, result, c, count),
        }))
        .filter(({ side }) => side !== 'carrier'),
      /** Days from 05:00 of day 0; null where the stop lies beyond the board. */
      stopX: stopX !== null && stopX < count ? stopX : null,
    }
  })
}
