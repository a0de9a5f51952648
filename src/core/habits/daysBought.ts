import { count } from '../count'
import { compile, found, type Document, type Id } from '../model'
import type { Days } from '../quantities'
import { switchHabit } from './switchHabit'

export interface DaysBought {
  habit: Id
  on: boolean
  /** Dry count with the habit minus without it, everything else as it stands. Negative where it costs days. */
  days: Days
  /** One of the two counts lies beyond the horizon, so the true difference may be larger. */
  atLeast: boolean
}

/** What each habit of the document buys in a stay. A rival of the same group is off in the count with it. */
export function daysBought(document: Document, stayId: Id): DaysBought[] {
  const stay = found(document.stays, stayId, 'stay')
  return document.habits.map(({ id }) => {
    const now = stay.habits.find(({ habit }) => habit === id)
    const withIt = dryDays(switchHabit(document, stayId, id, true, now?.days ?? null), stayId)
    const without = dryDays(switchHabit(document, stayId, id, false), stayId)
    return {
      habit: id,
      on: now !== undefined,
      days: withIt.days - without.days,
      atLeast: withIt.beyond !== without.beyond,
    }
  })
}

/** 'Beyond' counts as the horizon. */
function dryDays(document: Document, stayId: Id): { days: Days; beyond: boolean } {
  const model = compile(document, stayId)
  const { days } = count(model)
  return { days: days ?? model.horizonDays, beyond: days === null }
}
