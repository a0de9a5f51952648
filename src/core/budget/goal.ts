import { addWallDays, dayZero, nightsBetween, type DayNumber, type WallTime } from '../calendar'
import type { Stay } from '../domain'
import type { Share } from '../quantities'

/** A day begins at 05:00; the morning after a night ends at eleven. */
const ELEVEN_D = 6 / 24

/** The night a stay's budget is for, and the instant up to which it holds: 11:00 after that night (model.md section 7). */
export interface Goal {
  night: DayNumber
  at: WallTime
  confidence: Share
}

export function goalOf(stay: Pick<Stay, 'start' | 'leaveAt' | 'budget' | 'confidence'>): Goal {
  const night = stay.budget.night ?? lastNight(stay)
  return {
    night,
    at: addWallDays(dayZero(stay.start), night + 1 + ELEVEN_D),
    confidence: (stay.budget.confidence ?? stay.confidence).value,
  }
}

/** The day number of the last night; of a stay without one, day 0. */
export function lastNight({ start, leaveAt }: Pick<Stay, 'start' | 'leaveAt'>): DayNumber {
  return Math.max(0, nightsBetween(start, leaveAt) - 1)
}
