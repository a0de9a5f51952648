import { wallDaysBetween, type WallTime } from '../calendar'
import type { Model } from '../compile'
import { loggedUses, openUses, type Completeness, type LogEntry } from '../log'
import { fromItsStart, type StayCase } from '../domain'

/** Uses that are believed to have been made by then, by activity: those logged, and those that were not. */
export function usesMade(
  stayCase: Pick<StayCase, 'stay' | 'crew'>,
  model: Model,
  log: readonly LogEntry[],
  at: WallTime,
  completeness: readonly (Completeness | null)[],
): number[] {
  const until = wallDaysBetween(model.start, at)
  const open = openUses(stayCase, model, log, until, completeness)
  const logged = loggedUses(stayCase, log, at)
  return open.map((parts, a) => parts.reduce((sum, one) => sum + one, logged[a]!))
}

/** The case in the numbers that were put in, from its start: of one that follows another, with what was passed on. */
export function asPutIn(known: StayCase): StayCase {
  const { crew } = known
  const stayCase = fromItsStart(known)
  if (crew.activities.every(({ learned }) => learned === null)) return stayCase
  const activities = crew.activities.map((activity) => ({ ...activity, learned: null }))
  return { ...stayCase, crew: { ...crew, activities } }
}
