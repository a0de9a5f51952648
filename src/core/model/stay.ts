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

export interface Weather {
  /** °C, the warmest of a usual day. */
  usual: Quantity
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
  /** Starting level of every container of the rig, L (a solids bin: uses). */
  levels: { container: Id; level: Quantity }[]
  habits: HabitOn[]
  absences: Absence[]
  rules: RecordedRule[]
  weather: Weather
}

/** °C of a day: its own, or the usual one. */
export function warmestOf({ weather }: Pick<Stay, 'weather'>, day: number): number {
  return (weather.days.find((entry) => entry.day === day)?.warmest ?? weather.usual).value
}
