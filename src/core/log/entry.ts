import type { WallTime } from '../calendar'
import type { Id } from '../domain'
import type { Amount, Kilograms, Litres, Share } from '../quantities'

/**
 * One thing that was done or seen, of a rig and mostly of a stay (model.md section 1). Ordered by UTC and shown in the wall
 * time it was logged in. Ids are unique across devices; an amendment is the same id with a higher revision, a removal one
 * with `isRemoved`.
 */
export type LogEntry = EntryHead &
  (
    | StartEntry
    | UseEntry
    | ReadingEntry
    | RunEntry
    | DoseEntry
    | OddEntry
    | ShakedownEntry
    | TextEntry
    | EndEntry
  )

export interface EntryHead {
  id: Id
  revision: number
  isRemoved: boolean
  rig: Id
  stay: Id | null
  /** Wall time of the place, to the minute. */
  at: WallTime
  /** ISO 8601 in UTC, to the millisecond: what entries are ordered by. */
  utc: string
  note: string
}

/** The stay begins: levels as they are set, the valves seen shut. */
export interface StartEntry {
  kind: 'start'
  valvesShut: boolean
}

/**
 * Uses of an activity. Of a counted one these are all there are; of an expected one how many more were made and not logged is
 * estimated (`completenessOf`), and `n` 0 says 'not today'.
 */
export interface UseEntry {
  kind: 'use'
  activity: Id
  n: number
  person: Id | null
  /** L of all of them together, by a meter; null: not metered. */
  litres: Litres | null
  /** Minutes the water ran, of one that goes by the clock; null: not timed. */
  minutes: number | null
  /** More than usual: on top of all that was expected or logged, and no word of how complete the log is. Left out: it is not. */
  isExtra?: boolean | undefined
}

export interface ReadingEntry {
  kind: 'reading'
  container: Id
  saw: Saw
  /** The rig was not level: it is kept, and taken for no evidence. */
  isOffLevel: boolean
}

/** What was seen of a level. A panel's step is kept with its edges: the panel may be set otherwise later. */
export type Saw =
  | { as: 'panel'; edges: Share[]; step: number }
  | { as: 'amount'; amount: Amount; deviation: Amount }
  | { as: 'weight'; kg: Kilograms }
  | { as: 'light' }
  | { as: 'full' }
  | { as: 'dry' }

export const RUN_WHATS = ['emptied', 'filled', 'put-in', 'took-out'] as const
/** An errand that was done: what it did to which container; litres where they are known. */
export interface RunEntry {
  kind: 'run'
  did: { container: Id; what: (typeof RUN_WHATS)[number]; litres: Litres | null }[]
  place: Id | null
  /** What a walked card knows besides; left out where nobody said. */
  took?: RunTook | undefined
}

/** What a run took, each null where it is not known. */
export interface RunTook {
  minutes: number | null
  kilometres: number | null
  /** In the owner's money. */
  fee: number | null
  /** Rounds of rinsing that were done, and those put off. */
  rinses: { container: Id; rounds: number; owed: number }[]
  /** Minutes until the rush of a tank was over, by the clock of its card; left out: none was timed. */
  drains?: { container: Id; minutes: number }[] | undefined
}

/** A dose of a product, in the product's unit. */
export interface DoseEntry {
  kind: 'dose'
  container: Id
  product: Id
  amount: number
}

export const ODD_REASONS = ['leak', 'visitor', 'rest', 'other'] as const
/**
 * A stretch that says nothing of what a use costs, since something else moved the levels in it: a leak, a visitor, a
 * shakedown that rested. It ends at the entry's own time; levels are unsure after it until they are read.
 */
export interface OddEntry {
  kind: 'odd'
  from: WallTime
  /** Whose level is unsure; null: of all of them. */
  container: Id | null
  why: (typeof ODD_REASONS)[number]
}

export const SHAKEDOWN_STEPS = ['begun', 'rested', 'taken-up', 'ended'] as const
/** A guided count at a hookup, which may rest for days. */
export interface ShakedownEntry {
  kind: 'shakedown'
  did: (typeof SHAKEDOWN_STEPS)[number]
}

export const TEXT_KINDS = ['treatment', 'chore', 'trial', 'practice', 'note'] as const
export interface TextEntry {
  kind: (typeof TEXT_KINDS)[number]
  /** What was treated, cared for or tried, where it is a container. */
  container: Id | null
  /** The rig's chore that was done; left out where it is none of its list. */
  chore?: Id | undefined
}

export interface EndEntry {
  kind: 'end'
}

/** The order of a log: UTC, then id. */
export function byTime(a: LogEntry, b: LogEntry): number {
  if (a.utc !== b.utc) return a.utc < b.utc ? -1 : 1
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

/** What stands of a log: the newest revision of each entry, without those removed, in the order of time. */
export function standing(entries: readonly LogEntry[]): LogEntry[] {
  const newest = new Map<Id, LogEntry>()
  for (const entry of entries) {
    const known = newest.get(entry.id)
    if (!known || entry.revision > known.revision) newest.set(entry.id, entry)
  }
  return [...newest.values()].filter(({ isRemoved }) => !isRemoved).sort(byTime)
}
