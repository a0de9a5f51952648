import { dayZero, type WallTime } from '../calendar'
import { ledger, stateAt } from '../count'
import { effectsOf } from '../learn'
import { compile } from '../compile'
import type { Id, Now, StayCase } from '../model'
import type { StayLearned } from './learnStay'

/** A use that was logged after what is known was learned. */
export interface NewUse {
  activity: Id
  n: number
}

/**
 * A stay as the rest of it is counted: from what is known now, at the litres that were learned (model.md section 6: used for
 * the rest of the stay at once; the crew's own numbers stay what they are).
 */
export function caseNow(
  stayCase: StayCase,
  { now, factors, at, activities: known }: Pick<StayLearned, 'now' | 'factors' | 'at' | 'activities'>,
): StayCase {
  const { crew } = stayCase
  const activities = crew.activities.map((activity, a) => ({
    ...activity,
    learned: { factor: factors[a]!, spread: known[a]!.spread, entries: 0, upTo: `${at}:00.000Z` },
  }))
  return { ...stayCase, crew: { ...crew, activities }, now }
}

/**
 * The same a little later, until it is learned anew: what is expected has gone on, and what was logged since is taken in by
 * its litres.
 */
export function steppedTo(underWay: StayCase, at: WallTime, uses: readonly NewUse[]): StayCase {
  const { now } = underWay
  if (!now || (at <= now.at && uses.length === 0)) return underWay
  // What is planned in between has not happened until it is logged.
  const model = compile({ ...underWay, stay: { ...underWay.stay, runs: [] } })
  const played = ledger(model)
  const later = at > now.at ? stateAt(model, played, at) : now
  const effects = effectsOf(model, played)
  const levels = later.levels.map(({ container, level }, c) => ({
    container,
    level: uses.reduce((sum, { activity: id, n }) => {
      const activity = model.activities.findIndex((one) => one.id === id)
      if (activity < 0) return sum
      const place = activity * model.grid.count * effects.width + c
      return sum + n * (effects.drawn[place]! + effects.fixed[place]!)
    }, level),
  }))
  const today = dayZero(at) === dayZero(now.at) && now.today ? { today: now.today } : {}
  return { ...underWay, now: { ...later, levels, draws: shifted(now, levels), ...today } }
}

/** Draws of the levels move with the means. */
function shifted({ draws, levels: before }: Now, levels: Now['levels']): Now['draws'] {
  if (!draws) return null
  const { rows, columns } = draws
  const values = draws.values.slice()
  const first = columns - levels.length
  levels.forEach(({ level }, c) => {
    const by = level - before[c]!.level
    for (let row = 0; row < rows; row++)
      values[row * columns + first + c] = Math.max(0, values[row * columns + first + c]! + by)
  })
  return { rows, columns, values }
}

/** What stands where by then, had the stay gone as its plan says: nothing was read, and nothing is known of how sure it is. */
export function expectedNow(stayCase: StayCase, at: WallTime): StayCase {
  const model = compile(stayCase)
  return { ...stayCase, now: stateAt(model, ledger(model), at) }
}
