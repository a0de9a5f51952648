/** Days a habit is on for; both ends included. */
export type DayRange = [number, number]

/**
 * One end of a range moved to a day, kept inside the stay and on its own side of the other end.
 * @param lastDay the last day of the stay
 */
export function movedEnd(range: DayRange, end: 0 | 1, day: number, lastDay: number): DayRange {
  const within = Math.min(lastDay, Math.max(0, Math.round(day)))
  return end === 0 ? [Math.min(within, range[1]), range[1]] : [range[0], Math.max(within, range[0])]
}

/** A range over the whole stay is kept as none, so that it follows when the stay grows. */
export function keptRange(range: DayRange, lastDay: number): DayRange | null {
  return range[0] === 0 && range[1] >= lastDay ? null : range
}
