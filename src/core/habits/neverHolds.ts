import { daylightParts, nightsBetween, PARTS } from '../calendar'
import { warmestOf, type Habit, type Stay } from '../domain'

/**
 * What keeps a habit from holding at any time of a stay: no part of the day it is kept to is light, or no day is warm
 * enough. Null: there are times.
 */
export function neverHolds({ when }: Pick<Habit, 'when'>, stay: Stay): 'daylight' | 'warmth' | null {
  const isLight = daylightParts(stay.weather.sunrise, stay.weather.sunset)
  const isItsPart = (part: (typeof PARTS)[number]) => when.parts === null || when.parts.includes(part)
  if (when.daylight && !PARTS.some((part, p) => isItsPart(part) && isLight[p])) return 'daylight'
  if (when.lowest === null) return null
  const { value } = when.lowest
  const days = Array.from({ length: nightsBetween(stay.start, stay.leaveAt) + 1 }, (_, day) => day)
  return days.some((day) => warmestOf(stay, day) >= value) ? null : 'warmth'
}
