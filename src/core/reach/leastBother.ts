import { BREACH_TOLERANCE } from '../count'
import type { Habit } from '../domain'
import type { Days } from '../quantities'
import type { ComboFlow, FlowTable } from './flows'
import { reuseOf } from './reuse'
import type { TripTable } from './tripTable'

export interface FoundSet {
  habits: Habit[]
  bother: number
}

export interface SearchContext {
  table: TripTable
  flows: FlowTable
  /** Components whose habits change how much liquid falls on solids. */
  ofFlush: boolean[]
  keepsFloor: (habits: readonly Habit[]) => boolean
  /** Habits that are on whatever is chosen. */
  always: readonly Habit[]
  /** Trips that may fail. */
  allowed: number
}

/**
 * The set of habits with the least bother that lasts to an instant in enough of the trips, exactly: branch and bound over
 * components. Levels without a run only ever move towards their limits, so a trip lasts to an instant if its levels then
 * are within their limits, and what components bring adds up. Sets are left out only where they
 * - bother as much as one already found,
 * - fail even if every component still open did, container by container and trip by trip, the best it can,
 * - or bring, in a component no vessel touches, nowhere less than one that bothers no more.
 * Vessels tie components together: for each choice of vessels what they can hold back is bounded by what is offered and
 * wanted, and a set that passes on this bound alone is played in the trips where it matters.
 * @param over only sets that bother more than this: no other is known to last @param cap and less than this
 * @param isAnyEnough takes the first set that lasts, whatever its bother
 */
export function leastBother(
  context: SearchContext,
  days: Days,
  over: number,
  cap: number,
  isAnyEnough = false,
): FoundSet | null {
  const { vessels, touching } = context.flows
  if (!context.ofFlush.includes(true) && !context.keepsFloor(context.always)) return null
  const { rest, combos } = context.flows.at(days)
  const whole = combos.map((all, k) =>
    listOf(
      context,
      all.filter((flow) => isAllowed(context, flow, k)),
    ),
  )
  const short = whole.map(({ flows }, k) => listOf(context, pruned(context, flows, k)))
  let best: FoundSet | null = null
  let limit = cap
  const masks = [...Array(1 << vessels.length).keys()].sort((a, b) => bits(a) - bits(b))
  for (const mask of masks) {
    const open = whole.map((list, k) => ofMask((touching[k]! & mask) === 0 ? short[k]! : list, mask))
    if (open.some(({ flows }) => flows.length === 0)) continue
    const found = searchMask(context, { days, mask, rest, open, over, cap: limit, isAnyEnough })
    if (!found) continue
    if (isAnyEnough) return found
    best = found
    limit = found.bother
  }
  return best
}

/** Combos of one component by bother, with the best any of them does in each trip: the least to a limit, the most to and from vessels. */
interface List {
  flows: readonly ComboFlow[]
  extremes: Float64Array
}

function listOf(
  { flows: { columns }, table: { limited, trips } }: SearchContext,
  flows: readonly ComboFlow[],
): List {
  const extremes = Float64Array.from(flows[0]!.totals)
  for (const { totals } of flows)
    for (let t = 0, k = 0; t < trips; t++)
      for (let column = 0; column < columns; column++, k++) {
        const isBetter = column < limited.length ? totals[k]! < extremes[k]! : totals[k]! > extremes[k]!
        if (isBetter) extremes[k] = totals[k]!
      }
  return { flows, extremes }
}

/** Those that bring just the vessels into play that are chosen; the extremes of all bound them too. */
function ofMask({ flows, extremes }: List, mask: number): List {
  const own = flows.reduce((sum, { vessels }) => sum | vessels, 0)
  return { flows: flows.filter(({ vessels }) => vessels === (mask & own)), extremes }
}

function bits(mask: number): number {
  return mask === 0 ? 0 : (mask & 1) + bits(mask >> 1)
}

/** Where one component alone decides about the flush floor its combos are held to it at once. */
function isAllowed({ ofFlush, keepsFloor }: SearchContext, { combo }: ComboFlow, k: number): boolean {
  const isAlone = ofFlush.filter(Boolean).length === 1
  return !(ofFlush[k]! && isAlone) || keepsFloor(combo.habits)
}

