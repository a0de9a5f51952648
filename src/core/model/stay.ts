import type { Part, WallTime } from '../calendar'
import type { Quantity } from '../quantities'
import type { HabitOn, LandRule } from './habit'
import type { Id } from './ids'

export interface Absence {
  person: Id
  /** Day number of the stay. */
  day: number
  part: Part
}

/** What the land allows, as the owner read it somewhere. */
export interface RecordedRule {
  rule: LandRule
  allowed: boolean
  /** Where it is written, or who said so. */
  source: string
  /** `YYYY-MM-DD` it was recorded. */
  date: string
}

export const LEVEL_ERRORS = ['even', 'normal'] as const

/**
 * How well a starting level is known. `even`: anywhere within `size` L around it, as read off a panel; a share of the
 * tank, so it moves with the capacity. `normal`: measured in litres, with a standard deviation of `size`.
 */
export interface LevelError {
  shape: (typeof LEVEL_ERRORS)[number]
  /** L (a solids bin: uses); 0: as it stands. */
  size: Quantity
}

export interface StartLevel {
  container: Id
  level: Quantity
  error: LevelError
}

export interface Weather {
  /** °C, the warmest of a usual day. */
  usual: Quantity
  /** °C, the standard deviation of a day's warmest from what is given. */
  spread: Quantity
  /** Days that differ. */
  days: { day: number; warmest: Quantity }[]
  /** Wall times `hh:mm` of sunrise and sunset. */
  sunrise: string
  sunset: string
}

export interface Stay {
  id: Id
  name: string
  rig: Id
  crew: Id
  start: WallTime
  leaveAt: WallTime
  /** How far the ledger looks ahead, days. */
  horizonDays: Quantity
  /** Share of trips in which a chosen set of habits must hold. */
  confidence: Quantity
  /** Starting level of every container of the rig, L (a solids bin: uses). */
  levels: StartLevel[]
  habits: HabitOn[]
  absences: Absence[]
  rules: RecordedRule[]
  weather: Weather
}

/** °C of a day: its own, or the usual one. */
export function warmestOf({ weather }: Pick<Stay, 'weather'>, day: number): number {
  return (weather.days.find((entry) => entry.day === day)?.warmest ?? weather.usual).value
}
