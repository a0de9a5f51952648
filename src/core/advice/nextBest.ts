import { dayAndPartOf, wallDaysBetween, type DayNumber, type Slot, type WallTime } from '../calendar'
import { goalOf } from '../budget'
import { count, lastsSteps } from '../count'
import { blockedBy, canApply, daysPerBother, isOnFrom, switchHabit, todayOf } from '../habits'
import { compile } from '../compile'
import type { Habit, Id, Run, Stay, StayCase } from '../model'
import type { Days } from '../quantities'
import { bestSlot, blocks, runAnswer, runCost, usualRuns, type UsualRun } from '../schedule'
import { whole } from '../steps'
import { tripCounts, type TripOptions } from './tripCounts'

/** One single change of a stay. */
export type NextChange =
  | { kind: 'habit'; habit: Id; on: boolean }
  | { kind: 'run'; usual: UsualRun; run: Run }

/** A change worth making, with what it buys. */
export interface NextStep {
  change: NextChange
  /** Days more to plan on, on the same trips. */
  gain: Days
  /** The count with it lies beyond the horizon: it buys at least that. */
  atLeast: boolean
  /** Whether the goal is reached with it alone. */
  reaches: boolean
  /** In the owner's money and bother: what it costs up to the goal. */
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

/** A gain that is not worth a word, days; and never more of them than these. */
const LEAST_GAIN = 0.1
const MOST = 3
const LEAST_PUSH = 0.1

/**
 * The single changes that bring a stay nearest its goal for their bother, the best first; none where it is reached as it
 * stands. Habits that are free and switched on or off from today, and the errands this rig can do, each where it helps
 * most; every one is played on the same trips. What goes beyond the goal counts for nothing.
 */
export function* nextBest(stayCase: StayCase, options: NextOptions): Generator<undefined, NextStep[]> {
  const counts = tripCounts(stayCase, options)
  const { stay, now } = stayCase
  const goalDays = wallDaysBetween(now?.at ?? stay.start, aimOf(stay))
  const asItStands = counts(stayCase)
  if (goalDays <= 0 || asItStands.planOn >= goalDays) return []
  const base = whole(lastsSteps(stayCase))
  const spare = Math.max(0, asItStands.days - asItStands.planOn)
  const declined = new Set(options.declined ?? [])
  const tried: { step: NextStep; score: number }[] = []
  for (const { changed, change, cost } of changesOf(stayCase, spare)) {
    yield
    if (declined.has(change.kind === 'habit' ? change.habit : change.usual)) continue
    const { planOn, isBeyond } = counts(changed)
    const gain = planOn - asItStands.planOn
    if (gain < LEAST_GAIN) continue
    const needed = Math.min(planOn, goalDays) - asItStands.planOn
    const then = whole(lastsSteps(changed))
    const stopperOf = ({ days, model }: typeof then) => (days === null ? null : count(model).stopper)
    const shorter = (c: number) =>
      (base.containers[c] ?? Infinity) - (then.containers[c] ?? Infinity) >= LEAST_PUSH
    const step: NextStep = {
      change,
      gain,
      atLeast: isBeyond,
      reaches: planOn >= goalDays,
      cost,
      stops: stopperOf(base),
      thenStops: stopperOf(then),
      pushes: base.model.containers.filter((_, c) => shorter(c)).map(({ id }) => id),
    }
    tried.push({ step, score: daysPerBother(needed, cost) })
  }
  return tried
    .sort((a, b) => b.score - a.score || b.step.gain - a.step.gain)
    .slice(0, MOST)
    .map(({ step }) => step)
}

/** Until when it is to last: the stay's end, or the night of its budget where that is later. */
export function aimOf(stay: Stay): WallTime {
  const { at } = goalOf(stay)
  return at > stay.leaveAt ? at : stay.leaveAt
}

/** Every single change there is. @param spare days by which a run is to come before the average stop */
function* changesOf(
  stayCase: StayCase,
  spare: Days,
): Generator<{ change: NextChange; changed: StayCase; cost: number }> {
  const { stay, rig, crew, habits } = stayCase
  const today = todayOf(stayCase)
  const days = Math.max(1, dayAndPartOf(stay.start, aimOf(stay)).day - today)
  const bother = (habit: Habit) => habit.bother.value * days * crew.costs.bother.value
  for (const habit of habits) {
    const on = isOnFrom(stay.habits, habit.id, today)
    if (!on && (blockedBy(habit, rig, stay) !== null || !canApply(habit, rig, crew))) continue
    const change = { kind: 'habit' as const, habit: habit.id, on: !on }
    yield { change, changed: switchHabit(stayCase, habit.id, !on), cost: on ? 0 : bother(habit) }
  }
  yield* runsOf(stayCase, spare, today)
}

/** On the road and going home are no changes of a stay, but its ends. */
function* runsOf(
  stayCase: StayCase,
  spare: Days,
  today: DayNumber,
): Generator<{ change: NextChange; changed: StayCase; cost: number }> {
  const { stay } = stayCase
  for (const { usual, when, ...rest } of usualRuns(stayCase)) {
    if (when !== null || usual === 'go-home' || rest.steps.length === 0) continue
    const asked: Run = { ...rest, id: `next ${usual}`, name: '', place: null, day: today, part: 'midday' }
    const slot: Slot = bestSlot(stayCase, { ...asked, when }, spare)
    const run = { ...asked, ...slot }
    const changed = { ...stayCase, stay: { ...stay, runs: [...stay.runs, run] } }
    const model = compile(changed)
    const answer = runAnswer(changed, model, count(model), run)
    if (answer.troubles.some(blocks)) continue
    yield { change: { kind: 'run', usual, run }, changed, cost: runCost(stayCase, answer).total }
  }
}