/** Combos of a component that nothing else beats everywhere for no more bother. */
function pruned(context: SearchContext, all: readonly ComboFlow[], k: number): ComboFlow[] {
  const { ofFlush, table } = context
  const floorTies = ofFlush[k]! && ofFlush.filter(Boolean).length > 1
  if (floorTies) return [...all]
  const kept: ComboFlow[] = []
  for (const flow of all)
    if (
      !kept.some(
        (other) => other.vessels === flow.vessels && isNoMore(other, flow, table, context.flows.columns),
      )
    )
      kept.push(flow)
  return kept
}

function isNoMore(a: ComboFlow, b: ComboFlow, { trips, limited }: TripTable, columns: number): boolean {
  for (let t = 0; t < trips; t++)
    for (let k = t * columns; k < t * columns + limited.length; k++)
      if (a.totals[k]! > b.totals[k]!) return false
  return true
}

interface MaskSearch {
  days: Days
  mask: number
  rest: Float64Array
  open: readonly List[]
  over: number
  cap: number
  isAnyEnough: boolean
}

function searchMask(context: SearchContext, search: MaskSearch): FoundSet | null {
  const { rest, open, over, cap, isAnyEnough } = search
  // The longest list comes last: there only the first that holds is wanted.
  const levels = [...open].sort((a, b) => a.flows.length - b.flows.length)
  const { leastFrom, mostFrom } = bothersOf(levels)
  if (leastFrom(0) >= cap - 1e-9 || mostFrom(0) <= over + 1e-9) return null
  const { best, state } = stateOf(context, search, levels)
  if (state.allowed < 0) return null
  // Nothing is to be chosen: what is on anyway lasts, or nothing does.
  if (levels.length === 0)
    return holds(context, state, [], rest, best[0]!, best[0]!) ? { habits: [], bother: 0 } : null
  // Where any will do those that save most come first.
  const tried = levels.map(({ flows }) => (isAnyEnough ? [...flows].reverse() : flows))
  const partial = levels.map(() => new Float64Array(rest.length))
  const needsFloor = context.ofFlush.filter(Boolean).length > 1
  let found: FoundSet | null = null
  let limit = cap

  const descend = (d: number, sums: Float64Array, chosen: readonly ComboFlow[], bother: number): void => {
    for (const flow of tried[d]!) {
      const now = bother + flow.combo.bother
      if (now + leastFrom(d + 1) >= limit - 1e-9) return
      if (now + mostFrom(d + 1) <= over + 1e-9) continue
      const isWhole = d === levels.length - 1
      const habits = isWhole ? habitsOf([...chosen, flow]) : null
      if (!holds(context, state, habits, sums, flow.totals, best[d + 1]!)) continue
      if (habits) {
        if (needsFloor && !context.keepsFloor(habits)) continue
        limit = isAnyEnough ? -Infinity : now
        found = { habits, bother: now }
        return
      }
      const next = partial[d]!
      for (let k = 0; k < next.length; k++) next[k] = sums[k]! + flow.totals[k]!
      descend(d + 1, next, [...chosen, flow], now)
    }
  }
  descend(0, rest, [], 0)
  return found
}

/** Each habit once: those that are always on stand in every combination. */
function habitsOf(flows: readonly ComboFlow[]): Habit[] {
  return [...new Set(flows.flatMap(({ combo }) => combo.habits))]
}

/** The least and the most bother of the levels from one on. */
function bothersOf(levels: readonly List[]) {
  const sums = (bothers: readonly number[]) => {
    const from = [...bothers.keys(), bothers.length].map((d) =>
      bothers.slice(d).reduce((sum, bother) => sum + bother, 0),
    )
    return (d: number) => from[d]!
  }
  return {
    leastFrom: sums(levels.map(({ flows }) => flows[0]!.combo.bother)),
    mostFrom: sums(levels.map(({ flows }) => flows[flows.length - 1]!.combo.bother)),
  }
}

/** The best that the levels from each one on may still bring, and the trips that are not decided by it. */
function stateOf(context: SearchContext, { days, mask, rest }: MaskSearch, levels: readonly List[]) {
  const none = new Float64Array(rest.length)
  const best = [...levels.map((_, d) => sumOf(levels.slice(d).map(({ extremes }) => extremes))), none]
  const begun = { days, mask, order: [], allowed: context.allowed }
  return { best, state: openTrips(context, begun, rest, best[0]!, none) }
}

