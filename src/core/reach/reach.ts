import { ledger } from '../count'
import { blockedBy, flushKept, flushRatios, withHabits } from '../habits'
import { compile, compileChances, found, type Document, type Habit, type Id } from '../model'
import {
  asCount,
  chanceToLast,
  playTrips,
  quantileSorted,
  riskTables,
  samplerOf,
  TRIALS,
  type RiskTables,
} from '../risk'
import type { Days } from '../quantities'
import { componentsOf, type Component } from './components'
import { flowTable } from './flows'
import { leastBother, type FoundSet, type SearchContext } from './leastBother'
import { tripTable, type TripTable } from './tripTable'

/** A set of habits for the whole stay, and what it gives. */
export interface HabitSet {
  habits: Id[]
  bother: number
  /** Days that hold at the stay's confidence on the fixed trips; the search's horizon where `isBeyond`. */
  days: Days
  isBeyond: boolean
}

export interface Reach {
  /** The least bother that makes the nights; null: no set does. Its chance is of `TRIALS` trips. */
  goal: (HabitSet & { chance: number }) | null
  /** From no bother up: each set lasts at least a tenth of a day longer than any with less bother. */
  curve: HabitSet[]
  /** What stops the last set of the curve in most of the trips that fail; null: nothing within the horizon. */
  stopper: Id | null
  /** Habits that were not tried: too many that act on the same things. */
  left: Id[]
}

/** `goal` is undefined until the curve has come so far. */
export interface ReachSoFar {
  curve: HabitSet[]
  goal: Reach['goal'] | undefined
}

export interface ReachOptions {
  seed: number
  /** Days from the start until which it must last. */
  untilDays: Days
  /** Trips of the fixed sample. */
  trips?: number
  /** Habits these people will not take. */
  without?: readonly Id[]
  tables?: RiskTables
}

export const SAMPLE = 500
/** Days by which sets must differ to be worth more bother: what the screens show. */
const STEP_DAYS = 0.1
/** How far beyond the goal the curve is followed. */
const BEYOND_GOAL = 1.6

/**
 * Which habits make a stay last, with the least bother, and the whole trade-off of bother against days. Habits that are
 * blocked, or rationed anything, are not among them (a document that rations is refused). Sets keep the liquid
 * per solid use that the crew keeps (by its school of flushing) up to the goal, or what the stay has without habits where that is less.
 * @yields after each step what is known so far, so that it can be shown and stopped
 */
export function* reach(document: Document, stayId: Id, options: ReachOptions): Generator<ReachSoFar, Reach> {
  const { seed, untilDays, trips = SAMPLE, tables = riskTables() } = options
  const stay = found(document.stays, stayId, 'stay')
  const horizonDays = Math.min(stay.horizonDays.value, Math.ceil(untilDays * BEYOND_GOAL + 4))
  const habits = choosable(document, stayId, options.without ?? [])
  const { components, left } = componentsOf(habits)
  const table = tripTable(document, stayId, { seed, trips, horizonDays, tables })
  const context = contextOf(document, stayId, table, components, habits, untilDays)
  const play = playerOf(document, stayId, horizonDays, seed, tables)
  const judge = (set: FoundSet): HabitSet => ({ ...idsOf(set), ...play.quantile(idsOf(set).habits, trips, context.allowed) })
  const best = (days: Days, over: number, cap: number): HabitSet | null => {
    const set = leastBother(context, days, over, cap)
    return set && judge(set)
  }

  const curve: HabitSet[] = [judge({ habits: [], bother: 0 })]
  let goal: Reach['goal'] | undefined
  for (let last = curve[0]!; ; ) {
    if (goal === undefined && last.days >= untilDays)
      goal = goalOf({ context, untilDays, play, best, trips, curve })
    yield { curve: [...curve], goal }
    // The least bother for a tenth of a day more; where that is no more bother the set takes the last one's place.
    const next = last.isBeyond ? null : best(last.days + STEP_DAYS, last.bother - 1e-6, Infinity)
    if (!next) break
    if (next.bother <= last.bother + 1e-6) curve.pop()
    curve.push(next)
    last = next
  }
  goal ??= goalOf({ context, untilDays, play, best, trips, curve })
  const last = curve[curve.length - 1]!
  return { goal, curve, stopper: play.stopper(last.habits, trips), left: left.map(({ id }) => id) }
} // prettier-ignore

/** Habits that can be on in this rig and on this land, those with most days for their bother not known yet. */
function choosable(document: Document, stayId: Id, without: readonly Id[]): Habit[] {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  return document.habits.filter(
    (habit) => !without.includes(habit.id) && blockedBy(habit, rig, stay) === null,
  )
}

