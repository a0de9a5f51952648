import type { WallTime } from '../calendar'
import { standing, type LogEntry } from '../log'
import type { Id, StayCase } from '../domain'
import { caseNow } from './caseNow'
import type { StayLearned } from './learnStay'
import { endOf } from './phase'

/** What the log of a stay says when it begins and ends, among any entries. */
const ofStay = (log: readonly LogEntry[], id: Id) => log.filter(({ stay }) => stay === id)

/** Whether a stay was begun by its entry: then it stands on its own levels, whatever it follows. */
export function hasBegun(stay: Id, log: readonly LogEntry[]): boolean {
  const starts = log.filter((entry) => entry.kind === 'start' && entry.stay === stay)
  return starts.length > 0 && standing(starts).length > 0
}

/**
 * A stay as what is known of it leaves it to the next: from what was learned, and left when its end was logged.
 * @param learned by when it was left, or by now; null: nothing was
 */
export function knownCase(
  stayCase: StayCase,
  learned: Pick<StayLearned, 'now' | 'factors' | 'at' | 'activities'> | null,
  log: readonly LogEntry[],
): StayCase {
  const { stay } = stayCase
  const leaveAt = endOf(stay, ofStay(log, stay.id))
  const left = leaveAt === stay.leaveAt ? stayCase : { ...stayCase, stay: { ...stay, leaveAt } }
  return learned ? caseNow(left, learned) : left
}

/** By when a stay before another is learned: when it was left, or now where that is earlier. */
export function knownAt(stayCase: StayCase, log: readonly LogEntry[], now: WallTime): WallTime {
  const end = endOf(stayCase.stay, ofStay(log, stayCase.stay.id))
  return now < end ? now : end
}
