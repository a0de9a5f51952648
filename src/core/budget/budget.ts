import { wallDaysBetween, type DayNumber, type WallTime } from '../calendar'
import { ledger } from '../count'
import { todayOf } from '../habits'
import { effectsOf } from '../learn'
import type { LogEntry } from '../log'
import { compile, compileChances } from '../compile'
import type { Activity, Id, StayCase } from '../domain'
import type { Days, Factor, Litres, Share } from '../quantities'
import { allowances, leftLater, leftToday, lineAt, nextWhole, WHOLE_HAIR, type Allowance } from './allowance'
import { goalOf } from './goal'
import { caseAtFactor, groundsOf, type Grounds } from './atFactor'
import { heldUntil, isCertain, type Held, type TripOptions } from './holds'
import { byPerson, type PersonLeft } from './persons'
import { partedBySaving } from './saved'

/** What is left of one activity at the budget's factor. */
export interface BudgetLine {
  activity: Id
  /** Whole uses left today, and the uses that stand behind them: the rest is carried over. */
  today: number
  left: number
  /** Uses today's allowance had, with what was carried over and swapped; of them these are spent. */
  allowed: number
  spent: number
  /** Uses of the days after today, up to the goal. */
  later: number
  /** The next day after today that has a whole use; null: none before the goal. */
  next: DayNumber | null
  /** L (uses) that one use brings the binding container nearer its limit; 0: none of it goes there. */
  cost: Litres
  /** Of those done by persons: whole uses left for each that is there. */
  persons: PersonLeft[]
}

/**
 * `held`: it holds at the factor. `short`: not even with none of it. `past`: the goal has gone by. `nothing`: there is
 * nothing to save.
 */
export type BudgetState = 'held' | 'short' | 'past' | 'nothing'

/** What may be used up to a goal (model.md section 7). */
export interface Budget {
  state: BudgetState
  night: DayNumber
  until: WallTime
  confidence: Share
  /** What the rates of what may be saved are times, at most `MOST_FACTOR`. */
  factor: Factor
  /** Nothing of it needs to be saved, however much is used. */
  isFree: boolean
  /** Chance to reach the goal at the factor, and with everything as usual. */
  chance: Share
  asUsual: Share
  /** Where it is short: the last night that saving alone reaches; null: none. */
  reaches: DayNumber | null
  /** What fails first, were there more. */
  binds: Id | null
  lines: BudgetLine[]
  /** Activities it does not touch. */
  kept: Id[]
  /** 0: nothing is uncertain, the ledger was enough. */
  trials: number
}

export interface BudgetOptions extends TripOptions {
  /** A factor to look about first: what it was before. */
  guess?: Factor
}

/** Nobody needs more than this many times the usual. */
export const MOST_FACTOR = 8
/** How near the factor is found: without spreads to the ninth decimal, on trips to a third of a hundredth. */
const FINE = 1e-10
const COARSE = 0.003

/**
 * The largest factor so that, with the rates of what may be saved times it, nothing is breached before the goal in as many
 * trips as are wanted, always the same ones; and what that leaves today.
 * @param log of the stay; none while it is planned
 */
export function budget(stayCase: StayCase, log: readonly LogEntry[], options: BudgetOptions): Budget {
  const { stay, now } = stayCase
  const goal = goalOf(stay)
  const { night, at: until, confidence } = goal
  const { saved, kept } = partedBySaving(stayCase.crew)
  const days = wallDaysBetween(now?.at ?? stay.start, until)
  const base = { night, until, confidence, kept: kept.map(({ id }) => id) }
  const none = {
    factor: 1,
    isFree: false,
    chance: 0,
    asUsual: 0,
    reaches: null,
    binds: null,
    lines: [],
    trials: 0,
  }
  if (days <= 0) return { ...base, ...none, state: 'past' }
  const allowed = allowances(stayCase, saved, until, log)
  const grounds = groundsOf(stayCase, saved, allowed)
  const at = (f: Factor) => heldUntil(caseAtFactor(grounds, f), goal, options)
  const isSure = isCertain(compileChances(stayCase, compile(stayCase, { horizonDays: days })))
  const usual = at(1)
  const isAnything = allowed.some(({ byDay }) => byDay.some(({ perFactor }) => perFactor > 0))
  const found = isAnything
    ? largest(at, usual, confidence, isSure ? FINE : COARSE, options.guess)
    : { factor: 1, held: usual, beyond: usual, isFree: false, isShort: usual.chance < confidence }
  const { factor, held, beyond, isFree, isShort } = found
  const binds = beyond?.failing[0]?.container ?? null
  return {
    ...base,
    state: isShort ? 'short' : isAnything ? 'held' : 'nothing',
    factor,
    isFree,
    chance: held.chance,
    asUsual: usual.chance,
    reaches: isShort && held.lasts !== null ? nightBefore(stayCase, held.lasts) : null,
    binds,
    lines: linesOf(grounds, factor, binds, log, days),
    trials: isSure ? 0 : options.trials,
  }
}

