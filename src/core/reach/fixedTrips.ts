import { withHabits } from '../habits'
import { compile, compileChances } from '../compile'
import type { StayCase } from '../domain'
import { playTrips, samplerOf, type RiskTables } from '../risk'
import type { Days } from '../quantities'

/** Trips that stand behind each fixed one. */
const BEHIND = 20

/** Which trips a search tries its sets on, and whose. */
export interface FixedTrips {
  seed: number
  /** Their numbers, rising. */
  numbers: readonly number[]
}

/**
 * A few trips that stand for twenty times as many: those are played without any habit and put in order of their days, and of
 * each twenty neighbours the middle one is taken. So what holds without a habit on the few is what holds on the many, and
 * what habits make of it is near, since a trip's luck is the same with and without them.
 * @param trips how many, from 1
 */
export function fixedTrips(
  stayCase: StayCase,
  { seed, trips, horizonDays, tables }: FixedOptions,
): FixedTrips {
  const bare = withHabits(stayCase, [])
  const model = compile(bare, { horizonDays })
  const sampler = samplerOf(model, compileChances(bare, model), { tables })
  const { days } = playTrips(sampler, tables.luck(seed, 0, trips * BEHIND))
  const order = [...days.keys()].sort((a, b) => (days[a] === days[b] ? a - b : days[a]! - days[b]!))
  const numbers = Array.from({ length: trips }, (_, k) => order[k * BEHIND + BEHIND / 2]!)
  return { seed, numbers: numbers.sort((a, b) => a - b) }
}

export interface FixedOptions {
  seed: number
  trips: number
  horizonDays: Days
  tables: RiskTables
}

/** The luck of fixed trips, in their order. */
export function luckOf({ seed, numbers }: FixedTrips, { luck }: RiskTables) {
  const all = luck(seed, 0, Math.max(...numbers) + 1)
  return numbers.map((number) => all[number]!)
}
