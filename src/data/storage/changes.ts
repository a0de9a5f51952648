import type { LogEntry } from '@/core/log'
import type { Document, Id } from '@/core/domain'

/** The lists of a document that are kept a row per entity. */
export const LISTS = ['rigs', 'crews', 'habits', 'stays'] as const
export type ListName = (typeof LISTS)[number]
type Entity = Document[ListName][number]

/** An entity and its place in its list. */
export interface Row {
  id: Id
  position: number
  entity: Entity
}

/** One row, one entry of the log or the current stay, before and after; null: it was not, or is no longer, there. */
export type Change = RowChange | CurrentStayChange | LogChange
interface RowChange {
  list: ListName
  id: Id
  before: Row | null
  after: Row | null
}
/** An entry of the log, which is kept beside the document. */
export interface LogChange {
  list: 'log'
  id: Id
  before: LogEntry | null
  after: LogEntry | null
}
interface CurrentStayChange {
  list: 'currentStay'
  before: Id | null
  after: Id | null
}

export function rowsOf(document: Document, list: ListName): Row[] {
  return document[list].map((entity, position) => ({ id: entity.id, position, entity }))
}

/** What has to be written to get from one document to the other. Unchanged entities must be the same objects. */
export function changesBetween(before: Document, after: Document): Change[] {
  const changes: Change[] = LISTS.flatMap((list) => {
    if (before[list] === after[list]) return []
    const old = new Map(rowsOf(before, list).map((row) => [row.id, row]))
    const now = new Map(rowsOf(after, list).map((row) => [row.id, row]))
    const ids = new Set([...old.keys(), ...now.keys()])
    return [...ids].flatMap((id) => {
      const was = old.get(id) ?? null
      const is = now.get(id) ?? null
      return was?.entity === is?.entity && was?.position === is?.position
        ? []
        : [{ list, id, before: was, after: is }]
    })
  })
  if (before.currentStay !== after.currentStay)
    changes.push({ list: 'currentStay', before: before.currentStay, after: after.currentStay })
  return changes
}

export const isOfLog = (change: Change): change is LogChange => change.list === 'log'

/** The changes that take these back, in reverse order. */
export function inverse(changes: readonly Change[]): Change[] {
  return changes
    .map((change) => ({ ...change, before: change.after, after: change.before }) as Change)
    .reverse()
}

/** The document with the changes made; the input is not touched. */
export function applied(document: Document, changes: readonly Change[]): Document {
  const next: Document = { ...document }
  for (const list of LISTS) {
    const ours = changes.filter((change): change is RowChange => change.list === list)
    if (ours.length === 0) continue
    const rows = new Map(rowsOf(document, list).map((row) => [row.id, row]))
    for (const { id, after } of ours) {
      if (after) rows.set(id, after)
      else rows.delete(id)
    }
    setList(next, list, [...rows.values()])
  }
  for (const change of changes) if (change.list === 'currentStay') next.currentStay = change.after
  return next
}

/** Puts rows into their places in a document's list. */
export function setList(document: Document, list: ListName, rows: readonly Row[]): void {
  const entities = [...rows].sort((a, b) => a.position - b.position).map(({ entity }) => entity)
  Object.assign(document, { [list]: entities })
}

/** Two runs of changes as one: the first `before` and the last `after` of each row. */
export function merged(first: readonly Change[], second: readonly Change[]): Change[] {
  const key = (change: Change) =>
    change.list === 'currentStay' ? change.list : `${change.list}/${change.id}`
  const result = new Map(first.map((change) => [key(change), change]))
  for (const change of second) {
    const known = result.get(key(change))
    result.set(key(change), known ? ({ ...change, before: known.before } as Change) : change)
  }
  return [...result.values()]
}
