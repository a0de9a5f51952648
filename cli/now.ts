import type { WallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import type { Document, Id, StayCase } from '@/core/domain'
import { passedTrips } from '@/core/risk'
import { caseNow, expectedNow, learnStay, type StayLearned } from '@/core/underway'
import { earlierOf, stayCaseOf, type ChainOptions } from './chained'

/** What a stay's log and those of the same rig and crew before it teach by then, on how it began. */
export function learnedBy(
  document: Document,
  log: readonly LogEntry[],
  stay: Id,
  at: WallTime,
  options: ChainOptions,
): StayLearned {
  const begun = stayCaseOf(document, stay, log, options)
  const stayCase = passedTrips(begun, options)
  const earlier = earlierOf(document, stayCase, log)
  return learnStay({ stayCase, log: ofStay(log, stay), earlier, at, seed: options.seed })
}

/** The rest of a stay as it is counted from then: on the means of what is known, with its draws. */
export function caseFrom(
  document: Document,
  log: readonly LogEntry[],
  stay: Id,
  at: WallTime,
  options: ChainOptions,
): StayCase {
  return caseNow(stayCaseOf(document, stay, log, options), learnedBy(document, log, stay, at, options))
}

/** What stands where by then, had the stay gone as its plan says: where nothing was logged. */
export function expectedFrom(
  document: Document,
  log: readonly LogEntry[],
  stay: Id,
  at: WallTime,
  options: ChainOptions,
): StayCase {
  return expectedNow(stayCaseOf(document, stay, log, options), at)
}

export const ofStay = (log: readonly LogEntry[], id: Id) => log.filter(({ stay }) => stay === id)
