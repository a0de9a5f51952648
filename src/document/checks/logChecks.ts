import type { LogEntry } from '@/core/log'
import type { Document } from '@/core/model'
import { show, type DocumentFault } from '../faults'

/** What entries refer to is there, none is there twice, and no stretch ends before it begins. */
export function logChecks({ rigs, stays }: Document, log: readonly LogEntry[]): DocumentFault[] {
  const known = { rig: new Set(rigs.map(({ id }) => id)), stay: new Set(stays.map(({ id }) => id)) }
  const seen = new Set<string>()
  return log.flatMap((entry, i): DocumentFault[] => {
    const path = ['log', i]
    const faults: DocumentFault[] = []
    if (seen.has(entry.id))
      faults.push({ code: 'duplicate-id', path: [...path, 'id'], found: show(entry.id), expected: '' })
    seen.add(entry.id)
    // A stay may have changed rigs since: then the stay says whose it is.
    if (entry.stay === null && !known.rig.has(entry.rig))
      faults.push({ code: 'dangling', path: [...path, 'rig'], found: show(entry.rig), expected: 'rig' })
    if (entry.stay !== null && !known.stay.has(entry.stay))
      faults.push({ code: 'dangling', path: [...path, 'stay'], found: show(entry.stay), expected: 'stay' })
    if (entry.kind === 'odd' && entry.from > entry.at)
      faults.push({
        code: 'ends-before-start',
        path: [...path, 'at'],
        found: show(entry.at),
        expected: entry.from,
      })
    return faults
  })
}
