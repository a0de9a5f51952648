import { addWallDays, dayAndPartOf, wallDaysBetween, type WallTime } from '../calendar'
import { countsOn, type TripOptions } from '../risk'
import { count } from '../count'
import { loggedUses, openUses, standing, type LogEntry, type RunEntry } from '../log'
import { compile } from '../compile'
import type { HabitOn, Id, JointDraws, Now, StayCase } from '../domain'
import type { Days } from '../quantities'
import { caseNow, expectedNow, steppedTo, type NewUse } from './caseNow'
import { learnStay, type Logged, type StayLearned } from './learnStay'
import { asPutIn } from './made'

/**
 * What moved the count since yesterday, beside the day that went by. `day`: what of it was dearer or cheaper than a day;
 * `use`: more or fewer uses than expected; `runs`: what was emptied or filled; `levels`: what was read; `learned`: litres of a
 * use; `plan`: what was changed from today on.
 */
export type Cause =
  | { kind: 'day'; warmest: number; usual: number }
  | { kind: 'use'; activity: Id; n: number; expected: number }
  | { kind: 'runs' }
  | { kind: 'levels'; isRead: boolean }
  | { kind: 'learned' }
  | { kind: 'plan' }

export interface Part {
  cause: Cause
  /** Days that it brought the count to plan on, on the same trips. */
  days: Days
}

export interface SinceYesterday {
  from: WallTime
  at: WallTime
  elapsed: Days
  /** Days to plan on then, and now. */
  then: Days
  now: Days
  /** now − (then − elapsed): the sum of the parts. */
  change: Days
  /** Most first. */
  parts: Part[]
  /** Days by which the average count is ahead of what the plan, lived as planned, would have now; negative: behind. */
  ahead: Days
}

export interface SinceRequest extends Logged, TripOptions {
  earlier: readonly Logged[]
  at: WallTime
}

/**
 * Yesterday replayed: the count of a day ago, and then one difference after the other put into it, each counted on the same
 * trips, so that what each is worth adds up to the whole.
 */
export function sinceYesterday({ stayCase, log, earlier, at, ...trips }: SinceRequest): SinceYesterday {
  const { stay } = stayCase
  const day = addWallDays(at, -1)
  const from = day < stay.start ? stay.start : day
  const elapsed = wallDaysBetween(from, at)
  const before = planOf(stayCase, dayAndPartOf(stay.start, at).day)
  const until = (time: WallTime) => log.filter((entry) => entry.at <= time)
  const learnedAt = (plan: StayCase, time: WallTime) =>
    learnStay({ stayCase: plan, log: until(time), earlier, at: time, seed: trips.seed })
  const [then, now] = [learnedAt(before, from), learnedAt(before, at)]
  const horizonDays = stay.horizonDays.value
  const counted = (one: StayCase) => countsOn(one, horizonDays, trips).planOn
  const steps = stepsOf(before, then, now, {
    from,
    at,
    log: standing(until(at)).filter((one) => one.at > from),
  })
  let value = counted(caseNow(before, then))
  const first = value
  const parts: Part[] = []
  const put = (cause: Cause, next: StayCase, plus: Days = 0) => {
    const counts = counted(next)
    parts.push({ cause, days: counts - value + plus })
    value = counts
  }
  for (const { cause, stepped } of steps) put(cause, stepped, cause.kind === 'day' ? elapsed : 0)
  const today = caseNow(stayCase, before === stayCase ? now : learnedAt(stayCase, at))
  if (before !== stayCase) put({ kind: 'plan' }, today)
  const planned = count(compile(expectedNow(stayCase, at))).days ?? horizonDays
  return {
    ...{ from, at, elapsed, then: first, now: value },
    change: value - (first - elapsed),
    parts: parts.sort((a, b) => Math.abs(b.days) - Math.abs(a.days)),
    ahead: (count(compile(today)).days ?? horizonDays) - planned,
  }
}

interface Span {
  from: WallTime
  at: WallTime
  /** What was logged in it. */
  log: readonly LogEntry[]
}

