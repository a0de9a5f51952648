import { dayAndPartOf, wallDaysBetween, type DayNumber, type WallTime } from '../calendar'
import { todayOf } from '../habits'
import { completenessOf, openUses, standing, type LogEntry, type UseEntry } from '../log'
import { compile, type Model } from '../compile'
import { fromItsStart, type Activity, type Id, type StayCase } from '../domain'
import type { Days, Factor } from '../quantities'
import { apartAsTheyWant, factorFrom } from './rates'

/** Uses by a line: at factor f there are `fixed` + f × `perFactor` of them. */
export interface Line {
  fixed: number
  perFactor: number
}
export const lineAt = ({ fixed, perFactor }: Line, f: Factor): number => fixed + f * perFactor

/** What is known of one activity's uses for its budget, up to now. */
export interface Allowance {
  activity: Id
  /** What a day of the stay grants, up to the last day before the goal. */
  byDay: Line[]
  /** Uses that were made on each day up to today: those logged, and those that were not. */
  spent: number[]
  /** Uses that swaps of each of these days brought, or took. */
  swapped: number[]
  today: DayNumber
}

/**
 * What each activity that may be saved is granted by day, and what of it was spent.
 * @param until the goal @param log of the stay; none while it is planned
 */
export function allowances(
  stayCase: StayCase,
  saved: readonly Activity[],
  until: WallTime,
  log: readonly LogEntry[],
): Allowance[] {
  const { stay, now } = stayCase
  const whole = fromItsStart(stayCase)
  const horizonDays = Math.max(0.25, wallDaysBetween(stay.start, until))
  const [none, one] = [0, 1].map((f) =>
    compile(factorFrom(apartAsTheyWant(whole, saved), saved, f, 0), { horizonDays }),
  ) as [Model, Model]
  const usual = compile(whole, { horizonDays })
  const today = todayOf(stayCase)
  const made = now ? standing(log).filter((entry) => isUse(entry) && entry.stay === stay.id) : []
  const at = now?.at ?? stay.start
  const uses = (made as (UseEntry & LogEntry)[]).filter((entry) => entry.at <= at)
  const gone = wallDaysBetween(stay.start, at)
  const open = now
    ? openUses(whole, usual, uses, gone, completenessOf(whole, usual, uses, { until: gone }))
    : []
  return saved.map(({ id }) => {
    const a = stayCase.crew.activities.findIndex((activity) => activity.id === id)
    const [least, most] = [byDay(none, a, horizonDays), byDay(one, a, horizonDays)]
    const days = least.map((fixed, day) => ({ fixed, perFactor: most[day]! - fixed }))
    return {
      activity: id,
      byDay: days,
      spent: now ? spentByDay(stayCase, id, usual, open[a]!, uses, today) : [],
      swapped: swappedByDay(stayCase, id, today),
      today,
    }
  })
}

const isUse = (entry: LogEntry): boolean => entry.kind === 'use'

/** Uses of each day of a model that begins with the stay, cut at an instant. */
function byDay({ grid, uses }: Model, a: number, until: Days): number[] {
  const days: number[] = []
  for (let i = 0; i < grid.count; i++) {
    const [from, to] = [grid.edges[i]!, grid.edges[i + 1]!]
    const share = Math.min(1, Math.max(0, (until - from) / (to - from)))
    const day = grid.day[i]!
    days[day] = (days[day] ?? 0) + uses[a * grid.count + i]! * share
  }
  return days
}

/** Uses of each day up to today: those logged, and those that were made and not logged, or are expected by the clock. */
function spentByDay(
  { stay }: StayCase,
  id: Id,
  { grid }: Model,
  open: Float64Array,
  uses: readonly (UseEntry & LogEntry)[],
  today: DayNumber,
): number[] {
  const spent = Array.from({ length: today + 1 }, () => 0)
  const add = (day: DayNumber, n: number) => {
    if (day <= today) spent[day]! += n
  }
  open.forEach((n, i) => add(grid.day[i]!, n))
  for (const { activity, at, n } of uses) if (activity === id) add(dayAndPartOf(stay.start, at).day, n)
  return spent
}

function swappedByDay({ stay }: StayCase, id: Id, today: DayNumber): number[] {
  return Array.from({ length: today + 1 }, (_, day) =>
    stay.budget.swaps.reduce((sum, swap) => {
      if (swap.day !== day) return sum
      return sum + (swap.more === id ? swap.plus : 0) - (swap.less === id ? swap.by : 0)
    }, 0),
  )
}

/** More than one use is not carried over: what was not taken by then is in the tanks, and spread over the days to come. */
const MOST_CARRIED = 1

/**
 * Uses that are left today at a factor, >= 0, not rounded: today's allowance and what was carried over, less what was spent.
 * Never falls with the factor.
 */
export function leftToday({ byDay: days, spent, swapped, today }: Allowance, f: Factor): number {
  // Of days gone by nobody was granted more than usual.
  const before = Math.min(1, f)
  let carried = 0
  for (let day = 0; day < today; day++) {
    const rest = carried + lineAt(days[day]!, before) + (swapped[day] ?? 0) - (spent[day] ?? 0)
    carried = Math.min(MOST_CARRIED, Math.max(0, rest))
  }
  const granted = days[today] ? lineAt(days[today], f) : 0
  return Math.max(0, carried + granted + (swapped[today] ?? 0) - (spent[today] ?? 0))
}

/** Uses of the days after today, up to the goal. */
export function leftLater({ byDay: days, today }: Allowance, f: Factor): number {
  return days.slice(today + 1).reduce((sum, line) => sum + lineAt(line, f), 0)
}

/** The first day after today by which a whole use has added up at a factor; null: none before the goal. */
export function nextWhole(allowance: Allowance, f: Factor): DayNumber | null {
  let sum = leftToday(allowance, f) % 1
  for (let day = allowance.today + 1; day < allowance.byDay.length; day++) {
    sum += lineAt(allowance.byDay[day]!, f)
    if (sum >= 1 - WHOLE_HAIR) return day
  }
  return null
}
/** A hair below a whole use is one. */
export const WHOLE_HAIR = 1e-6
