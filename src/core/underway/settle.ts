import type { LogEntry, OddEntry, ReadingEntry } from '../log'
import type { ModelContainer } from '../compile'
import type { Id, Stay } from '../domain'

/**
 * What explains a reading that does not fit: something else moved the levels since the reading before it, or since the stay
 * began. A leak is of the one tank, a visitor used them all.
 * @param members of the tank as the count takes it @param log of the stay
 */
export function oddSince(
  why: 'leak' | 'visitor',
  { at }: Pick<ReadingEntry & LogEntry, 'at'>,
  { members }: Pick<ModelContainer, 'members'>,
  { start }: Pick<Stay, 'start'>,
  log: readonly LogEntry[],
): OddEntry & { at: string } {
  const before = log.findLast(
    (entry) => entry.kind === 'reading' && members.includes(entry.container) && entry.at < at,
  )
  const container: Id | null = why === 'leak' ? members[0]! : null
  return { kind: 'odd', at, from: before?.at ?? start, container, why }
}