function idsOf({ habits, bother }: FoundSet): { habits: Id[]; bother: number } {
  return { habits: habits.map(({ id }) => id).sort(), bother }
}

function contextOf(
  document: Document,
  stayId: Id,
  table: TripTable,
  components: Component[],
  habits: Habit[],
  untilDays: Days,
): SearchContext {
  const stay = found(document.stays, stayId, 'stay')
  const crew = found(document.crews, stay.crew, 'crew')
  const { model } = table
  const reached = new Set(model.streams.filter(({ to, solidUses }) => to >= 0 && solidUses > 0).map(({ to }) => to))
  const ofFlush = components.map(({ activities }) =>
    model.streams.some(({ activity, to, isOfVessel }) => !isOfVessel && reached.has(to) && activities.includes(model.activities[activity]!.id)),
  )
  const parts = model.grid.edges.findIndex((edge, i) => i > 0 && edge >= untilDays)
  const leastOf = (ids: readonly Id[]) => {
    const compiled = table.compileWith(ids)
    const ratios = flushRatios(compiled, ledger(compiled), parts < 0 ? model.grid.count : parts)
    return Math.min(...ratios.map(({ least }) => least ?? Infinity))
  }
  const floor = Math.min(flushKept(crew), leastOf([]))
  const relevant = (set: readonly Habit[]) => set.filter((habit) => components.some(({ combos }, k) => ofFlush[k] && combos.some((combo) => combo.habits.includes(habit))))
  const known = new Map<string, boolean>()
  const keepsFloor = (set: readonly Habit[]) => {
    const ids = relevant(set).map(({ id }) => id).sort()
    const key = ids.join()
    if (!known.has(key)) known.set(key, leastOf(ids) >= floor - 1e-9)
    return known.get(key)!
  }
  const flows = flowTable(table, components, habits)
  const allowed = allowedOf(stay.confidence.value, table.trips)
  return { table, flows, ofFlush, keepsFloor, allowed }
} // prettier-ignore

/** Trips that may fail where so large a share must hold. */
export function allowedOf(confidence: number, trips: number): number {
  return Math.floor((1 - confidence) * trips + 1e-9)
}

/** Trips of a set of habits from the sampler itself: the search only has to find sets, not to vouch for them. */
function playerOf(document: Document, stayId: Id, horizonDays: Days, seed: number, tables: RiskTables) {
  const ends = (habits: readonly Id[], trips: number) => {
    const changed = withHabits(document, stayId, habits)
    const model = compile(changed, stayId, { horizonDays })
    const sampler = samplerOf(model, compileChances(changed, stayId, model), { tables })
    return { model, ...playTrips(sampler, tables.streams(seed, 0, trips)) }
  }
  return {
    quantile(habits: readonly Id[], trips: number, allowed: number) {
      const { days } = ends(habits, trips)
      return asCount(quantileSorted(days.sort(), (allowed + 0.5) / trips), horizonDays)
    },
    chance: (habits: readonly Id[], days: Days) => chanceToLast(ends(habits, TRIALS).days, days),
    stopper(habits: readonly Id[], trips: number): Id | null {
      const { model, stopper } = ends(habits, trips)
      const stops = model.containers.map((_, c) => stopper.reduce((sum, s) => sum + (s === c ? 1 : 0), 0))
      const most = Math.max(...stops)
      return most === 0 ? null : model.containers[stops.indexOf(most)]!.id
    },
  }
}

interface GoalSearch {
  context: SearchContext
  untilDays: Days
  play: ReturnType<typeof playerOf>
  best: (days: Days, over: number, cap: number) => HabitSet | null
  trips: number
  curve: readonly HabitSet[]
}

/**
 * The least bother for the goal lies between the last set of the curve that falls short by a step and the first that lasts.
 * A set that holds in the fixed trips may fall short in many: then it must hold in more of the fixed ones.
 */
function goalOf({ context, untilDays, play, best, trips, curve }: GoalSearch): Reach['goal'] {
  const confidence = 1 - context.allowed / trips
  const { allowed } = context
  const short = curve.filter(({ days }) => days + STEP_DAYS <= untilDays)
  const over = short.length === 0 ? -1 : short[short.length - 1]!.bother
  try {
    for (let strictness = 0; strictness < 5 && context.allowed >= 0; strictness++) {
      const set = best(untilDays, over, Infinity)
      if (!set) return null
      const chance = play.chance(set.habits, untilDays)
      if (chance >= confidence - 1e-9) return { ...set, chance }
      context.allowed -= Math.max(1, Math.round((confidence - chance) * trips))
    }
    return null
  } finally {
    context.allowed = allowed
  }
}
