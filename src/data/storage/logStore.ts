import type { LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'
import type { Change, LogChange } from './changes'
import type { Committed, DocumentStore, EditLabel } from './documentStore'

/**
 * The log, kept beside the document: entries by id, in the order of UTC. Its changes are steps of the document's history;
 * one acceptance suite holds every implementation to this.
 */
export interface LogStore {
  append: (entries: readonly LogEntry[], at: number) => Promise<Committed>
  /** Another revision of an entry; where another tab has amended it meanwhile, this one comes after it. */
  amend: (entry: LogEntry, at: number) => Promise<Committed>
  /** Leaves a tombstone, so that an older copy does not bring it back. Nothing happens where there is no such entry. */
  remove: (id: Id, at: number) => Promise<Committed>
  /** Entries as they are kept, tombstones too; of one stay in the order of UTC. */
  range: (of?: LogRange) => Promise<LogEntry[]>
}

export interface LogRange {
  stay: Id
  /** UTC, ISO 8601; both ends included. */
  from?: string
  until?: string
}

/** What an edit does to the log. */
export type LogOperation =
  | { op: 'put'; entry: LogEntry }
  /** Of a file: only what is not known, or is newer. */
  | { op: 'merge'; entries: readonly LogEntry[] }
  | { op: 'remove'; id: Id }
  | { op: 'drop-stay'; stay: Id }
  | { op: 'replace'; entries: readonly LogEntry[] }

/** What has to be read before operations can be made. */
export function neededFor(operations: readonly LogOperation[]): { all: boolean; ids: Id[]; stays: Id[] } {
  return {
    all: operations.some(({ op }) => op === 'replace'),
    stays: operations.flatMap((one) => (one.op === 'drop-stay' ? [one.stay] : [])),
    ids: operations.flatMap((one) => {
      if (one.op === 'put') return [one.entry.id]
      if (one.op === 'remove') return [one.id]
      return one.op === 'merge' ? one.entries.map(({ id }) => id) : []
    }),
  }
}

/** The changes that operations come to. @param rows what is kept of what they need; not touched */
export function logChangesOf(
  operations: readonly LogOperation[],
  rows: ReadonlyMap<Id, LogEntry>,
): LogChange[] {
  const now = new Map(rows)
  const touched = new Set<Id>()
  const set = (id: Id, after: LogEntry | null) => {
    touched.add(id)
    if (after) now.set(id, after)
    else now.delete(id)
  }
  for (const one of operations) {
    if (one.op === 'put') put(one.entry, now, set)
    else if (one.op === 'remove') {
      const known = now.get(one.id)
      if (known && !known.isRemoved) set(one.id, { ...known, revision: known.revision + 1, isRemoved: true })
    } else if (one.op === 'merge') {
      for (const entry of one.entries)
        if ((now.get(entry.id)?.revision ?? 0) < entry.revision) set(entry.id, entry)
    } else {
      const gone = one.op === 'replace' ? () => true : ({ stay }: LogEntry) => stay === one.stay
      for (const entry of [...now.values()]) if (gone(entry)) set(entry.id, null)
      if (one.op === 'replace') for (const entry of one.entries) set(entry.id, entry)
    }
  }
  return [...touched].flatMap((id): LogChange[] => {
    const [before, after] = [rows.get(id) ?? null, now.get(id) ?? null]
    return before === after ? [] : [{ list: 'log', id, before, after }]
  })
}

function put(entry: LogEntry, now: ReadonlyMap<Id, LogEntry>, set: (id: Id, after: LogEntry) => void): void {
  const known = now.get(entry.id)
  if (!known || known.revision < entry.revision) set(entry.id, entry)
  else if (JSON.stringify(known) !== JSON.stringify(entry))
    set(entry.id, { ...entry, revision: known.revision + 1 })
}

/** The entries with changes made. */
export function withLogChanges(
  rows: ReadonlyMap<Id, LogEntry>,
  changes: readonly Change[],
): Map<Id, LogEntry> {
  const next = new Map(rows)
  for (const change of changes) {
    if (change.list !== 'log') continue
    if (change.after) next.set(change.id, change.after)
    else next.delete(change.id)
  }
  return next
}

/** The log of a store that commits edits. */
export function logStoreOf(commit: DocumentStore['commit'], range: LogStore['range']): LogStore {
  const step = (log: readonly LogOperation[], at: number, label: EditLabel = 'log') =>
    commit([{ label, coalesce: null, make: (document) => document, log }], at)
  return {
    append: (entries, at) =>
      step(
        entries.map((entry) => ({ op: 'put', entry })),
        at,
      ),
    amend: (entry, at) => step([{ op: 'put', entry }], at),
    remove: (id, at) => step([{ op: 'remove', id }], at),
    range,
  }
}
