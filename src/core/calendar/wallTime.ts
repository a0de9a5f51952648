/** Local wall time without zone, `YYYY-MM-DDTHH:mm`. A wall day has 24 hours whatever the clock does. */
export type WallTime = string

const PATTERN = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/
const MS_PER_MINUTE = 60_000
export const MINUTES_PER_DAY = 1440

/** True for a real date and time in the years 1900 to 2199. */
export function isWallTime(text: string): boolean {
  if (!PATTERN.test(text)) return false
  const year = Number(text.slice(0, 4))
  const ms = Date.parse(`${text}:00Z`)
  return year >= 1900 && year < 2200 && Number.isFinite(ms) && wallTimeAt(ms / MS_PER_MINUTE) === text
}

/** @returns whole minutes on the wall's own scale; differences are wall minutes. @throws on a malformed time */
export function wallMinutes(time: WallTime): number {
  const ms = Date.parse(`${time}:00Z`)
  if (!PATTERN.test(time) || !Number.isFinite(ms)) throw new RangeError(`not a wall time: ${time}`)
  return ms / MS_PER_MINUTE
}

/** The wall time at so many minutes, to the nearest minute. */
export function wallTimeAt(minutes: number): WallTime {
  return new Date(Math.round(minutes) * MS_PER_MINUTE).toISOString().slice(0, 16)
}

/** @param days may be fractional or negative; the result is to the nearest minute */
export function addWallDays(time: WallTime, days: number): WallTime {
  return wallTimeAt(wallMinutes(time) + days * MINUTES_PER_DAY)
}

/** Days from one wall time to another, fractional. */
export function wallDaysBetween(from: WallTime, to: WallTime): number {
  return (wallMinutes(to) - wallMinutes(from)) / MINUTES_PER_DAY
}
