import { lastsSteps } from '../count'
import type { Id, StayCase } from '../domain'
import type { Days } from '../quantities'
import { whole, within, type Steps } from '../slices'
import { blockedBy, type Blocked } from './blocked'
import { canApply } from './canApply'
import { isOnFrom, switchHabit, todayOf } from './switchHabit'

export interface DaysBought {
  habit: Id
  on: boolean
  /** Dry count with the habit minus without it, everything else as it stands. Negative where it costs days. */
  days: Days
  /** What it lacks in this rig and on this land; null: nothing. */
  blockedBy: Blocked | null
  /** Whether it does anything in this rig: what does nothing is not offered. */
  applies: boolean
  /** The count with it lies beyond the horizon, so it may buy more. */
  atLeast: boolean
  /** Containers that it brings nearer their limits: days by which their own counts are shorter with it. */
  pushes: { container: Id; days: Days }[]
}

/** A push that is not worth a word, days. */
const LEAST_PUSH = 0.1

/** What each habit of the catalogue buys in a stay. A rival of the same group is off in the count with it. */
export function daysBought(stayCase: StayCase): DaysBought[] {
  return whole(daysBoughtSteps(stayCase))
}

/** The same in pieces, for those who cannot wait for a dozen counts at once. */
export function* daysBoughtSteps(stayCase: StayCase): Steps<DaysBought[]> {
  const { stay, rig, crew, habits } = stayCase
  const today = todayOf(stayCase)
  const turns = habits.length + 1
  const asItStands = yield* within(dryDays(stayCase), 0, 1 / turns)
  const rows: DaysBought[] = []
  for (const [k, habit] of habits.entries()) {
    const { id } = habit
    const on = isOnFrom(stay.habits, id, today)
    const changed = switchHabit(stayCase, id, !on)
    const other = yield* within(dryDays(changed), (k + 1) / turns, (k + 2) / turns)
    const [withIt, without] = on ? [asItStands, other] : [other, asItStands]
    rows.push({
      habit: id,
      on,
      days: withIt.days - without.days,
      blockedBy: blockedBy(habit, rig, stay),
      applies: canApply(habit, rig, crew),
      atLeast: withIt.beyond,
      pushes: pushesOf(withIt.containers, without.containers),
    })
    yield (k + 2) / turns
  }
  return rows
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
function* dryDays(stayCase: StayCase): Steps<Counted> {
  const { model, days, containers } = yield* lastsSteps(stayCase)
  return {
    days: days ?? model.horizonDays,
    beyond: days === null,
    containers: model.containers.map(({ id }, c) => ({
      container: id,
      days: containers[c] ?? model.horizonDays,
    })),
  }
}
