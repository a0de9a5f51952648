import { type DayNumber, type Part, type WallTime, weekdayOf } from '../calendar'
import type { Litres, Quantity } from '../quantities'
import type { StayBudget } from './budget'
import type { HabitOn, LandRule } from './habit'
import type { Id } from './ids'
import type { Place, Way } from './place'
import type { Run } from './run'
import type { Site } from './site'

/** Somebody away in one part of a day, on each of a range of days, or on some weekdays of it. */
export interface Absence {
  person: Id
  part: Part
  /** Day numbers of the stay, both ends included. */
  days: [number, number]
  /** ISO weekdays, Monday 1 to Sunday 7; null: every day. */
  weekdays: number[] | null
}

/** Somebody of the crew who is there on some days only. */
export interface Guest {
  person: Id
  /** Day numbers of the stay, both ends included. */
  days: [number, number]
}

/** What the land allows, as the owner read it somewhere. */
export interface RecordedRule {
  rule: LandRule
  allowed: boolean
  /** L a day up to which it is allowed; null: no limit was given. */
  litres: Litres | null
  /** Where it is written, or who said so. */
  source: string
  /** `YYYY-MM-DD` it was recorded. */
  date: string
}

export const LEVEL_ERRORS = ['even', 'normal'] as const

/**
 * How well a starting level is known. `even`: anywhere in a span of `size` L about it, as read off a panel. `normal`:
 * measured in litres, with a standard deviation of `size`.
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
  days: { day: DayNumber; warmest: Quantity }[]
  /** Wall times `hh:mm` of sunrise and sunset. */
  sunrise: string
  sunset: string
}

/** A stretch in which the log has every use of an activity; out of it they are expected (model.md section 6). */
export interface CountedStretch {
  activity: Id
  from: WallTime
  /** Null: it goes on. */
  until: WallTime | null
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
  guests: Guest[]
  rules: RecordedRule[]
  counted: CountedStretch[]
  weather: Weather
  site: Site
  /** Where its runs go. */
  places: Place[]
  /** Roads from its site that the owner knows. */
  ways: Way[]
  /** The stay whose levels it takes over; null: it starts from `levels`. */
  follows: Id | null
  /** Share of each waste tank that may be left when its road ends, as site or chain ask; null: nobody asks. */
  endsAt: Quantity | null
  runs: Run[]
  budget: StayBudget
}

/** Whether an absence falls on a day of the stay. @param day number, from 0 */
export function isAwayOn(
  { days, weekdays }: Absence,
  { start }: Pick<Stay, 'start'>,
  day: DayNumber,
): boolean {
  return day >= days[0] && day <= days[1] && (weekdays === null || weekdays.includes(weekdayOf(start, day)))
}

/** °C of a day: its own, or the usual one. */
export function warmestOf({ weather }: Pick<Stay, 'weather'>, day: DayNumber): number {
  return (weather.days.find((entry) => entry.day === day)?.warmest ?? weather.usual).value
}
