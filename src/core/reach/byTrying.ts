import { ledger } from '../count'
import { areRivals, flushKept, flushRatios, withHabits } from '../habits'
import { compile } from '../compile'
import type { Habit, StayCase } from '../domain'
import { riskTables } from '../risk'
import { choosable } from './choosable'
import { fixedTrips } from './fixedTrips'
import { allowedOf } from './floor'
import { STEP_DAYS, type Goal } from './goal'
import { playerOf } from './player'
import { BEYOND_DAYS, SAMPLE, type HabitSet, type Reach, type ReachOptions, type ReachSoFar } from './answer'

/**
 * The same answer where runs are set: what they move depends on the levels they meet, so that habits do not add up and nothing
 * can be proven from a table. Habits are taken up one by one, each time the one that buys most for its bother, and let go
 * again where the nights hold without; every figure is played, with the runs. Less bother may exist: the answer says so.
 */
export function* byTrying(
  stayCase: StayCase,
  options: ReachOptions,
): Generator<ReachSoFar, Reach, undefined> {
  const trying = tryingOf(stayCase, options)
  const habits = choosable(stayCase, options.without ?? [])
  let chosen: Habit[] = []
  const curve = [trying.judge(chosen)]
  yield { curve: [...curve] }
  while (!curve.at(-1)!.isBeyond) {
    const last = curve.at(-1)!
    let best: { set: Habit[]; found: HabitSet; worth: number } | null = null
    for (const habit of habits.filter((one) => !chosen.includes(one))) {
      const set = [...chosen.filter((one) => !areRivals(one, habit)), habit]
      const found = trying.keepsFloor(set) ? trying.judge(set) : last
      const gain = found.days - last.days
      const worth = gain / Math.max(LEAST_BOTHER, found.bother - last.bother)
      if (gain >= STEP_DAYS && (best === null || worth > best.worth)) best = { set, found, worth }
      yield { curve: [...curve] }
    }
    if (!best) break
    chosen = best.set
    while (curve.length > 1 && curve.at(-1)!.bother >= best.found.bother - 1e-6) curve.pop()
    curve.push(best.found)
  }
  const goal = goalAmong(trying, habits, curve)
  yield { curve: [...curve], goal }
  const most = curve.reduce((longest, set) => (set.days > longest.days ? set : longest))
  const stopper = trying.play.stopper(most.habits)
  return { goal, curve, most, stopper, left: [], heldBack: [], errand: null, isTried: true }
}

/** What a habit without bother counts as, so that it is not worth infinitely much. */
const LEAST_BOTHER = 0.25

type Trying = ReturnType<typeof tryingOf>

function tryingOf(stayCase: StayCase, options: ReachOptions) {
  const { seed, untilDays, trips = SAMPLE, underFloor = false, tables = riskTables() } = options
  const { stay, crew } = stayCase
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(untilDays + BEYOND_DAYS))
  const allowed = allowedOf(stay.confidence.value, trips)
  const fixed = fixedTrips(stayCase, { seed, trips, horizonDays, tables })
  const play = playerOf(stayCase, horizonDays, fixed, tables)
  const idsOf = (set: readonly Habit[]) => set.map(({ id }) => id).sort()
  const leastOf = (set: readonly Habit[]) => {
    const model = compile(withHabits(stayCase, idsOf(set)), { horizonDays })
    const ratios = flushRatios(model, ledger(model), model.grid.count)
    return Math.min(...ratios.map(({ least }) => least ?? Infinity))
  }
  const floor = underFloor ? 0 : Math.min(flushKept(crew), leastOf([]))
  return {
    play,
    untilDays,
    confidence: stay.confidence.value,
    judge: (set: readonly Habit[]): HabitSet => ({
      habits: idsOf(set),
      bother: set.reduce((sum, { bother }) => sum + bother.value, 0),
      ...play.quantile(idsOf(set), allowed),
    }),
    keepsFloor: (set: readonly Habit[]) => leastOf(set) >= floor - 1e-9,
  }
}

/** The first set of the curve that makes the nights in ten thousand trips, without the habits that it does not need. */
function goalAmong(trying: Trying, habits: readonly Habit[], curve: readonly HabitSet[]): Goal | null {
  const { play, untilDays, confidence, judge, keepsFloor } = trying
  const chanceOf = (set: HabitSet) =>
    set.days >= untilDays - STEP_DAYS ? play.chance(set.habits, untilDays) : 0
  for (const first of curve) {
    let goal: Goal = { ...first, chance: chanceOf(first) }
    if (goal.chance < confidence - 1e-9) continue
    const dear = habits
      .filter(({ id }) => first.habits.includes(id))
      .sort((a, b) => b.bother.value - a.bother.value)
    for (const habit of dear) {
      const kept = dear.filter((one) => one !== habit && goal.habits.includes(one.id))
      const fewer = judge(kept)
      const chance = keepsFloor(kept) ? chanceOf(fewer) : 0
      if (chance >= confidence - 1e-9) goal = { ...fewer, chance }
    }
    return goal
  }
  return null
}
