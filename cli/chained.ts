import { chainedCase } from '@/core/chain'
import type { Document, Id, StayCase } from '@/core/model'
import { passedTrips, type RiskTables } from '@/core/risk'

/** A stay whose trips go on where those of the stay it follows end; one that follows none is itself. */
export function chainedTrips(
  document: Document,
  stay: Id,
  seed: number,
  trials: number,
  tables: RiskTables,
): StayCase {
  return passedTrips(chainedCase(document, stay), { seed, trials, tables })
}
