import { wallDaysBetween, type WallTime } from '../calendar'
import { goalOf } from '../budget'
import { countOf, lastsSteps, ledger } from '../count'
import { daysOfHabit } from '../compile'
import { runOffers, type RunOffer, type UsualRun } from '../errands'
import { blockedBy, canApply, daysPerBother, isOnFrom, switchHabit, todayOf } from '../habits'
import { found, type Habit, type Id, type Run, type Stay, type StayCase } from '../domain'
import type { Days, Share } from '../quantities'
import { tripCounts, type Counts, type TripOptions } from '../risk'
import { withRun, type RunCost } from '../schedule'
import { untold, whole } from '../slices'

/** One single change of a stay. */
export type NextChange =
  | { kind: 'habit'; habit: Id; on: boolean; bother: number }
  | { kind: 'run'; usual: UsualRun; run: Run; cost: RunCost; isSure: boolean }

/** A change worth making, with what it buys. */
export interface NextStep {
  change: NextChange
  /** Expected days held more, and days more to plan on, on the same trips. */
  gain: Days
  planOnGain: Days
  /** Chance to reach the aim without it and with it. */
  chanceBefore: Share
  chance: Share
  /** Whether the aim is reached with it alone, as surely as the stay asks. */
  reaches: boolean
  /** In the owner's money: what it costs up to the aim, bother included. */
  cost: number
  /** What stops the stay without it, and with it; null: nothing does. */
  stops: Id | null
  thenStops: Id | null
  /** Containers that it brings nearer their limits. */
  pushes: Id[]
}

export interface NextOptions extends TripOptions {
  /** Which to leave out: habits and errands that this crew does not want to hear of. */
  declined?: readonly string[]
}

/** A gain that is not worth a word: expected days held, or trips in a hundred; and never more offers than these. */
const LEAST_GAIN = 0.05
const LEAST_CHANCE = 0.02
const MOST = 3
const LEAST_PUSH = 0.1

/**
 * The single changes that bring a stay nearest its aim for what they cost, the best first; none where it is reached as it
 * stands. Habits that are free and switched on or off from today, and the errands this rig can do, each where it helps
 * most; every one is played on the same trips and measured by expected days held, which do not leap as a quantile does.
 */
export function* nextBest(stayCase: StayCase, options: NextOptions): Generator<undefined, NextStep[]> {
  const { stay, now } = stayCase
  const until = wallDaysBetween(now?.at ?? stay.start, aimOf(stay))
  if (until <= 0) return []
  const counts = tripCounts(stayCase, options, until)
  const asItStands = counts(stayCase)
  if (asItStands.chance >= stay.confidence.value) return []
  const declined = new Set(options.declined ?? [])
  const judge = judgeOf(stayCase, asItStands)
  const tried: NextStep[] = []
  const put = (changed: StayCase, change: NextChange, cost: number) => {
    const step = judge(changed, counts(changed), change, cost)
    if (step) tried.push(step)
  }
  for (const { changed, change, cost } of habitChanges(stayCase)) {
    yield
    if (change.kind !== 'habit' || !declined.has(change.habit)) put(changed, change, cost)
  }
  for (const offer of yield* untold(runOffers(stayCase, options))) {
    yield
    if (isChange(offer) && !declined.has(offer.usual))
      put(withRun(stayCase, offer.run), changeOf(offer), offer.cost.total)
  }
  // Without any run days to plan on do not leap, and say more than a mean.
  const isByHeld = stay.runs.length > 0 || tried.some(({ change }) => change.kind === 'run')
  const gainOf = ({ gain, planOnGain }: NextStep) =>
    isByHeld ? gain : Math.min(planOnGain, until - asItStands.planOn)
  const scoreOf = (step: NextStep) => daysPerBother(gainOf(step), step.cost)
  return tried.sort((a, b) => scoreOf(b) - scoreOf(a) || b.gain - a.gain).slice(0, MOST)
}

/** On the road and going home are no changes of a stay, but its ends; what moves nothing changes nothing. */
function isChange({ usual, run }: RunOffer): boolean {
  return run.kind !== 'on-the-road' && usual !== 'go-home' && run.steps.length > 0
}

function changeOf({ usual, run, cost, isSure }: RunOffer): NextChange {
  return { kind: 'run', usual, run, cost, isSure }
}

/** What a change comes to beside the stay as it stands; null: too little to be worth a word. */
function judgeOf(stayCase: StayCase, before: Counts) {
  const base = whole(lastsSteps(stayCase))
  const stopperOf = ({ days, model }: typeof base) =>
    days === null ? null : countOf(model, ledger(model)).stopper
  const stops = stopperOf(base)
  return (changed: StayCase, after: Counts, change: NextChange, cost: number): NextStep | null => {
    const gain = after.held - before.held
    if (gain < LEAST_GAIN && after.chance - before.chance < LEAST_CHANCE) return null
    const then = whole(lastsSteps(changed))
    const shorter = (c: number) =>
      (base.containers[c] ?? Infinity) - (then.containers[c] ?? Infinity) >= LEAST_PUSH
    return {
      change,
      gain,
      planOnGain: after.planOn - before.planOn,
      chanceBefore: before.chance,
      chance: after.chance,
      reaches: after.chance >= stayCase.stay.confidence.value,
      cost,
      stops,
      thenStops: stopperOf(then),
      pushes: base.model.containers.filter((_, c) => shorter(c)).map(({ id }) => id),
    }
  }
}

/** Until when it is to last: the stay's end, or the night of its budget where that is later. */
export function aimOf(stay: Stay): WallTime {
  const { at } = goalOf(stay)
  return at > stay.leaveAt ? at : stay.leaveAt
}

/** Every habit that is free, switched on or off from today; its bother counts on every day it touches. */
function* habitChanges(
  stayCase: StayCase,
): Generator<{ change: NextChange; changed: StayCase; cost: number }> {
  const { stay, rig, crew, habits } = stayCase
  const today = todayOf(stayCase)
  const bother = (habit: Habit, changed: StayCase) => {
    const on = found(
      changed.stay.habits.map((one) => ({ ...one, id: one.habit })),
      habit.id,
      'habit that is on',
    )
    return habit.bother.value * daysOfHabit(habit, on, stay, today) * crew.costs.bother.value
  }
  for (const habit of habits) {
    const on = isOnFrom(stay.habits, habit.id, today)
    if (!on && (blockedBy(habit, rig, stay) !== null || !canApply(habit, rig, crew))) continue
    const change = { kind: 'habit' as const, habit: habit.id, on: !on, bother: habit.bother.value }
    const changed = switchHabit(stayCase, habit.id, !on)
    yield { change, changed, cost: on ? 0 : bother(habit, changed) }
  }
}
