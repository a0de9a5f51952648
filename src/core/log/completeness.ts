import { dayAndPartOf, dayZero, wallDaysBetween, type WallTime } from '../calendar'
import type { Model } from '../compile'
import type { Activity, ActivityIndex, Crew, Id, Stay } from '../domain'
import type { Days, Share } from '../quantities'
import { standing, type LogEntry, type UseEntry } from './entry'

/** How often somebody who logs each use stops, and takes it up again: a day (assumed). Source: model.md section 6. */
const STOPS = 0.1
const RESUMES = 0.3
/** Prior that each use is logged, for a crew's first stay (assumed). */
export const EACH_AT_FIRST: Share = 0.8
/** Prior that an activity is logged from when the first entry of any kind was made (assumed). */
const FROM_THE_FIRST: Share = 0.8
/** Entries fall at hours at which the model expects hardly any: never less than this share of a day's mean. */
const LEAST_RATE = 0.05

/** What an activity's log comes to: how many uses were logged, and how many were made and were not. */
export interface Completeness {
  /** Uses that were logged, without those that came on top of the usual. */
  logged: number
  /** Uses that were probably made and not logged, by part of the model's grid up to now: mean, and variance beyond that of luck. */
  unlogged: Float64Array
  variance: Float64Array
  /** Chance that each use is logged and still is, that logging has stopped, and that a share of the uses is logged; they add to 1. */
  each: Share
  stopped: Share
  some: Share
}

export interface CompletenessOptions {
  /** Up to when, days from where the model begins. */
  until: Days
  /** Prior that each use is logged, by activity; left out: that of a first stay. */
  priors?: ReadonlyMap<Id, Share>
}

/**
 * How complete the log of a stay is, activity by activity (model.md section 6); null where nothing of it was logged: then all
 * is expected. Two things may be so: each use is logged, with stops now and then; or a share p of them is, p anything between
 * none and all. Between two entries a and b, with Λ the uses the model expects, the first has the density
 *   A = λ(b)·exp(−Λ(a,b) − h(b−a)),   B = ∫ h·exp(−h(u−a) − Λ(a,u))·r·exp(−r(b−u)) du
 * for logging on, and for having stopped at u and taken it up again at b; what was made while it was off was not logged. The
 * last, open gap has neither λ(b) nor r. The second has (λp)ᵏ·exp(−Λp) over p, and Λ(1 − E p) were not logged.
 * @param model the stay compiled from its start, reaching `until`
 */
export function completenessOf(
  { stay, crew }: { stay: Stay; crew: Crew },
  model: Model,
  log: readonly LogEntry[],
  { until, priors = new Map() }: CompletenessOptions,
): (Completeness | null)[] {
  const uses = standing(log)
    .filter((entry): entry is UseEntry & LogEntry => entry.kind === 'use' && entry.stay === stay.id)
    .map((entry): Used => ({ ...entry, time: wallDaysBetween(model.start, entry.at) }))
    .filter(({ time }) => time >= 0 && time <= until + HAIR_D)
  const firstOfAll = uses.find(isEvent)?.time ?? Infinity
  return crew.activities.map((activity, a) => {
    const own = uses.filter((use) => use.activity === activity.id)
    if (activity.dispersion === 0 || !own.some(isEvent)) return null
    const line = lineOf({ stay, crew, model }, activity, a, own, until)
    const events = eventsOf(line, own, stay)
    // All that was logged was counted: out of those stretches it is expected.
    if (events.length === 0) return null
    const logged = own.reduce((sum, use) => sum + (isEvent(use) ? use.n : 0), 0)
    const prior = priors.get(activity.id) ?? EACH_AT_FIRST
    return { logged, ...judged(line, events, firstOfAll, prior) }
  })
}

/**
 * Uses that are believed to have been made by then and are not in the log, by activity and part of the model's grid: what was
 * not logged of what is logged, all that is expected of what is not, none of what is counted or was left out that day.
 */
