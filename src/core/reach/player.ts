import { withHabits } from '../habits'
import { compile, compileChances, type Id, type StayCase } from '../model'
import { asCount, chanceToLast, playTrips, quantileSorted, samplerOf, TRIALS, type RiskTables } from '../risk'
import type { Days } from '../quantities'

/** Trips of a set of habits from the sampler itself: the search only has to find sets, not to vouch for them. */
export function playerOf(stayCase: StayCase, horizonDays: Days, seed: number, tables: RiskTables) {
  const ends = (habits: readonly Id[], trips: number) => {
    const changed = withHabits(stayCase, habits)
    const model = compile(changed, { horizonDays })
    const sampler = samplerOf(model, compileChances(changed, model), { tables })
    return { model, ...playTrips(sampler, tables.luck(seed, 0, trips)) }
  }
  return {
    quantile(habits: readonly Id[], trips: number, allowed: number) {
      const { days } = ends(habits, trips)
      return asCount(quantileSorted(days.sort(), (allowed + 0.5) / trips), horizonDays)
    },
    chance: (habits: readonly Id[], days: Days) => chanceToLast(ends(habits, TRIALS).days, days),
    stopper(habits: readonly Id[], trips: number): Id | null {
      const { model, stopper } = ends(habits, trips)
      const stops = model.containers.map((_, c) => stopper.reduce((sum, s) => sum + (s === c ? 1 : 0), 0))
      const most = Math.max(...stops)
      return most === 0 ? null : model.containers[stops.indexOf(most)]!.id
    },
  }
}

export type Player = ReturnType<typeof playerOf>