/** The last night that has ended at eleven by so many days from where a case begins; null: none has. */
function nightBefore(stayCase: StayCase, days: Days): DayNumber | null {
  const { stay, now } = stayCase
  const from = now?.at ?? stay.start
  const morning = (night: DayNumber) =>
    wallDaysBetween(from, goalOf({ ...stay, budget: { ...stay.budget, night } }).at)
  let night = todayOf(stayCase)
  if (morning(night) > days) return null
  while (morning(night + 1) <= days) night += 1
  return night
}

interface Found {
  factor: Factor
  held: Held
  /** Of the least factor that was seen to fail; null: none was. */
  beyond: Held | null
  isFree: boolean
  isShort: boolean
}

/** A guess is looked about first, this much to either side and then three times as far. */
const ABOUT = 0.025
/** What is interpolated stays this share of the bracket away from its ends: so each step narrows it. */
const INSIDE = 0.08

/**
 * Holding never gets likelier with more of it: the edge is bracketed from about where it was before, then found by false
 * position on the chances, or by halving where they are 0 and 1.
 */
function largest(
  at: (f: Factor) => Held,
  usual: Held,
  confidence: Share,
  within: number,
  guess: Factor = 1,
): Found {
  const holds = ({ chance }: Held) => chance >= confidence
  const low: { f: Factor; held: Held | null } = { f: 0, held: null }
  const high: { f: Factor; held: Held | null } = { f: MOST_FACTOR, held: null }
  const learn = (f: Factor, held: Held) => void Object.assign(holds(held) ? low : high, { f, held })
  const isInside = (f: Factor) => f > low.f && f < high.f
  learn(1, usual)
  for (let width = ABOUT; width < 1 && (!low.held || !high.held); width *= 3)
    for (const f of [guess * (1 - width), guess * (1 + width)]) if (isInside(f)) learn(f, at(f))
  if (!low.held) {
    const least = at(0)
    if (!holds(least)) return { factor: 0, held: least, beyond: least, isFree: false, isShort: true }
    low.held = least
  }
  if (!high.held) {
    const most = at(MOST_FACTOR)
    if (holds(most)) return { factor: MOST_FACTOR, held: most, beyond: null, isFree: true, isShort: false }
    high.held = most
  }
  while (high.f - low.f > within * Math.max(0.01, high.f)) {
    const f = low.f + (high.f - low.f) * between(low.held.chance, high.held.chance, confidence)
    learn(f, at(f))
  }
  return { factor: low.f, held: low.held, beyond: high.held, isFree: false, isShort: false }
}

/** Where between two chances a third lies, as a share of the way. */
function between(low: Share, high: Share, wanted: Share): Share {
  if (low - high > 0.5) return 0.5
  const share = (low - wanted) / Math.max(low - high, 1e-9)
  return Math.min(1 - INSIDE, Math.max(INSIDE, share))
}

function linesOf(
  grounds: Grounds,
  factor: Factor,
  binds: Id | null,
  log: readonly LogEntry[],
  days: Days,
): BudgetLine[] {
  const costs = costsOf(grounds.stayCase, grounds.saved, binds, days)
  return grounds.allowances.map((allowance, k) => {
    const activity = grounds.saved[k]!
    const left = leftToday(allowance, factor)
    const spent = allowance.spent[allowance.today] ?? 0
    const today = Math.floor(left + WHOLE_HAIR)
    return {
      activity: activity.id,
      today,
      left,
      allowed: allowedToday(allowance, factor),
      spent,
      later: leftLater(allowance, factor),
      next: nextWhole(allowance, factor),
      cost: costs[k]!,
      persons: activity.per === 'person' ? byPerson(grounds.stayCase, activity, today, log) : [],
    }
  })
}

function allowedToday(allowance: Allowance, factor: Factor): number {
  const spent = allowance.spent[allowance.today] ?? 0
  const left = leftToday(allowance, factor)
  const granted = allowance.byDay[allowance.today]
  return left > 0 ? left + spent : granted ? lineAt(granted, factor) : 0
}

/** What one use of each brings a container nearer its limit, in the first part in which it may fall. */
export function costsOf(
  stayCase: StayCase,
  saved: readonly Activity[],
  container: Id | null,
  days: Days,
): Litres[] {
  const model = compile(stayCase, { horizonDays: Math.min(days, 1) })
  const c = model.containers.findIndex(({ id }) => id === container)
  if (c < 0) return saved.map(() => 0)
  const { drawn, fixed, width } = effectsOf(model, ledger(model))
  const sign = model.containers[c]!.side === 'supply' ? -1 : 1
  return saved.map(({ id }) => {
    const a = model.activities.findIndex((one) => one.id === id)
    const { count } = model.grid
    const row = model.uses.subarray(a * count, (a + 1) * count)
    const part = Math.max(
      0,
      row.findIndex((n) => n > 0),
    )
    const at = (a * count + part) * width + c
    return sign * (drawn[at]! + fixed[at]!)
  })
}
