import type { ActiveHabit } from './activeHabits'
import { ownFactor, putInPerUse, tricklePerUse, type Activity, type Effect } from '../domain'

/** What the habits that are on make of one activity, per part of the grid. */
export interface PartFactors {
  /** Multiplies the uses. */
  rate: Float64Array
  /** L per use. */
  volume: Float64Array
}

/** An effect with the share of the uses it acts on in each part, 0 to 1. */
interface Acting {
  effect: Effect
  share: Float64Array
}

/**
 * Rates multiply the uses. Of the volume at most one replacement applies, the first by habit id; then what runs while the
 * water is paused is cut; then all volume multipliers (model.md section 4). A habit of some persons weighs by their share
 * of the uses; a second replacement gets the uses that the first leaves. What the crew was learned to take goes on all of it.
 * @param habits in the order of their ids @param count parts
 */
export function factorsOf(activity: Activity, habits: readonly ActiveHabit[], count: number): PartFactors {
  const acting = actingOn(activity, habits, count)
  const rate = new Float64Array(count).fill(1)
  for (const { effect, share } of acting)
    if (effect.kind === 'rate') multiply(rate, share, effect.factor.value)
  const volume =
    acting.length === 0
      ? new Float64Array(count).fill(putInPerUse(activity))
      : volumes(activity, acting, count)
  const own = ownFactor(activity)
  if (own !== 1) for (let i = 0; i < count; i++) volume[i]! *= own
  return { rate, volume }
}

function actingOn({ id }: Activity, habits: readonly ActiveHabit[], count: number): Acting[] {
  return habits.flatMap((habit) => {
    const effects = habit.effects.filter((effect) => effect.activity === id)
    if (effects.length === 0) return []
    const persons = habit.shareOf(id)
    const share = Float64Array.from({ length: count }, (_, i) => habit.active[i]! * (persons?.[i] ?? 1))
    return effects.map((effect) => ({ effect, share }))
  })
}

function volumes(activity: Activity, acting: readonly Acting[], count: number): Float64Array {
  const volume = new Float64Array(count)
  const trickle = new Float64Array(count)
  replaced(activity, acting, volume, trickle)
  const cut = Float64Array.from(trickle)
  for (const { effect, share } of acting)
    if (effect.kind === 'trickle') multiply(cut, share, effect.factor.value)
  for (let i = 0; i < count; i++) if (cut[i] !== trickle[i]) volume[i]! -= trickle[i]! - cut[i]!
  for (const { effect, share } of acting)
    if (effect.kind === 'volume') multiply(volume, share, effect.factor.value)
  return volume
}

/** Fills in the L per use with what replaces them, and what of it runs while the water is paused. */
function replaced(
  activity: Activity,
  acting: readonly Acting[],
  volume: Float64Array,
  trickle: Float64Array,
): void {
  const left = new Float64Array(volume.length).fill(1)
  for (const { effect, share } of acting) {
    if (effect.kind !== 'replace') continue
    for (let i = 0; i < left.length; i++) {
      const taken = share[i]! * left[i]!
      volume[i]! += taken * effect.volume.value
      trickle[i]! += taken * (effect.trickle?.value ?? 0)
      left[i]! -= taken
    }
  }
  const own = { volume: putInPerUse(activity), trickle: tricklePerUse(activity) }
  for (let i = 0; i < left.length; i++) {
    volume[i]! += left[i]! * own.volume
    trickle[i]! += left[i]! * own.trickle
  }
}

function multiply(row: Float64Array, share: Float64Array, factor: number): void {
  for (let i = 0; i < row.length; i++)
    if (share[i] === 1) row[i]! *= factor
    else if (share[i]! > 0) row[i]! *= 1 + share[i]! * (factor - 1)
}
