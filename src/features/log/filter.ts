import type { LogEntry } from '@/core/log'

/** What is shown of a log; empty: all of it. */
export interface LogFilter {
  /** Kinds, parted by spaces; or `activity ID`. */
  what: string
  container: string
  person: string
  /** `YYYY-MM-DD`, both ends included. */
  from: string
  until: string
}

/** Entries that fit, in their order. */
export function matching(
  entries: readonly LogEntry[],
  { what, container, person, from, until }: LogFilter,
): LogEntry[] {
  const [first, activity] = what.split(' ')
  return entries.filter(
    (entry) =>
      (what === '' ||
        (first === 'activity'
          ? entry.kind === 'use' && entry.activity === activity
          : what.split(' ').includes(entry.kind))) &&
      (container === '' || isOf(entry, container)) &&
      (person === '' || (entry.kind === 'use' && entry.person === person)) &&
      (from === '' || entry.at >= from) &&
      (until === '' || entry.at.slice(0, 10) <= until),
  )
}

function isOf(entry: LogEntry, container: string): boolean {
  if (entry.kind === 'run') return entry.did.some((one) => one.container === container)
  return 'container' in entry && entry.container === container
}
