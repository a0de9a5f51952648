import type { LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'
import type { StayLearned } from '@/core/underway'
import { safeStorage } from './safeStorage'
import type { Space } from './storage/database'

/** What was learned of a stay, and of which log. */
export interface Known {
  stay: Id
  learned: StayLearned
  /** The entries it was learned of; of what was kept they are not known. */
  of: readonly LogEntry[] | null
  /** False: only what a first picture needs, of the time before. */
  isWhole: boolean
}

/** The shape of what is kept; another one is left aside. */
const VERSION = 2
/** Stays of which it is kept, the newest asked first. */
const MOST = 6
const keyOf = (space: Space) => `dry-count:known:${space}`

/** The last thing that was learned, kept in this browser: means only, so that the first picture waits for no log and no worker. */
export const lastKnown = {
  keep(space: Space, { stay, learned }: Known): void {
    const { at, now, factors, activities, made } = learned
    const spreads = activities.map(({ spread }) => spread)
    const kept: Kept = { stay, at, now: { ...now, draws: null }, factors, spreads, made }
    const others = all(space).filter((one) => one.stay !== stay)
    const stays = [kept, ...others].slice(0, MOST)
    safeStorage().setItem(keyOf(space), JSON.stringify({ version: VERSION, stays }))
  },
  of(space: Space, stay: Id): Known | null {
    const kept = all(space).find((one) => one.stay === stay)
    if (!kept) return null
    const { at, now, factors, spreads, made } = kept
    const activities = spreads.map((spread) => ({ spread }))
    return {
      stay,
      learned: { at, now, factors, activities, made } as unknown as StayLearned,
      of: null,
      isWhole: false,
    }
  },
}

function all(space: Space): Kept[] {
  try {
    const { version, stays } = JSON.parse(safeStorage().getItem(keyOf(space)) ?? '{}') as Partial<AllKept>
    return version === VERSION && Array.isArray(stays) ? stays : []
  } catch {
    // What cannot be read is only a first picture: it is learned again.
    return []
  }
}

interface AllKept {
  version: number
  stays: Kept[]
}

interface Kept extends Pick<StayLearned, 'at' | 'now' | 'factors' | 'made'> {
  stay: Id
  spreads: number[]
}
