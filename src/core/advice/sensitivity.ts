import { count } from '../count'
import { startQuantile } from '../risk'
import { compile, found, sparesOf, warmestOf, type Activity, type Document, type Id } from '../model'
import type { Days, Origin } from '../quantities'

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

/**
 * What each assumption is worth in days, most first: the stay counted with one number at the ends of its 80 % interval and
 * all others as they stand. Numbers held to be certain are left out.
 */
export function sensitivity(document: Document, stayId: Id): Swing[] {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  const crew = found(document.crews, stay.crew, 'crew')
  const swings = [
    ...crew.activities.map((activity) => activitySwing(document, stayId, crew.id, activity)),
    ...rig.containers.map((container) => {
      if (!('spread' in container)) return null
      const value = container.capacity.value
      const end = Math.exp(Z * Math.sqrt(Math.log1p(container.spread.value ** 2)))
      return swing(document, stayId, { kind: 'capacity', container: container.id }, container.spread.by, [value / end, value * end], (draft, to) => {
        const changed = found(found(draft.rigs, rig.id, 'rig').containers, container.id, 'container')
        changed.capacity.value = to
      })
    }),
    ...stay.levels.map(({ container, level, error }) => {
      const tank = found(rig.containers, container, 'container')
      const full = Math.max(level.value, (1 + sparesOf(tank)) * tank.capacity.value)
      const start = { level: level.value, shape: error.shape, size: error.size.value, full }
      const ends: [number, number] = [startQuantile(start, 0.1), startQuantile(start, 0.9)]
      return swing(document, stayId, { kind: 'level', container }, error.size.by, ends, (draft, to) => {
        found(draft.stays, stayId, 'stay').levels.find((entry) => entry.container === container)!.level.value = to
      })
    }),
    weatherSwing(document, stayId),
  ]
  return swings
    .filter((one): one is Swing => one !== null && one.high - one.low > 1e-6)
    .sort((a, b) => b.high - b.low - (a.high - a.low))
} // prettier-ignore

/** The crew's own level of what a use takes. */
function activitySwing(document: Document, stayId: Id, crewId: Id, { id, timed, volume, levelSpread }: Activity): Swing | null {
  const by = timed ? timed.flow.by : volume.by
  const end = Math.exp(Z * Math.sqrt(Math.log1p(levelSpread.value ** 2)))
  const mean = timed ? null : volume.value
  return swing(document, stayId, { kind: 'activity', activity: id }, by, [1 / end, end], (draft, factor) => {
    const activity = found(found(draft.crews, crewId, 'crew').activities, id, 'activity')
    activity.volume.value *= factor
    if (activity.timed) for (const part of ['flow', 'trickle', 'runUp'] as const) activity.timed[part].value *= factor
    scaleReplacements(draft, id, factor)
  }, (factor) => factor * (mean ?? timed!.flow.value * timed!.on.value + timed!.trickle.value * timed!.paused.value + timed!.runUp.value))
} // prettier-ignore

/** A habit's own volume for a use is no surer than the one it replaces. */
function scaleReplacements(draft: Document, activity: Id, factor: number): void {
  for (const { effects } of draft.habits)
    for (const effect of effects)
      if (effect.kind === 'replace' && effect.activity === activity) effect.volume.value *= factor
}

/** All days warmer or cooler together. */
function weatherSwing(document: Document, stayId: Id): Swing | null {
  const stay = found(document.stays, stayId, 'stay')
  const { spread, usual } = stay.weather
  const warmest = Math.max(usual.value, ...stay.weather.days.map(({ day }) => warmestOf(stay, day)))
  const off = Z * spread.value
  return swing(document, stayId, { kind: 'weather' }, spread.by, [-off, off], (draft, by) => {
    const { weather } = found(draft.stays, stayId, 'stay')
    weather.usual.value += by
    for (const day of weather.days) day.warmest.value += by
  }, (by) => warmest + by)
} // prettier-ignore

function swing(
  document: Document,
  stayId: Id,
  assumption: Assumption,
  origin: Origin['by'],
  ends: readonly [number, number],
  change: (draft: Document, value: number) => void,
  shown: (value: number) => number = (value) => value,
): Swing | null {
  if (ends[0] === ends[1]) return null
  const counts = ends.map((value) => {
    const draft = structuredClone(document)
    change(draft, value)
    const model = compile(draft, stayId)
    const { days } = count(model)
    return { value: shown(value), days: days ?? model.horizonDays, isBeyond: days === null }
  })
  const [low, high] = counts.sort((a, b) => a.days - b.days) as [(typeof counts)[0], (typeof counts)[0]]
  return { assumption, origin, low: low.days, high: high.days, isBeyond: high.isBeyond, atLow: low.value, atHigh: high.value }
} // prettier-ignore
