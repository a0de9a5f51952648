import { roadRuns } from '../chain'
import type { Model } from '../compile'
import type { StayCase } from '../domain'
import { whole, type Steps } from '../slices'
import { endDraws } from './endDraws'
import type { RiskTables } from './tables'

/** How many stays come before it in its chain. */
export function chainDepth({ passed }: StayCase): number {
  return passed ? 1 + chainDepth(passed.from.before) : 0
}

/**
 * The luck of a stay in a chain: another than that of the stay before, or its days would repeat that one's; the same no matter who
 * asks.
 */
export function chainSeed(stayCase: StayCase, seed: number): number {
  return seed + chainDepth(stayCase)
}

/**
 * A stay whose trips go on where those of the stay before it end: trip i with trip i's levels, own factors and capacities. One
 * that follows none is the same case. Where rig or crew are others there, only levels pass on.
 */
export function* withPassedTrips(
  stayCase: StayCase,
  options: { seed: number; trials: number; tables: RiskTables },
): Steps<StayCase> {
  const { passed, rig, crew } = stayCase
  if (!passed || passed.draws) return stayCase
  const { before, leftAt, until } = passed.from
  if (before.rig.id !== rig.id || before.crew.id !== crew.id) return stayCase
  const known: StayCase = yield* withPassedTrips(before, options)
  const seed = chainSeed(before, options.seed)
  const road = (containers: Model['containers']) => roadRuns(before, { containers }, leftAt, until)
  const draws = yield* endDraws(known, { ...options, leftAt, road, seed })
  return { ...stayCase, passed: { ...passed, draws, from: { before: known, leftAt, until } } }
}

/** The same at once. */
export function passedTrips(
  stayCase: StayCase,
  options: { seed: number; trials: number; tables: RiskTables },
): StayCase {
  return whole(withPassedTrips(stayCase, options))
}
