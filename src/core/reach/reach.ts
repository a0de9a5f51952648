import { areRivals } from '../habits'
import type { Habit, Id, StayCase } from '../domain'
import { riskTables } from '../risk'
import type { Days } from '../quantities'
import {
  BEYOND_DAYS,
  SAMPLE,
  type HabitSet,
  type HeldBack,
  type Hold,
  type Reach,
  type ReachOptions,
  type ReachSoFar,
} from './answer'
import { byTrying } from './byTrying'
import { choosable } from './choosable'
import { componentsOf, hingesOf } from './components'
import { fixedTrips } from './fixedTrips'
import { contextOf, holdsBackOf, type Keeps } from './floor'
import { STEP_DAYS, goalOf, type Goal } from './goal'
import { leastBother, type FoundSet, type SearchContext } from './leastBother'
import { mostDays } from './mostDays'
import { playerOf } from './player'
import { tripTable } from './tripTable'
import { leastErrand } from './withErrand'

/**
 * Which habits make a stay last, with the least bother, and the whole trade-off of bother against days. Habits that are
 * blocked, or rationed anything, are not among them (a document that rations is refused). Sets keep the liquid
 * per solid use that the crew keeps (by its school of flushing) up to the goal, or what the stay has without habits where
 * that is less; what that, or a refused habit, holds back is searched as well.
 * @yields after each step what is known so far, so that it can be shown and stopped
 */
export function* reach(stayCase: StayCase, options: ReachOptions): Generator<ReachSoFar, Reach, undefined> {
  const isSet = stayCase.stay.runs.length > 0
  const answer = yield* isSet ? byTrying(stayCase, options) : proven(stayCase, options)
  if (answer.goal !== null) return answer
  // Habits alone do not: what does with one errand.
  yield answer
  for (const steps = leastErrand(stayCase, options); ; yield answer) {
    const step = steps.next()
    if (step.done) return { ...answer, errand: step.value }
  }
}

function* proven(stayCase: StayCase, options: ReachOptions): Generator<ReachSoFar, Reach, undefined> {
  const { without = [], underFloor = false } = options
  const ground = groundOf(stayCase, options)
  const { crew } = stayCase
  const held = { without, keeps: underFloor ? ('nothing' as const) : ('school' as const) }
  const search = searchOn(ground, held)
  const curve: HabitSet[] = [search.judge({ habits: [], bother: 0 })]
  yield { curve: [...curve] }
  // What was asked comes first, the whole trade-off after it.
  const goal: Goal | null = search.goal(curve)
  for (let last = curve[0]!; ;) {
    yield { curve: [...curve], goal }
    // The least bother for a tenth of a day more; where that is no more bother the set takes the last one's place.
    const next = last.isBeyond ? null : search.best(last.days + STEP_DAYS, last.bother - 1e-6, Infinity)
    if (!next) break
    if (next.bother <= last.bother + 1e-6) curve.pop()
    curve.push(next)
    last = next
  }
  const most = mostDays(search.lasting, curve[curve.length - 1]!, true)
  const answer: Reach = {
    goal: search.cheaper([...curve, most], goal) ?? goal,
    curve,
    most,
    stopper: ground.play.stopper(most.habits),
    left: search.left,
    heldBack: [],
    errand: null,
    isTried: false,
  }
  for (const by of holdsBackOf(ground.table.model, crew, held)) {
    yield answer
    const other = withoutHold(ground, held, by, answer)
    if (other) answer.heldBack = [...answer.heldBack, other]
  }
  return answer
}

/** Everything that does not change with what may be chosen. */
function groundOf(stayCase: StayCase, options: ReachOptions) {
  const { seed, untilDays, trips = SAMPLE, tables = riskTables() } = options
  const { stay } = stayCase
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(untilDays + BEYOND_DAYS))
  const fixed = fixedTrips(stayCase, { seed, trips, horizonDays, tables })
  const table = tripTable(stayCase, { fixed, horizonDays, tables })
  const play = playerOf(stayCase, horizonDays, fixed, tables)
  return { stayCase, stay, untilDays, horizonDays, table, play }
}
export type Ground = ReturnType<typeof groundOf>

