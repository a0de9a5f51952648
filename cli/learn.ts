import type { LogEntry } from '@/core/log'
import { riskTables } from '@/core/risk'
import { compile } from '@/core/compile'
import { caseOf, type Document } from '@/core/domain'
import { learnedBy, ofStay } from './now'
import type { Options } from './run'

/** `dry-count learn`: what a stay's log teaches by then, or by its last entry; docs/command-line.md. */
export function learnCommand(
  document: Document,
  { stay, now, seed, trials }: Options,
  log: readonly LogEntry[],
): unknown {
  const stayCase = caseOf(document, stay)
  const { start, leaveAt } = stayCase.stay
  const last = ofStay(log, stay).reduce((latest, { at }) => (at > latest ? at : latest), start)
  const at = now ?? (last < leaveAt ? last : leaveAt)
  const { activities, levels, isSuspect, next } = learnedBy(document, log, stay, at, {
    seed,
    trials,
    now: at,
    tables: riskTables(),
  })
  const { containers } = compile(stayCase, { horizonDays: 1 })
  const { crew } = stayCase
  return {
    format: 'dry-count/learn@1',
    stay,
    start,
    from: at,
    activities: activities.map(({ prior, posterior, logged }, a) => ({
      id: crew.activities[a]!.id,
      prior,
      posterior,
      logged,
    })),
    levels: levels.map(({ mean, low80, high80 }, c) => ({
      container: containers[c]!.id,
      mean,
      low80,
      high80,
      probe: isSuspect[c] ? 'suspect' : 'ok',
    })),
    next: next.map(({ activity }) => crew.activities[activity]!.id),
  }
}
