import { addWallDays, dayZero, partGrid } from '../calendar'
import { standing, type LogEntry } from '../log'
import { presence } from '../compile'
import type { Activity, Id, StayCase } from '../domain'

/** Whole uses left today for one person: a fair share of the crew's, by what they usually do and have done today. */
export interface PersonLeft {
  person: Id
  n: number
  /** Set apart: theirs whatever the others save. */
  isApart: boolean
}

/**
 * The crew's whole uses left today, shared out among those who are there some time of it: one after the other goes to
 * the person with most left of their own share. What one does not take the others have.
 */
export function byPerson(
  stayCase: StayCase,
  activity: Activity,
  whole: number,
  log: readonly LogEntry[],
): PersonLeft[] {
  const { stay, crew, now } = stayCase
  const at = now?.at ?? stay.start
  const grid = partGrid(stay.start, 1, at)
  const { group, groups } = presence(crew, stay, grid)
  const today = [...group].filter((_, i) => grid.day[i] === grid.day[0]).map((who) => groups[who]!)
  const begins = dayZero(at)
  const own = standing(log).flatMap((entry) =>
    entry.kind === 'use' &&
    entry.stay === stay.id &&
    entry.activity === activity.id &&
    entry.at >= begins &&
    entry.at < addWallDays(begins, 1)
      ? [entry]
      : [],
  )
  const there = crew.persons.filter((_, p) => today.some((here) => here[p]))
  const wants = there.map(({ id, rates }) => {
    const rate = (rates.find((one) => one.activity === activity.id) ?? activity).rate.value
    const done = own.reduce((sum, { person, n }) => sum + (person === id ? n : 0), 0)
    return { rate, done, n: 0 }
  })
  for (let k = 0; k < whole; k++) {
    // The person who, with one more, would still be least far along their own usual.
    const next = wants.reduce<(typeof wants)[0] | null>((best, one) => {
      if (one.rate <= 0) return best
      return best === null || (one.done + one.n + 1) / one.rate < (best.done + best.n + 1) / best.rate
        ? one
        : best
    }, null)
    if (!next) break
    next.n += 1
  }
  return there.map(({ id }, k) => ({
    person: id,
    n: wants[k]!.n,
    isApart: stay.budget.apart.some((one) => one.person === id && one.activity === activity.id),
  }))
}
