import type { Model } from '../compile'
import type { Id } from '../domain'
import type { Days, Share } from '../quantities'
import { bandQuantiles } from './bands'
import { AT_BEST, LIKELY, PLAN_ON } from './planOn'
import { quantileSorted } from './quantile'
import type { Sample } from './sample'

/** A count among trips; beyond the horizon it is the horizon, and `isBeyond`. */
export interface CountQuantile {
  days: Days
  isBeyond: boolean
}

export interface LevelFan {
  container: Id
  /** At the end of each part that was kept, L or uses; at most one fine bin off. */
  low: Float64Array
  middle: Float64Array
  high: Float64Array
}

/** What may come of a stay. */
export interface Risk {
  trials: number
  planOn: CountQuantile
  likely: CountQuantile
  atBest: CountQuantile
  /** Each trip's count, ascending, 'beyond' as infinite. */
  sorted: Float64Array
  /** Share of trips each container stops, largest first; with `beyond` they add to 1. */
  stoppers: { container: Id; share: Share }[]
  beyond: number
  /** Chance that nothing is breached before the stay ends. */
  nights: Share
  /** The first run that more than one trip in ten does not reach, and what stops most of those; null: there is none. */
  tooLate: TooLate | null
  /** Worked out when they are first asked for: only a chart of levels wants them. */
  readonly fans: LevelFan[]
}

/** A run that many trips do not reach. */
export interface TooLate {
  run: Id
  /** Of all trips: those that end before it. */
  share: Share
  /** What stops most of them. */
  container: Id
}

/** @param untilDays days from the start to the end of the stay */
export function riskOf(model: Model, sample: Sample, untilDays: Days): Risk {
  const trials = sample.days.length
  const sorted = Float64Array.from(sample.days).sort()
  const at = (q: number) => asCount(quantileSorted(sorted, q), model.horizonDays)
  const stopped = model.containers.map(() => 0)
  for (const c of sample.stopper) if (c >= 0) stopped[c]! += 1
  const beyond = sample.stopper.reduce((sum, c) => sum + (c < 0 ? 1 : 0), 0)
  let fans: LevelFan[] | null = null
  return {
    trials,
    planOn: at(PLAN_ON),
    likely: at(LIKELY),
    atBest: at(AT_BEST),
    sorted,
    stoppers: stopped
      .map((n, c) => ({ container: model.containers[c]!.id, share: n / trials }))
      .filter(({ share }) => share > 0)
      .sort((a, b) => b.share - a.share),
    beyond: beyond / trials,
    nights: chanceToLast(sample.days, untilDays),
    tooLate: tooLateIn(model, sample),
    get fans() {
      return (fans ??= fansOf(model, sample))
    },
  }
}

/** Share of trips in which nothing is breached before an instant. @param days of each trip */
export function chanceToLast(days: ArrayLike<number>, untilDays: Days): number {
  let lasting = 0
  for (let t = 0; t < days.length; t++) if (days[t]! >= untilDays) lasting++
  return lasting / days.length
}

/** More than one trip in ten: a run that so many do not reach is too late. */
const MANY: Share = 0.1

function tooLateIn({ runs, grid, containers }: Model, { days, stopper }: Sample): TooLate | null {
  const planned = runs.filter(({ isPlanned, isOfRoad }) => isPlanned && !isOfRoad)
  for (const { id, part } of planned.sort((a, b) => a.part - b.part)) {
    const at = grid.edges[part]!
    const ended = containers.map(() => 0)
    stopper.forEach((c, trip) => {
      if (c >= 0 && days[trip]! < at) ended[c]! += 1
    })
    const share = ended.reduce((sum, n) => sum + n, 0) / days.length
    if (share > MANY) return { run: id, share, container: containers[ended.indexOf(Math.max(...ended))]!.id }
  }
  return null
}

/** 'Beyond' counts as the horizon. */
export function asCount(days: Days, horizonDays: Days): CountQuantile {
  return Number.isFinite(days) ? { days, isBeyond: false } : { days: horizonDays, isBeyond: true }
}

function fansOf(model: Model, { bands, days }: Sample): LevelFan[] {
  if (!bands) return []
  const { parts } = bands
  const [low, middle, high] = bandQuantiles(bands, days.length, [PLAN_ON, LIKELY, AT_BEST])
  return model.containers.map(({ id }, c) => {
    const row = (all: Float64Array) => all.slice(c * parts, (c + 1) * parts)
    return { container: id, low: row(low!), middle: row(middle!), high: row(high!) }
  })
}
