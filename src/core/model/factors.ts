import type { ActiveHabit } from './activeHabits'
import { volumePerUse, type Activity } from './crew'

/** What the habits that are on make of one activity, per part of the grid. */
export interface PartFactors {
  /** Multiplies the uses. */
  rate: Float64Array
  /** L per use. */
  volume: Float64Array
}

/**
 * Rates multiply the uses; at most one replacement of the volume applies, the first by habit id; then all volume
 * multipliers (model.md section 4). @param habits in the order of their ids @param count parts
 */
export function factorsOf(activity: Activity, habits: readonly ActiveHabit[], count: number): PartFactors {
  const rate = new Float64Array(count).fill(1)
  const volume = new Float64Array(count).fill(volumePerUse(activity))
  const effects = habits.flatMap(({ effects: all, active }) =>
    all.filter((effect) => effect.activity === activity.id).map((effect) => ({ effect, active })),
  )
  const isReplaced = new Uint8Array(count)
  for (const { effect, active } of effects)
    if (effect.kind === 'replace')
      for (let i = 0; i < count; i++)
        if (active[i] && !isReplaced[i]) {
          volume[i] = effect.volume.value
          isReplaced[i] = 1
        }
  for (const { effect, active } of effects) {
    if (effect.kind === 'rate') multiply(rate, active, effect.factor.value)
    if (effect.kind === 'volume') multiply(volume, active, effect.factor.value)
  }
  return { rate, volume }
}

function multiply(row: Float64Array, active: Uint8Array, factor: number): void {
  for (let i = 0; i < row.length; i++) if (active[i]) row[i]! *= factor
}
