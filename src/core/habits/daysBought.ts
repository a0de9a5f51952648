import { count } from '../count'
import { compile, found, type Document, type Id } from '../model'
import type { Days } from '../quantities'
import { blockedBy, type Blocked } from './blocked'
import { switchHabit } from './switchHabit'

export interface DaysBought {
  habit: Id
  on: boolean
  /** Dry count with the habit minus without it, everything else as it stands. Negative where it costs days. */
  days: Days
  /** What it lacks in this rig and on this land; null: nothing. */
  blockedBy: Blocked | null
  /** The count with it lies beyond the horizon, so it may buy more. */
  atLeast: boolean
  /** Containers that it brings nearer their limits: days by which their own counts are shorter with it. */
  pushes: { container: Id; days: Days }[]
}

/** A push that is not worth a word, days. */
const LEAST_PUSH = 0.1

/** What each habit of the document buys in a stay. A rival of the same group is off in the count with it. */
export function daysBought(document: Document, stayId: Id): DaysBought[] {
  return [...daysBoughtByTurns(document, stayId)]
}

/** The same, one habit after the other, for those who cannot wait for a dozen counts at once. */
export function* daysBoughtByTurns(document: Document, stayId: Id): Generator<DaysBought> {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  const asItStands = dryDays(document, stayId)
  for (const habit of document.habits) {
    const { id } = habit
    const on = stay.habits.some(({ habit }) => habit === id)
    const withIt = on ? asItStands : dryDays(switchHabit(document, stayId, id, true), stayId)
    const without = on ? dryDays(switchHabit(document, stayId, id, false), stayId) : asItStands
    yield {
      habit: id,
      on,
      days: withIt.days - without.days,
      blockedBy: blockedBy(habit, rig, stay),
      atLeast: withIt.beyond,
      pushes: pushesOf(withIt.containers, without.containers),
    }
  }
}

interface Counted {
  days: Days
  beyond: boolean
  containers: { container: Id; days: Days }[]
}

function pushesOf(withIt: Counted['containers'], without: Counted['containers']): DaysBought['pushes'] {
  return withIt
    .map(({ container, days }, c) => ({ container, days: without[c]!.days - days }))
    .filter(({ days }) => days >= LEAST_PUSH)
    .sort((a, b) => b.days - a.days)
}

/** 'Beyond' counts as the horizon. */
function dryDays(document: Document, stayId: Id): Counted {
  const model = compile(document, stayId)
  const { days, containers } = count(model)
  return {
    days: days ?? model.horizonDays,
    beyond: days === null,
    containers: model.containers.map(({ id }, c) => ({ container: id, days: containers[c] ?? model.horizonDays })),
  }
} // prettier-ignore