export function openUses(
  { stay, crew }: { stay: Stay; crew: Crew },
  { grid, uses, start }: Model,
  log: readonly LogEntry[],
  until: Days,
  completeness: readonly (Completeness | null)[],
): Float64Array[] {
  const { count, edges, day } = grid
  const leftOut = standing(log).flatMap((entry) =>
    entry.kind === 'use' && entry.stay === stay.id && entry.n === 0
      ? [{ activity: entry.activity, day: dayAndPartOf(stay.start, entry.at).day }]
      : [],
  )
  return crew.activities.map(({ id }, a) => {
    const counted = countedSpans(stay, id, start)
    const known = completeness[a]
    return Float64Array.from({ length: count }, (_, i) => {
      const [from, to] = [edges[i]!, Math.min(until, edges[i + 1]!)]
      if (to <= from || leftOut.some((one) => one.activity === id && one.day === day[i])) return 0
      if (known) return known.unlogged[i]!
      const open = counted.reduce(
        (sum, [begins, ends]) => sum - Math.max(0, Math.min(to, ends) - Math.max(from, begins)),
        to - from,
      )
      return (uses[a * count + i]! * Math.max(0, open)) / (edges[i + 1]! - from)
    })
  })
}

/** Uses in the log of a stay up to then, by activity; those on top of the usual too. */
export function loggedUses(
  { stay, crew }: { stay: Stay; crew: Crew },
  log: readonly LogEntry[],
  until: WallTime,
  from: WallTime = stay.start,
): number[] {
  const made = new Map<Id, number>()
  for (const entry of standing(log))
    if (entry.kind === 'use' && entry.stay === stay.id && entry.at <= until && entry.at >= from)
      made.set(entry.activity, (made.get(entry.activity) ?? 0) + entry.n)
  return crew.activities.map(({ id }) => made.get(id) ?? 0)
}

/** Stretches in which an activity is counted, days from where a model begins. */
function countedSpans({ counted }: Stay, activity: Id, start: WallTime): [Days, Days][] {
  return counted
    .filter((one) => one.activity === activity)
    .map(({ from, until }) => [
      wallDaysBetween(start, from),
      until === null ? Infinity : wallDaysBetween(start, until),
    ])
}

/** A hair of the clock's minutes, days. */
const HAIR_D = 1e-9

type Used = UseEntry & LogEntry & { time: Days }

/** A use that says how complete the log is: not one that came on top of the usual, and not a 'not today'. */
const isEvent = ({ n, isExtra }: UseEntry) => n > 0 && isExtra !== true

/** A stretch of time with one rate. */
interface Piece {
  from: Days
  to: Days
  /** Uses a day that the model expects, and that with a least for the likelihood. */
  rate: number
  seen: number
  part: number
}

interface Line {
  pieces: Piece[]
  until: Days
  parts: number
  /** A day's uses on average. */
  mean: number
  startsAt: WallTime
}

/** The rate of an activity up to now: none on a day on which it was left out, or while the log is known to be complete. */
function lineOf(
  { stay, crew, model }: { stay: Stay; crew: Crew; model: Model },
  activity: Activity,
  a: ActivityIndex,
  own: readonly Used[],
  until: Days,
): Line {
  const { count, edges, day } = model.grid
  const counted = countedSpans(stay, activity.id, model.start)
  const units = unitsOf(activity, crew)
  const leftOut = new Set(own.filter(({ n }) => n === 0).map(({ at }) => dayAndPartOf(stay.start, at).day))
  // Only where having done it says that it is done for the day does a use change the rate.
  const marks = [...(units === null ? [] : own.map(({ time }) => time)), ...counted.flat()]
  let total = 0
  const pieces: Piece[] = []
  for (let i = 0; i < count && edges[i]! < until; i++) {
    const [begins, ends] = [edges[i]!, Math.min(until, edges[i + 1]!)]
    const rate = model.uses[a * count + i]! / (edges[i + 1]! - begins)
    total += rate * (ends - begins)
    const cuts = [begins, ...marks.filter((at) => at > begins && at < ends), ends].sort((x, y) => x - y)
    for (let k = 0; k + 1 < cuts.length; k++) {
      const [from, to] = [cuts[k]!, cuts[k + 1]!]
      if (to <= from) continue
      const isNone = leftOut.has(day[i]!) || counted.some(([x, y]) => from >= x - HAIR_D && to <= y + HAIR_D)
      const done = units === null ? 0 : doneBy(own, day[i]!, stay, from)
      const share = isNone ? 0 : units === null ? 1 : Math.max(0, 1 - done / units)
      pieces.push({ from, to, rate: rate * share, seen: 0, part: i })
    }
  }
  const mean = until > 0 ? total / until : 0
  for (const piece of pieces) piece.seen = Math.max(piece.rate, LEAST_RATE * mean)
  return { pieces, until, parts: count, mean, startsAt: model.start }
}

