import type { Cv } from '../quantities'
import { compoundTables, type CompoundTables } from './compound'
import { edgesOf, lognormalSlices, normalSlices, type Slices } from './slices'
import { keptLuck, type TripLuck } from './luck'

/** Slices of what is drawn once a trip, and of the litres of a known number of uses. */
export const TRIP_SLICES = 2048
export const SUM_SLICES = 512

/** Litres of n uses together over those of one: lognormal, mean n, CV cv/√n. */
export type SumsTable = (n: number) => Slices

/** What depends on coefficients of variation and the seed alone; built when first needed and kept from stay to stay. */
export interface RiskTables {
  /** Standard normal. */
  normal: Slices
  /** Mean 1. */
  trip: (cv: Cv) => Slices
  compound: (cv: Cv) => CompoundTables
  sums: (cv: Cv) => SumsTable
  luck: TripLuck
}

export function riskTables(): RiskTables {
  const [tripEdges, sumEdges] = [edgesOf(TRIP_SLICES), edgesOf(SUM_SLICES)]
  return {
    normal: normalSlices(tripEdges),
    trip: once((cv) => lognormalSlices(1, cv, tripEdges)),
    compound: once(compoundTables),
    sums: once((cv) => once((n) => lognormalSlices(n, n === 0 ? 0 : cv / Math.sqrt(n), sumEdges))),
    luck: keptLuck(),
  }
}

function once<T>(build: (key: number) => T): (key: number) => T {
  const known = new Map<number, T>()
  return (key) => {
    const value = known.get(key) ?? build(key)
    known.set(key, value)
    return value
  }
}
