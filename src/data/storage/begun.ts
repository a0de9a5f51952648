import type { Id } from '@/core/domain'

/** What was begun and is not logged yet: a card that is walked, a shower that runs. One of each at a time. */
export const BEGUN = ['walk', 'shower'] as const
export type BegunName = (typeof BEGUN)[number]

export interface BegunRow {
  name: BegunName
  /** Its own: what it logs carries it, so that it is logged once. */
  id: Id
  value: unknown
}

/** What an edit ends, in the step that logs it. */
export interface Ends {
  name: BegunName
  id: Id
  /** Whether it was ever kept: what never was cannot have been ended by another tab. */
  isKept: boolean
}

/** Where it is kept, as safely as the log; all tabs see the same. @throws StorageFault */
export interface BegunStore {
  read: (name: BegunName) => Promise<BegunRow | null>
  /**
   * Keeps the newest state, where it is new or still the one that is kept: what another tab ended does not come back.
   * @returns what is kept by then
   */
  keep: (row: BegunRow, isNew: boolean) => Promise<BegunRow | null>
  /** It is over, or was never to be. Another one stays. */
  drop: (name: BegunName, id: Id) => Promise<void>
  /** Calls back after another tab has begun, gone on or ended. @returns stops listening */
  subscribe: (listener: () => void) => () => void
}

/** What an edit was to end has been ended already, by another tab: it is logged. */
export class AlreadyEnded extends Error {
  constructor() {
    super('what was begun has been ended by another tab')
  }
}

/** @param row what is kept of it @throws AlreadyEnded */
export function mayEnd({ id, isKept }: Ends, row: BegunRow | null): void {
  if (isKept && row?.id !== id) throw new AlreadyEnded()
}
