import { byTime, standing, type LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'
import type { LogChange } from './storage/changes'

/** Entries as they are kept, and those of each stay that stand, in the order of UTC. Never changed in place. */
export interface KeptLog {
  rows: ReadonlyMap<Id, LogEntry>
  byStay: ReadonlyMap<Id, LogEntry[]>
}

export function keptLog(entries: readonly LogEntry[]): KeptLog {
  const lists = new Map<Id, LogEntry[]>()
  for (const entry of entries) {
    if (entry.stay === null) continue
    const list = lists.get(entry.stay)
    if (list) list.push(entry)
    else lists.set(entry.stay, [entry])
  }
  return {
    rows: new Map(entries.map((entry) => [entry.id, entry])),
    byStay: new Map([...lists].map(([id, list]) => [id, standing(list)])),
  }
}

/** The same with changes made: a few among ten thousand are put in their places, nothing is sorted again. */
export function withChanges(kept: KeptLog, changes: readonly LogChange[]): KeptLog {
  const rows = new Map(kept.rows)
  const byStay = new Map(kept.byStay)
  const touched = new Set<Id>()
  const listOf = (stay: Id) => {
    if (!touched.has(stay)) byStay.set(stay, [...(byStay.get(stay) ?? [])])
    touched.add(stay)
    return byStay.get(stay)!
  }
  for (const { id, after } of changes) {
    const before = rows.get(id)
    if (after) rows.set(id, after)
    else rows.delete(id)
    if (before && before.stay !== null && !before.isRemoved) takeOut(listOf(before.stay), before)
    if (after && after.stay !== null && !after.isRemoved) putIn(listOf(after.stay), after)
  }
  return { rows, byStay }
}

/** Where an entry stands, or would. */
function placeOf(list: readonly LogEntry[], entry: LogEntry): number {
  let [low, high] = [0, list.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (byTime(list[middle]!, entry) < 0) low = middle + 1
    else high = middle
  }
  return low
}

function takeOut(list: LogEntry[], entry: LogEntry): void {
  const at = placeOf(list, entry)
  if (list[at]?.id === entry.id) list.splice(at, 1)
}

function putIn(list: LogEntry[], entry: LogEntry): void {
  list.splice(placeOf(list, entry), 0, entry)
}