function sumOf(rows: readonly Float64Array[]): Float64Array {
  const sum = new Float64Array(rows[0]!.length)
  for (const row of rows) for (let k = 0; k < sum.length; k++) sum[k]! += row[k]!
  return sum
}

/** What a search for one choice of vessels and one instant keeps in hand. */
interface SearchState {
  days: Days
  mask: number
  /** Trips that may go either way, hardest first: a set that fails is found out early. */
  order: number[]
  /** How many of them may fail; negative: more fail whatever is chosen. */
  allowed: number
}

/** Takes out the trips that fail even at best. */
function openTrips(
  { table, flows }: SearchContext,
  state: SearchState,
  rest: Float64Array,
  best: Float64Array,
  none: Float64Array,
): SearchState {
  const { limited, room, trips } = table
  const saved = new Float64Array(limited.length)
  const over = Float64Array.from({ length: trips }, (_, t) => {
    if (state.mask !== 0)
      mostSaved(flows.vessels, state.mask, limited.length, rest, best, none, t * flows.columns, saved)
    return limited.reduce((most, _, k) => {
      const at = t * flows.columns + k
      const fits = room[t * limited.length + k]! + saved[k]!
      const past = rest[at]! + best[at]! - fits
      return Math.max(most, past > BREACH_TOLERANCE ? Infinity : past / Math.max(1e-9, Math.abs(fits)))
    }, -Infinity)
  })
  const order = [...over.keys()].filter((t) => over[t] !== Infinity).sort((a, b) => over[b]! - over[a]!)
  return { ...state, order, allowed: state.allowed - (trips - order.length) }
}

/**
 * Whether enough trips last with a + b + c brought. @param habits the set, for what vessels really do; null while it is
 * open: then a trip counts as lasting wherever it might
 */
function holds(
  { table, flows }: SearchContext,
  { days, mask, order, allowed }: SearchState,
  habits: readonly Habit[] | null,
  a: Float64Array,
  b: Float64Array,
  c: Float64Array,
): boolean {
  const { limited, room } = table
  const { columns, vessels } = flows
  const levels = limited.length
  const saved = new Float64Array(levels)
  const open: number[] = []
  let failed = 0
  for (let n = 0; n < order.length && failed <= allowed; n++) {
    const t = order[n]!
    const at = t * columns
    if (mask !== 0) mostSaved(vessels, mask, levels, a, b, c, at, saved)
    let [fails, mightFail] = [false, false]
    for (let k = 0; k < levels; k++) {
      const over = a[at + k]! + b[at + k]! + c[at + k]! - room[t * levels + k]! - BREACH_TOLERANCE
      if (over > saved[k]!) fails = true
      if (over > 0) mightFail = true
    }
    if (fails) failed++
    else if (mightFail && mask !== 0) open.push(t)
  }
  if (failed > allowed) return false
  if (habits === null || failed + open.length <= allowed) return true
  const reuse = reuseOf(table, habits, days)
  const change = new Float64Array(levels)
  for (const t of open) {
    reuse(t, change)
    const at = t * columns
    const isPast = (_: number, k: number) =>
      a[at + k]! + b[at + k]! + change[k]! - room[t * levels + k]! > BREACH_TOLERANCE
    if (limited.some(isPast) && ++failed > allowed) return false
  }
  return true
}

/** What the vessels in play can hold back at most: no more than offered, nor than wanted and what stays in them. */
function mostSaved(
  vessels: FlowTable['vessels'],
  mask: number,
  levels: number,
  a: Float64Array,
  b: Float64Array,
  c: Float64Array,
  at: number,
  saved: Float64Array,
): void {
  for (let k = 0; k < levels; k++) saved[k] = 0
  for (let v = 0; v < vessels.length; v++) {
    if ((mask & (1 << v)) === 0) continue
    const { capacity, receivers, supplies } = vessels[v]!
    const column = at + levels + 2 * v
    const offered = a[column]! + b[column]! + c[column]!
    const wanted = a[column + 1]! + b[column + 1]! + c[column + 1]!
    for (let k = 0; k < receivers.length; k++) saved[receivers[k]!]! += Math.min(offered, wanted + capacity)
    for (let k = 0; k < supplies.length; k++) saved[supplies[k]!]! += Math.min(offered, wanted)
  }
}
