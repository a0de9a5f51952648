import { partGrid, type PartGrid } from '../calendar'
import { compileStreams } from './compileStreams'
import {
  limitOf,
  sideOf,
  type Activity,
  type Crew,
  type Document,
  type Id,
  type Rig,
  type Stay,
} from './document'
import { factorsOf, type PartFactors } from './habitFactors'
import type { Model, ModelContainer } from './model'
import { presence, type Presence } from './presence'

export interface CompileOptions {
  /** Replaces the stay's own horizon, days, > 0. */
  horizonDays?: number
}

/**
 * The only door to the computation: one flat model of a stay. Pure; the document is not kept.
 * @param document a valid one (`openDocument`): references resolve, shares and weights add up
 * @throws RangeError where a reference of the stay does not resolve: a broken contract, not a user's mistake
 */
export function compile(document: Document, stayId: Id, options: CompileOptions = {}): Model {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  const crew = found(document.crews, stay.crew, 'crew')
  const horizonDays = options.horizonDays ?? stay.horizonDays.value
  const grid = partGrid(stay.start, horizonDays)
  const factors = crew.activities.map((activity) => factorsOf(activity, stay, document.habits, grid))
  return {
    stay: stay.id,
    start: stay.start,
    horizonDays,
    grid,
    containers: compileContainers(rig, stay),
    activities: crew.activities.map(({ id, name }) => ({ id, name })),
    streams: compileStreams(rig, crew),
    uses: compileUses(crew, factors, presence(crew, stay, grid), grid),
    volume: compileVolumes(factors, grid),
  }
}

/** @throws RangeError where there is none */
export function found<T extends { id: Id }>(list: readonly T[], id: Id, what: string): T {
  const entry = list.find((candidate) => candidate.id === id)
  if (!entry) throw new RangeError(`no ${what} '${id}' in the document`)
  return entry
}

function compileContainers(rig: Rig, stay: Stay): ModelContainer[] {
  const levels = new Map(stay.levels.map(({ container, level }) => [container, level.value]))
  return rig.containers.map((container) => {
    const start = levels.get(container.id)
    if (start === undefined) throw new RangeError(`no starting level for container '${container.id}'`)
    return {
      id: container.id,
      name: container.name,
      kind: container.kind,
      side: sideOf(container.kind),
      unit: 'L' as const,
      capacity: container.capacity.value,
      limit: limitOf(container),
      start,
    }
  })
}

/** uses = rate × present × weight × share of the part × rate factors (model.md sections 3 and 4). */
function compileUses(
  crew: Crew,
  factors: PartFactors[],
  { group, groups }: Presence,
  grid: PartGrid,
): Float64Array {
  const uses = new Float64Array(crew.activities.length * grid.count)
  crew.activities.forEach((activity, a) => {
    const perDay = groups.map((here) => usesPerDay(activity, crew, here))
    const { values } = activity.weights
    const { rate } = factors[a]!
    const row = uses.subarray(a * grid.count, (a + 1) * grid.count)
    for (let i = 0; i < row.length; i++)
      row[i] = perDay[group[i]!]! * values[grid.part[i]!]! * grid.share[i]! * rate[i]!
  })
  return uses
}

/** A rate of the crew applies in full while anyone is present; a person's own rate replaces the activity's. */
function usesPerDay(activity: Activity, crew: Crew, here: readonly boolean[]): number {
  if (activity.per === 'crew') return here.includes(true) ? activity.rate.value : 0
  return crew.persons.reduce(
    (sum, { rates }, p) =>
      here[p] ? sum + (rates.find((own) => own.activity === activity.id) ?? activity).rate.value : sum,
    0,
  )
}

function compileVolumes(factors: PartFactors[], grid: PartGrid): Float64Array {
  const volume = new Float64Array(factors.length * grid.count)
  factors.forEach((factor, a) => volume.set(factor.volume, a * grid.count))
  return volume
}
