import type { Id } from '@/core/model'
import type { StayLearned } from '@/core/underway'
import { safeStorage } from './safeStorage'
import type { Space } from './storage/database'

/** What was learned of a stay, and of which log. */
export interface Known {
  stay: Id
  learned: StayLearned
  /** Uses that it knew of, by activity. */
  made: Record<Id, number>
  /** False: only what a first picture needs, of the time before. */
  isWhole: boolean
}

const keyOf = (space: Space) => `dry-count:known:${space}`

/** The last thing that was learned, kept in this browser: means only, so that the first picture waits for no log and no worker. */
export const lastKnown = {
  keep(space: Space, { stay, learned, made }: Known): void {
    const { at, now, factors, activities } = learned
    const spreads = activities.map(({ spread }) => spread)
    const kept = { stay, at, now: { ...now, draws: null }, factors, spreads, made }
    safeStorage().setItem(keyOf(space), JSON.stringify(kept))
  },
  of(space: Space, stay: Id): Known | null {
    try {
      const kept = JSON.parse(safeStorage().getItem(keyOf(space)) ?? 'null') as Kept | null
      if (kept?.stay !== stay) return null
      const { at, now, factors, spreads, made } = kept
      const activities = spreads.map((spread) => ({ spread }))
      return {
        stay,
        learned: { at, now, factors, activities } as unknown as StayLearned,
        made,
        isWhole: false,
      }
    } catch {
      return null
    }
  },
}

interface Kept extends Pick<StayLearned, 'at' | 'now' | 'factors'> {
  stay: Id
  spreads: number[]
  made: Record<Id, number>
}