function stepsOf(
  plan: StayCase,
  then: StayLearned,
  now: StayLearned,
  span: Span,
): { cause: Cause; stepped: StayCase }[] {
  const { from, at, log } = span
  const yesterday = caseNow(plan, then)
  const lived = steppedTo(yesterday, at, [])
  const { usual, days } = plan.stay.weather
  const numbers = [dayAndPartOf(plan.stay.start, from).day, dayAndPartOf(plan.stay.start, at).day]
  const warmest = Math.max(
    ...numbers.map((day) => (days.find((one) => one.day === day)?.warmest ?? usual).value),
  )
  const steps: { cause: Cause; stepped: StayCase }[] = [
    { cause: { kind: 'day', warmest, usual: usual.value }, stepped: lived },
  ]
  const more = moreUses(yesterday, span, now)
  const made: NewUse[] = []
  for (const { activity, n, expected } of more) {
    made.push({ activity, n: n - expected })
    steps.push({ cause: { kind: 'use', activity, n, expected }, stepped: steppedTo(yesterday, at, made) })
  }
  let last = steps.at(-1)!.stepped
  const touched = new Set(
    log.flatMap((entry) => (entry.kind === 'run' ? (entry as RunEntry).did.map((one) => one.container) : [])),
  )
  if (touched.size > 0) {
    last = { ...last, now: mixed(last.now!, now.now, (c) => memberOf(plan, now, c, touched)) }
    steps.push({ cause: { kind: 'runs' }, stepped: last })
  }
  const isRead = log.some(({ kind }) => kind === 'reading')
  const read = { ...last, now: mixed(last.now!, now.now, () => true) }
  steps.push({ cause: { kind: 'levels', isRead }, stepped: read })
  steps.push({ cause: { kind: 'learned' }, stepped: caseNow(plan, now) })
  return steps
}

function memberOf(plan: StayCase, { now }: StayLearned, c: number, ids: ReadonlySet<Id>): boolean {
  const model = compile({ ...plan, now }, { horizonDays: 1 })
  return model.containers[c]!.members.some((id) => ids.has(id))
}

/** Levels of some containers as they are known later, with their draws and all that hangs on an emptying. */
function mixed(before: Now, after: Now, isTaken: (c: number) => boolean): Now {
  const taken = after.levels.map((_, c) => isTaken(c))
  return {
    ...after,
    levels: before.levels.map((one, c) => (taken[c] ? after.levels[c]! : one)),
    draws: mixedDraws(before.draws, after.draws, taken),
    ...(before.today ? { today: after.today ?? [] } : {}),
  }
}

function mixedDraws(
  before: JointDraws | null,
  after: JointDraws | null,
  taken: readonly boolean[],
): JointDraws | null {
  if (!before || !after || before.rows !== after.rows || before.columns !== after.columns) return after
  const values = before.values.slice()
  const first = before.columns - taken.length
  for (let row = 0; row < before.rows; row++)
    taken.forEach((is, c) => {
      const at = row * before.columns + first + c
      if (is) values[at] = after.values[at]!
    })
  return { ...before, values }
}

/** Uses of the span that were more or fewer than its model expects, those not logged with them. */
function moreUses(
  yesterday: StayCase,
  { from, at, log }: Span,
  { completeness }: StayLearned,
): { activity: Id; n: number; expected: number }[] {
  const { stay, crew } = yesterday
  const base = asPutIn({ ...yesterday, stay: { ...stay, runs: [] } })
  const [since, until] = [from, at].map((time) => wallDaysBetween(stay.start, time)) as [Days, Days]
  const model = compile(base, { horizonDays: until + 0.25 })
  const open = openUses(base, model, log, until, completeness)
  const logged = loggedUses(base, log, at, from)
  const { grid, uses } = model
  return crew.activities.flatMap(({ id }, a) => {
    let [expected, n] = [0, logged[a]!]
    for (let i = 0; i < grid.count; i++) {
      const [begins, ends] = [grid.edges[i]!, Math.min(until, grid.edges[i + 1]!)]
      const within = ends - Math.max(since, begins)
      if (within <= 0) continue
      expected += (uses[a * grid.count + i]! * within) / (grid.edges[i + 1]! - begins)
      n += (open[a]![i]! * within) / (ends - begins)
    }
    return Math.abs(n - expected) > LEAST_USES ? [{ activity: id, n, expected }] : []
  })
}
/** Fewer uses apart are none. */
const LEAST_USES = 0.05

/** The stay as it was planned yesterday, as far as the document says: without habits that began today, with those that ended. */
function planOf(stayCase: StayCase, today: number): StayCase {
  const { stay } = stayCase
  const habits = stay.habits.flatMap((on): HabitOn[] => {
    if (!on.days || today === 0) return [on]
    if (on.days[0] === today) return []
    return on.days[1] === today - 1 ? [{ ...on, days: [on.days[0], LAST_DAY] }] : [on]
  })
  const isSame = habits.length === stay.habits.length && habits.every((on, k) => on === stay.habits[k])
  return isSame ? stayCase : { ...stayCase, stay: { ...stay, habits } }
}
/** Farther than any stay may last. */
const LAST_DAY = 366
