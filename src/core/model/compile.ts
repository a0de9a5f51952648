import { partGrid } from '../calendar'
import { whole, type Steps } from '../steps'
import { activeHabits } from './activeHabits'
import { compileContainers } from './compileContainers'
import { compileStreams } from './compileStreams'
import { compileUses } from './compileUses'
import { compileVessels } from './compileVessels'
import type { Document } from './document'
import { factorsOf, type PartFactors } from './factors'
import type { Id } from './ids'
import type { Model } from './model'
import { presence } from './presence'

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
  return whole(compileSteps(document, stayId, options))
}

/** The same in pieces. */
export function* compileSteps(document: Document, stayId: Id, options: CompileOptions = {}): Steps<Model> {
  const stay = found(document.stays, stayId, 'stay')
  const rig = found(document.rigs, stay.rig, 'rig')
  const crew = found(document.crews, stay.crew, 'crew')
  const horizonDays = options.horizonDays ?? stay.horizonDays.value
  const grid = partGrid(stay.start, horizonDays)
  const habits = activeHabits(stay, document.habits, grid)
  const factors = crew.activities.map((activity) => factorsOf(activity, habits, grid.count))
  const containers = compileContainers(rig, stay)
  const streams = yield* compileStreams(rig, crew, containers, habits)
  return {
    stay: stay.id,
    start: stay.start,
    horizonDays,
    grid,
    containers,
    activities: crew.activities.map(({ id, name }) => ({ id, name })),
    fixtures: rig.fixtures.map(({ id }) => id),
    ...compileVessels(crew.activities, streams, habits),
    uses: compileUses(crew, stay, factors, presence(crew, stay, grid), grid),
    volume: compileVolumes(factors, grid.count),
  }
}

/** @throws RangeError where there is none */
export function found<T extends { id: Id }>(list: readonly T[], id: Id, what: string): T {
  const entry = list.find((candidate) => candidate.id === id)
  if (!entry) throw new RangeError(`no ${what} '${id}' in the document`)
  return entry
}

function compileVolumes(factors: PartFactors[], count: number): Float64Array {
  const volume = new Float64Array(factors.length * count)
  factors.forEach((factor, a) => volume.set(factor.volume, a * count))
  return volume
}
