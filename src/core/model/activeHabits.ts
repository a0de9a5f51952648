import { PARTS, daylightParts, type PartGrid } from '../calendar'
import type { Effect, Habit, Vessel } from './habit'
import type { Id } from './ids'
import { warmestOf, type Stay } from './stay'

/** A habit that is on, with the parts of the grid in which it holds. */
export interface ActiveHabit {
  id: Id
  effects: Effect[]
  vessel: Vessel | null
  /** 1 where it holds, 0 where not. */
  active: Uint8Array
}

/** The habits of a stay that are on, by habit id: the order in which their effects apply (model.md section 4). */
export function activeHabits(stay: Stay, habits: readonly Habit[], grid: PartGrid): ActiveHabit[] {
  const isLight = daylightParts(stay.weather.sunrise, stay.weather.sunset)
  return [...stay.habits]
    .sort((a, b) => (a.habit < b.habit ? -1 : 1))
    .flatMap(({ habit: id, days }) => {
      const habit = habits.find((candidate) => candidate.id === id)
      if (!habit) return []
      const active = new Uint8Array(grid.count)
      for (let i = 0; i < grid.count; i++)
        active[i] = isOnDay(grid.day[i]!, days) && holds(habit, stay, grid, i, isLight) ? 1 : 0
      return [{ id, effects: habit.effects, vessel: habit.vessel, active }]
    })
}

function isOnDay(day: number, days: [number, number] | null): boolean {
  return days === null || (day >= days[0] && day <= days[1])
}

function holds({ when }: Habit, stay: Stay, grid: PartGrid, i: number, isLight: readonly boolean[]): boolean {
  const part = grid.part[i]!
  if (when.parts && !when.parts.includes(PARTS[part]!)) return false
  if (when.daylight && !isLight[part]) return false
  return when.lowest === null || warmestOf(stay, grid.day[i]!) >= when.lowest.value
}