/** Those who do it at most once a day; null: some do it more often, and having done it says nothing of the rest of the day. */
function unitsOf({ id, per, rate }: Activity, { persons }: Crew): number | null {
  const rates =
    per === 'crew'
      ? [rate.value]
      : persons.map(({ rates: own }) => own.find(({ activity }) => activity === id)?.rate.value ?? rate.value)
  return rates.every((one) => one <= 1) ? rates.filter((one) => one > 0).length : null
}

/** Uses logged on a day of the stay by then. */
function doneBy(own: readonly Used[], day: number, stay: Stay, by: Days): number {
  return own.reduce(
    (sum, { at, n, time }) =>
      time <= by + HAIR_D && dayAndPartOf(stay.start, at).day === day ? sum + n : sum,
    0,
  )
}

/** When each use was: several logged at once lie evenly between the entry before, or the beginning of their day, and then. */
function eventsOf({ startsAt }: Line, own: readonly Used[], stay: Stay): Days[] {
  let last = 0
  const isCountedAt = (time: Days) =>
    stay.counted.some(
      ({ activity, from, until }) =>
        activity === own[0]!.activity &&
        time >= wallDaysBetween(startsAt, from) &&
        (until === null || time < wallDaysBetween(startsAt, until)),
    )
  return own.filter(isEvent).flatMap(({ n, time, at }) => {
    const from = Math.min(time, Math.max(last, wallDaysBetween(startsAt, dayZero(at))))
    last = time
    const many = Math.max(1, Math.round(n))
    const times = Array.from({ length: many }, (_, k) => from + ((k + 1) * (time - from)) / many)
    return isCountedAt(time) ? [] : times
  })
}

function judged(
  line: Line,
  events: readonly Days[],
  firstOfAll: Days,
  prior: Share,
): Omit<Completeness, 'logged'> {
  const { until } = line
  // From the first entry of any kind on somebody was logging; before it all is expected.
  const begins = Math.min(events[0]!, firstOfAll)
  const each = eachLogged(line, events, begins)
  const some = someLogged(line, events, begins)
  const most = Math.max(each.logZ, some.logZ)
  const [w1, w2] = [prior * Math.exp(each.logZ - most), (1 - prior) * Math.exp(some.logZ - most)]
  const [p1, p2] = [w1 / (w1 + w2), w2 / (w1 + w2)]
  const [m1, m2] = [sumOf(each.unlogged), sumOf(some.unlogged)]
  const unlogged = each.unlogged.map((mean, i) => p1 * mean + p2 * some.unlogged[i]!)
  const after = sumOf(unlogged)
  const beyond = p1 * each.variance + p2 * some.variance + p1 * p2 * (m1 - m2) ** 2
  const variance = unlogged.map((mean) => (after > 0 ? (beyond * mean) / after : 0))
  for (const { from, to, rate, part } of line.pieces)
    if (from < begins) unlogged[part]! += rate * (Math.min(to, begins, until) - from)
  return { unlogged, variance, each: p1 * (1 - each.off), stopped: p1 * each.off, some: p2 }
}

const sumOf = (values: Float64Array) => values.reduce((sum, one) => sum + one, 0)

interface Judged {
  logZ: number
  unlogged: Float64Array
  /** Of all of them, beyond that of luck. */
  variance: number
}

/** Each use is logged, with stops and resumptions. @returns also the chance that it is off by now */
function eachLogged(line: Line, events: readonly Days[], begins: Days): Judged & { off: Share } {
  const unlogged = new Float64Array(line.parts)
  let [logZ, variance] = [0, 0]
  const ends = [...(events[0]! > begins + HAIR_D ? [begins] : []), ...events, line.until]
  let off = 0
  for (let k = 0; k + 1 < ends.length; k++) {
    const [from, to] = [ends[k]!, ends[k + 1]!]
    const isOpen = k + 2 === ends.length
    const gap = gapOf(line, from, to, isOpen, k === 0 && ends.length > events.length + 1)
    logZ += Math.log(Math.max(gap.density, 1e-300))
    variance += gap.variance
    gap.unlogged.forEach((mean, part) => (unlogged[part]! += mean))
    if (isOpen) off = gap.off
  }
  return { logZ, unlogged, variance, off }
}

interface Gap {
  density: number
  /** By part. */
  unlogged: Map<number, number>
  variance: number
  off: Share
}

