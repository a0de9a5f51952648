import type { WallTime } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import { caseOf, type Document, type Id, type StayCase } from '@/core/model'
import { caseNow, expectedNow, learnStay, type Logged, type StayLearned } from '@/core/underway'

/** What a stay's log and those of the same rig and crew before it teach by then. */
export function learnedBy(
  document: Document,
  log: readonly LogEntry[],
  stay: Id,
  at: WallTime,
  seed: number,
): StayLearned {
  const stayCase = caseOf(document, stay)
  const { rig, crew } = stayCase.stay
  const earlier = document.stays
    .filter((other) => other.id !== stay && other.rig === rig && other.crew === crew)
    .map((other): Logged => ({ stayCase: caseOf(document, other.id), log: ofStay(log, other.id) }))
  return learnStay({ stayCase, log: ofStay(log, stay), earlier, at, seed })
}

/** The rest of a stay as it is counted from then: on the means of what is known, with its draws. */
export function caseFrom(
  document: Document,
  log: readonly LogEntry[],
  stay: Id,
  at: WallTime,
  seed: number,
): StayCase {
  return caseNow(caseOf(document, stay), learnedBy(document, log, stay, at, seed))
}

/** What stands where by then, had the stay gone as its plan says: where nothing was logged. */
export function expectedFrom(document: Document, stay: Id, at: WallTime): StayCase {
  return expectedNow(caseOf(document, stay), at)
}

export const ofStay = (log: readonly LogEntry[], id: Id) => log.filter(({ stay }) => stay === id)
