import { dayZero, wallDaysBetween, type WallTime } from '../calendar'
import { ledger, stateAt } from '../count'
import { effectsOf } from '../learn'
import { completenessOf, type LogEntry } from '../log'
import { compile, type Model } from '../compile'
import type { Id, Now, StayCase } from '../domain'
import type { StayLearned } from './learnStay'
import { asPutIn, usesMade } from './made'

/** Uses beyond what was expected since what is known was learned; fewer than none where less was made than expected. */
export interface NewUse {
  activity: Id
  n: number
}

/**
 * What a longer log says beyond what was learned and expected since: a use that was logged takes the place of one that was expected,
 * as far as the log is held to be complete, and is never counted on top of it.
 * @param known what was learned, and when
 */
export function usesSince(
  stayCase: StayCase,
  log: readonly LogEntry[],
  at: WallTime,
  known: Pick<StayLearned, 'at' | 'made'>,
): NewUse[] {
  const base = asPutIn({ ...stayCase, stay: { ...stayCase.stay, runs: [] } })
  const until = wallDaysBetween(base.stay.start, at)
  const model = compile(base, { horizonDays: until + MARGIN_DAYS })
  const past = log.filter((entry) => entry.kind === 'use' && entry.at <= at)
  const completeness = completenessOf(base, model, past, { until })
  const made = usesMade(base, model, past, at, completeness)
  const since = wallDaysBetween(base.stay.start, known.at)
  return base.crew.activities.flatMap(({ id }, a) => {
    const expected = expectedIn(model, a, since, until)
    const n = made[a]! - (known.made[a] ?? 0) - expected
    return Math.abs(n) > LEAST_USES ? [{ activity: id, n }] : []
  })
}
const MARGIN_DAYS = 0.25
const LEAST_USES = 1e-6

function expectedIn({ grid, uses }: Model, a: number, from: number, to: number): number {
  let sum = 0
  for (let i = 0; i < grid.count; i++) {
    const [x, y] = [grid.edges[i]!, grid.edges[i + 1]!]
    const share = Math.max(0, Math.min(to, y) - Math.max(from, x)) / (y - x)
    sum += uses[a * grid.count + i]! * share
  }
  return sum
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
 * The same a little later, until it is learned again: what is expected has gone on, and what was logged since is taken in by
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
