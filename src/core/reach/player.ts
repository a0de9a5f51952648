import { withHabits } from '../habits'
import { compile, compileChances } from '../compile'
import type { Id, StayCase } from '../domain'
import { asCount, chanceToLast, playTrips, quantileSorted, samplerOf, TRIALS, type RiskTables } from '../risk'
import { luckOf, type FixedTrips } from './fixedTrips'
import type { Days } from '../quantities'

/** Trips of a set of habits from the sampler itself: the search only has to find sets, not to vouch for them. */
export function playerOf(stayCase: StayCase, horizonDays: Days, fixed: FixedTrips, tables: RiskTables) {
  const ends = (habits: readonly Id[], onAll = false) => {
    const changed = withHabits(stayCase, habits)
    const model = compile(changed, { horizonDays })
    const sampler = samplerOf(model, compileChances(changed, model), { tables })
    if (onAll) return { model, ...playTrips(sampler, tables.luck(fixed.seed, 0, TRIALS)) }
    return { model, ...playTrips(sampler, luckOf(fixed, tables), null, null, fixed.numbers) }
  }
  return {
    quantile(habits: readonly Id[], allowed: number) {
      const { days } = ends(habits)
      return asCount(quantileSorted(days.sort(), (allowed + 0.5) / days.length), horizonDays)
    },
    /** @param onAll of all trips, or of the fixed ones */
    chance: (habits: readonly Id[], days: Days, onAll = true) => chanceToLast(ends(habits, onAll).days, days),
    stopper(habits: readonly Id[]): Id | null {
      const { model, stopper } = ends(habits)
      const stops = model.containers.map((_, c) => stopper.reduce((sum, s) => sum + (s === c ? 1 : 0), 0))
      const most = Math.max(...stops)
      return most === 0 ? null : model.containers[stops.indexOf(most)]!.id
    },
  }
}

export type Player = ReturnType<typeof playerOf>