/** What is held back in a search. */
export interface Held {
  without: readonly Id[]
  keeps: Keeps
}

/** A search among the habits that may be chosen. */
function searchOn(ground: Ground, { without, keeps }: Held) {
  const { stayCase, table, play, untilDays } = ground
  const branches = branchesOf(ground, choosable(stayCase, without), keeps)
  const { context } = branches[0]!
  const judge = ({ habits: chosen, bother }: FoundSet): HabitSet => {
    const ids = [...new Set(chosen.map(({ id }) => id))].sort()
    return { habits: ids, bother, ...play.quantile(ids, context.allowed) }
  }
  const best = (days: Days, over: number, cap: number): HabitSet | null => {
    let found: FoundSet | null = null
    for (const branch of branches) {
      branch.context.allowed = context.allowed
      const { bother } = branch
      const set = leastBother(branch.context, days, over - bother, (found?.bother ?? cap) - bother)
      if (set) found = { habits: [...branch.always, ...set.habits], bother: set.bother + bother }
    }
    return found && judge(found)
  }
  const lasting = (days: Days): HabitSet | null => {
    for (const branch of branches) {
      branch.context.allowed = context.allowed
      const set = leastBother(branch.context, days, -1, Infinity, true)
      if (set) return judge({ habits: [...branch.always, ...set.habits], bother: set.bother + branch.bother })
    }
    return null
  }
  return {
    judge,
    best,
    lasting,
    left: [...new Set(branches.flatMap(({ left }) => left.map(({ id }) => id)))],
    /** One with less bother that makes the nights in `TRIALS` trips: in search of what holds in more it may be passed over. */
    cheaper: (sets: readonly HabitSet[], goal: Goal | null): Goal | null => {
      const under = (goal?.bother ?? Infinity) - 1e-6
      for (const set of sets.filter(({ days, bother }) => days >= untilDays && bother < under)) {
        const chance = play.chance(set.habits, untilDays)
        if (chance >= ground.stay.confidence.value - 1e-9) return { ...set, chance }
      }
      return null
    },
    /** @param under only with less bother than this is it worth a word */
    goal: (curve: readonly HabitSet[], under = Infinity) =>
      goalOf({ context, untilDays, play, best, trips: table.trips, curve, under }),
  }
}

/** A search with some of the hinges on and the others off. */
interface Branch {
  always: Habit[]
  bother: number
  context: SearchContext
  left: Habit[]
}

function branchesOf(ground: Ground, habits: readonly Habit[], keeps: Keeps): Branch[] {
  const hinges = hingesOf(habits)
  const sets = hinges.reduce<Habit[][]>(
    (all, hinge) => [...all, ...all.filter(isFreeOf(hinge)).map((set) => [...set, hinge])],
    [[]],
  )
  return sets.map((always) => {
    const others = habits.filter((habit) => !hinges.includes(habit) && isFreeOf(habit)(always))
    const { components, left } = componentsOf(others, always)
    const bother = always.reduce((sum, habit) => sum + habit.bother.value, 0)
    return { always, bother, context: contextOf(ground, components, others, keeps, always), left }
  })
}

const isFreeOf = (habit: Habit) => (set: readonly Habit[]) => set.every((other) => !areRivals(other, habit))

/** The same search with one of the things allowed that are held back; null where that buys nothing. */
function withoutHold(ground: Ground, held: Held, by: Hold, { goal, most }: Reach): HeldBack | null {
  const search = searchOn(ground, {
    without: by === 'refused' ? [] : held.without,
    keeps: by === 'school' ? 'floor' : by === 'floor' ? 'nothing' : held.keeps,
  })
  const first = most.isBeyond ? most : search.lasting(most.days + STEP_DAYS / 2)
  const longest = first === null ? most : mostDays(search.lasting, first, false)
  const other = longest.days >= ground.untilDays ? search.goal([], goal?.bother) : null
  const isLonger = longest !== most && !most.isBeyond
  const isLess = other !== null && (goal === null || other.bother < goal.bother - 1e-6)
  return isLonger || isLess ? { by, most: longest, goal: other } : null
}
