import type { Days } from '../quantities'
import type { SearchContext } from './leastBother'
import type { Player } from './player'
import type { HabitSet } from './answer'

/** Days by which sets must differ to be worth more bother: what the screens show. */
export const STEP_DAYS = 0.1

/** The set that makes the nights, and its chance of it in `TRIALS` trips. */
export type Goal = HabitSet & { chance: number }

interface GoalSearch {
  context: SearchContext
  untilDays: Days
  play: Player
  best: (days: Days, over: number, cap: number) => HabitSet | null
  trips: number
  curve: readonly HabitSet[]
  /** Only a set with less bother than this. */
  under: number
}

/**
 * The least bother for the goal lies between the last set of the curve that falls short by a step and the first that lasts.
 * A set that holds in the fixed trips may fall short in many, since the least of many sets is the one that luck has
 * favoured: then another is searched for, which must hold in more of the fixed ones than that one did.
 */
export function goalOf({ context, untilDays, play, best, trips, curve, under }: GoalSearch): Goal | null {
  const confidence = 1 - context.allowed / trips
  const { allowed } = context
  const short = curve.filter(({ days }) => days + STEP_DAYS <= untilDays)
  let over = short.length === 0 ? -1 : short[short.length - 1]!.bother
  try {
    for (;;) {
      const set = best(untilDays, over, under)
      if (!set) return null
      const chance = play.chance(set.habits, untilDays)
      if (chance >= confidence - 1e-9) return { ...set, chance }
      // With less bother than this nothing holds in as many, and so nothing in more.
      over = Math.max(over, set.bother - 1e-6)
      const failed = Math.round((1 - play.chance(set.habits, untilDays, false)) * trips)
      const gap = Math.round(((confidence - chance) * trips) / 2)
      context.allowed = Math.min(failed - 1, context.allowed - Math.max(1, gap))
      if (context.allowed < 0) return null
    }
  } finally {
    context.allowed = allowed
  }
}
