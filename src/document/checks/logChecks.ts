import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/domain'
import { show, type DocumentFault } from '../faults'

/**
 * What an entry may not hold beside its shape: one rule for what is typed, what is taken in and what is read from a file. What
 * it refers to may be gone: then it is kept, and counts for nothing.
 */
export function entryFaults(entry: LogEntry, path: DocumentFault['path'] = []): DocumentFault[] {
  if (entry.kind === 'odd' && entry.from > entry.at)
    return [{ code: 'stretch-backwards', path: [...path, 'at'], found: show(entry.at), expected: entry.from }]
  if (entry.kind === 'reading' && entry.saw.as === 'panel' && entry.saw.step >= entry.saw.edges.length)
    return [
      {
        code: 'too-big',
        path: [...path, 'saw', 'step'],
        found: show(entry.saw.step),
        expected: String(entry.saw.edges.length - 1),
      },
    ]
  return []
}

/** Every entry by itself, and none is there twice. */
export function logChecks(log: readonly LogEntry[]): DocumentFault[] {
  const seen = new Set<string>()
  return log.flatMap((entry, i): DocumentFault[] => {
    const faults = entryFaults(entry, ['log', i])
    if (seen.has(entry.id))
      faults.push({ code: 'duplicate-id', path: ['log', i, 'id'], found: show(entry.id), expected: '' })
    seen.add(entry.id)
    return faults
  })
}

/** Entries of a stay, or of no stay and a rig, that a document does not have: kept, and nothing counts them. */
export function orphansOf(
  { rigs, stays }: Pick<Document, 'rigs' | 'stays'>,
  log: readonly LogEntry[],
): LogEntry[] {
  const known = { rig: new Set(rigs.map(({ id }) => id)), stay: new Set(stays.map(({ id }) => id)) }
  return log.filter(({ rig, stay, isRemoved }) => {
    if (isRemoved) return false
    return stay === null ? !known.rig.has(rig) : !known.stay.has(stay)
  })
}
