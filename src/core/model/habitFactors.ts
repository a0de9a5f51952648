import type { PartGrid } from '../calendar'
import type { Activity, Effect, Habit, Stay } from './document'

/** What the habits that are on make of one activity, per part of the grid. */
export interface PartFactors {
  /** Multiplies the uses. */
  rate: Float64Array
  /** L per use. */
  volume: Float64Array
}

interface ActiveEffect {
  effect: Effect
  days: [number, number] | null
}

/**
 * Effects in order: rates multiply the uses; at most one replacement of the volume applies, the first by habit id;
 * then all volume multipliers (model.md section 4).
 */
export function factorsOf(
  activity: Activity,
  stay: Stay,
  habits: readonly Habit[],
  grid: PartGrid,
): PartFactors {
  const active = effectsOn(activity, stay, habits)
  const rate = new Float64Array(grid.count).fill(1)
  const volume = new Float64Array(grid.count).fill(activity.volume.value)
  if (active.length === 0) return { rate, volume }
  for (let i = 0; i < grid.count; i++) {
    const now = active.filter(
      ({ days }) => days === null || (grid.day[i]! >= days[0] && grid.day[i]! <= days[1]),
    )
    const replacement = now.find(({ effect }) => effect.kind === 'replace')?.effect
    if (replacement?.kind === 'replace') volume[i] = replacement.volume.value
    for (const { effect } of now) {
      if (effect.kind === 'rate') rate[i]! *= effect.factor.value
      if (effect.kind === 'volume') volume[i]! *= effect.factor.value
    }
  }
  return { rate, volume }
}

/** The effects on one activity of the habits switched on, by habit id. */
function effectsOn(activity: Activity, stay: Stay, habits: readonly Habit[]): ActiveEffect[] {
  if (stay.habits.length === 0) return []
  return [...stay.habits]
    .sort((a, b) => (a.habit < b.habit ? -1 : 1))
    .flatMap(({ habit: id, days }) => {
      const effects = habits.find((habit) => habit.id === id)?.effects ?? []
      return effects.filter((effect) => effect.activity === activity.id).map((effect) => ({ effect, days }))
    })
}
