import { count } from '../count'
import { startQuantile } from '../risk'
import { compile } from '../compile'
import {
  found,
  sparesOf,
  ownSpread,
  volumePerUse,
  warmestOf,
  type Activity,
  type Container,
  type Id,
  type StartLevel,
  type StayCase,
} from '../domain'
import type { Cv, Days, Origin } from '../quantities'

/** What an assumption is about. */
export type Assumption =
  | { kind: 'activity'; activity: Id }
  | { kind: 'capacity'; container: Id }
  | { kind: 'level'; container: Id }
  | { kind: 'weather' }

/** What the average count would be at the two ends of what an assumption may be: each is passed in one case of ten. */
export interface Swing {
  assumption: Assumption
  origin: Origin['by']
  /** Day counts, the smaller first; the horizon where `isBeyond`. */
  low: Days
  high: Days
  isBeyond: boolean
  /** The values at the ends that give `low` and `high`: L a use, L (uses) of capacity or level, °C. */
  atLow: number
  atHigh: number
}

/** The standard normal's 90 % quantile. */
const Z = 1.2815515655446004

/** One number that may be otherwise. */
interface Doubt {
  assumption: Assumption
  origin: Origin['by']
  /** What `change` is given at the two ends. */
  ends: [number, number]
  change: (draft: StayCase, end: number) => void
  /** The value that an end stands for. */
  shown: (end: number) => number
}

/**
 * What each assumption is worth in days, most first: the stay counted with one number at the ends of its 80 % interval and
 * all others as they stand. Numbers held to be certain are left out.
 */
export function sensitivity(stayCase: StayCase): Swing[] {
  const { stay, rig, crew } = stayCase
  const doubts = [
    ...crew.activities.map(activityDoubt),
    ...rig.containers.flatMap(capacityDoubt),
    ...stay.levels.map((start) => levelDoubt(start, found(rig.containers, start.container, 'container'))),
    weatherDoubt(stayCase),
  ]
  return doubts
    .filter(({ ends }) => ends[0] !== ends[1])
    .map((doubt) => swing(stayCase, doubt))
    .filter(({ low, high }) => high - low > 1e-6)
    .sort((a, b) => b.high - b.low - (a.high - a.low))
}

/** How far a lognormal mean with this coefficient of variation may be off, as a factor: its 90 % quantile over its median. */
function factorAt(spread: Cv): number {
  return Math.exp(Z * Math.sqrt(Math.log1p(spread ** 2)))
}

/** The crew's own factor of what a use takes. */
function activityDoubt(activity: Activity): Doubt {
  const { id, timed, volume } = activity
  const end = factorAt(ownSpread(activity))
  return {
    assumption: { kind: 'activity', activity: id },
    origin: timed ? timed.flow.by : volume.by,
    ends: [1 / end, end],
    change(draft, factor) {
      const changed = found(draft.crew.activities, id, 'activity')
      changed.volume.value *= factor
      if (changed.timed)
        for (const part of ['flow', 'trickle', 'runUp'] as const) changed.timed[part].value *= factor
      scaleReplacements(draft, id, factor)
    },
    shown: (factor) => factor * volumePerUse(activity),
  }
}

/** A habit's own volume for a use is no surer than the one it replaces. */
function scaleReplacements({ habits }: StayCase, activity: Id, factor: number): void {
  for (const effect of habits.flatMap(({ effects }) => effects))
    if (effect.kind === 'replace' && effect.activity === activity) {
      effect.volume.value *= factor
      if (effect.trickle) effect.trickle.value *= factor
    }
}

/** A carrier's capacity is no doubt: it stops nothing. */
function capacityDoubt(container: Container): Doubt[] {
  if (!('spread' in container)) return []
  const { value } = container.capacity
  const end = factorAt(container.spread.value)
  return [
    {
      assumption: { kind: 'capacity', container: container.id },
      origin: container.spread.by,
      ends: [value / end, value * end],
      change(draft, litres) {
        found(draft.rig.containers, container.id, 'container').capacity.value = litres
      },
      shown: (litres) => litres,
    },
  ]
}

function levelDoubt({ container, level, error }: StartLevel, tank: Container): Doubt {
  const full = Math.max(level.value, (1 + sparesOf(tank)) * tank.capacity.value)
  const start = { level: level.value, shape: error.shape, size: error.size.value, full }
  return {
    assumption: { kind: 'level', container },
    origin: error.size.by,
    ends: [startQuantile(start, 0.1), startQuantile(start, 0.9)],
    change({ stay }, amount) {
      stay.levels.find((entry) => entry.container === container)!.level.value = amount
    },
    shown: (amount) => amount,
  }
}

/** All days warmer or cooler together. */
function weatherDoubt({ stay }: StayCase): Doubt {
  const { spread, usual, days } = stay.weather
  const warmest = Math.max(usual.value, ...days.map(({ day }) => warmestOf(stay, day)))
  const off = Z * spread.value
  return {
    assumption: { kind: 'weather' },
    origin: spread.by,
    ends: [-off, off],
    change({ stay: { weather } }, by) {
      weather.usual.value += by
      for (const day of weather.days) day.warmest.value += by
    },
    shown: (by) => warmest + by,
  }
}

function swing(stayCase: StayCase, { assumption, origin, ends, change, shown }: Doubt): Swing {
  const counts = ends.map((end) => {
    const draft = structuredClone(stayCase)
    change(draft, end)
    const model = compile(draft)
    const { days } = count(model)
    return { value: shown(end), days: days ?? model.horizonDays, isBeyond: days === null }
  })
  const [low, high] = counts.sort((a, b) => a.days - b.days) as [(typeof counts)[0], (typeof counts)[0]]
  return {
    assumption,
    origin,
    low: low.days,
    high: high.days,
    isBeyond: high.isBeyond,
    atLow: low.value,
    atHigh: high.value,
  }
}