/**
 * One gap, piece by piece: with s = r − h − λ, the density of having stopped at u is exp(α + s(u − x)) within a piece that begins
 * at x, so that what has stopped by t adds up in closed form, and what was made meanwhile is λ times the time since.
 * @param isFirst it is not known that it was on at its beginning
 */
function gapOf(line: Line, from: Days, to: Days, isOpen: boolean, isFirst: boolean): Gap {
  const inside = line.pieces.filter((piece) => piece.to > from + HAIR_D && piece.from < to - HAIR_D)
  const takesUp = isOpen ? 1 : RESUMES
  const on = isFirst ? FROM_THE_FIRST : 1
  /** exp of −Λ − h·time so far. */
  let kept = on
  /** What had stopped by then, and is off until the end, before it is taken up: ∫ h·kept(u)·exp(−r(to − u)) du. */
  let stopped = (1 - on) * Math.exp(-RESUMES * (to - from))
  const made: [part: number, mean: number][] = []
  for (const piece of inside) {
    const [x, y] = [Math.max(from, piece.from), Math.min(to, piece.to)]
    const length = y - x
    const slope = RESUMES - STOPS - piece.seen
    const at = STOPS * kept * Math.exp(-RESUMES * (to - x))
    const { grown, twice } = integralsOf(slope, length)
    made.push([piece.part, piece.rate * (stopped * length + at * twice)])
    stopped += at * grown
    kept *= Math.exp(-(piece.seen + STOPS) * length)
  }
  const rateAtEnd = isOpen ? 1 : (inside.at(-1)?.seen ?? line.mean)
  const [a, b] = [kept * rateAtEnd, stopped * takesUp]
  const density = a + b
  const off = density > 0 ? b / density : 0
  const unlogged = new Map<number, number>()
  let mean = 0
  for (const [part, amount] of made) {
    const own = density > 0 ? (amount * takesUp) / density : 0
    unlogged.set(part, (unlogged.get(part) ?? 0) + own)
    mean += own
  }
  // Where it was off, the stop may have been at any time of the gap: (4/3) of the square of the mean it then has.
  const variance = off > 1e-12 ? (4 / 3) * (mean ** 2 / off) - mean ** 2 : 0
  return { density, unlogged, variance: Math.max(0, variance), off }
}

/** ∫₀ᴸ exp(s·w) dw, and ∫₀ᴸ of that up to w. */
function integralsOf(s: number, length: number): { grown: number; twice: number } {
  const z = s * length
  if (Math.abs(z) < 1e-4)
    return { grown: length * (1 + z / 2 + z ** 2 / 6), twice: length ** 2 * (1 / 2 + z / 6 + z ** 2 / 24) }
  const grown = Math.expm1(z) / s
  return { grown, twice: (grown - length) / s }
}

/** Steps of the share of uses that is logged. */
const SHARES = 200

/** A share p of the uses is logged, p uniform: the middle of each step stands for it. */
function someLogged(line: Line, events: readonly Days[], begins: Days): Judged {
  let expected = 0
  const byPart = new Float64Array(line.parts)
  for (const piece of line.pieces) {
    const length = piece.to - Math.max(piece.from, begins)
    if (length <= 0) continue
    expected += piece.seen * length
    byPart[piece.part]! += piece.rate * length
  }
  // The entry with which it begins says nothing of the share.
  const later = events.filter((time) => time > begins + HAIR_D)
  const k = later.length
  let [weight, first, second] = [0, 0, 0]
  const logOf = (p: number) => k * Math.log(p) - expected * p
  const peak = logOf(Math.min(1, Math.max(1e-3, k / Math.max(expected, 1e-9))))
  for (let j = 0; j < SHARES; j++) {
    const p = (j + 0.5) / SHARES
    const w = Math.exp(logOf(p) - peak)
    weight += w
    first += w * p
    second += w * p * p
  }
  const mean = first / weight
  const rates = later.reduce((sum, time) => sum + Math.log(rateAt(line, time)), 0)
  const whole = sumOf(byPart)
  return {
    logZ: rates + peak + Math.log(weight / SHARES),
    unlogged: byPart.map((one) => one * (1 - mean)),
    variance: whole ** 2 * Math.max(0, second / weight - mean ** 2),
  }
}

function rateAt({ pieces, mean }: Line, time: Days): number {
  const piece = pieces.findLast(({ from, to }) => from < time && time <= to + HAIR_D)
  return Math.max(piece?.seen ?? mean, 1e-9)
}
