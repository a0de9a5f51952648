import type { Days } from '../quantities'
import { partGrid, type PartGrid } from '../calendar'
import { whole, type Steps } from '../slices'
import { activeHabits } from './activeHabits'
import { compileContainers } from './compileContainers'
import { compileRuns } from './compileRuns'
import { compileStreams } from './compileStreams'
import { compileUses } from './compileUses'
import { compileVessels } from './compileVessels'
import type { Crew, Id, Now, StayCase } from '../domain'
import { factorsOf, type PartFactors } from './factors'
import { drainedOpen, openParts, openingRun } from './hookup'
import type { Model } from './model'
import { presence } from './presence'

export interface CompileOptions {
  /** Replaces the stay's own horizon, days, > 0. */
  horizonDays?: Days
  /** The count starts there instead of at the start of the stay, or of the case's own `now`. */
  from?: Now
  /** Its runs are those that a log says were done: whatever is known against them, they happened. */
  runsHappened?: boolean
}

/**
 * The only door to the computation: one flat model of a stay. Pure; the case is not kept.
 * @param stayCase of a valid document (`openDocument`): references resolve, shares and weights add up
 */
export function compile(stayCase: StayCase, options: CompileOptions = {}): Model {
  return whole(compileSteps(stayCase, options))
}

/** The same in pieces. */
export function* compileSteps(stayCase: StayCase, options: CompileOptions = {}): Steps<Model> {
  const { stay, rig, crew } = stayCase
  const horizonDays = options.horizonDays ?? stay.horizonDays.value
  const now = options.from ?? stayCase.now ?? null
  const begins = now ?? stayCase.passed ?? null
  const startsAfterRoad = now === null && stayCase.passed !== undefined
  const start = now?.at ?? stay.start
  if (start < stay.start) throw new RangeError(`${start} is before the stay, which starts ${stay.start}`)
  const grid = partGrid(stay.start, horizonDays, start)
  const here = presence(crew, stay, grid)
  const habits = activeHabits(stayCase, grid, here)
  const factors = crew.activities.map((activity) => factorsOf(activity, habits, grid.count))
  for (const { activity, factor } of now?.today ?? []) leaveToday(factors, crew, activity, factor, grid)
  const containers = compileContainers(rig, stay, begins)
  const piped = yield* compileStreams(rig, crew, containers, habits)
  const uses = compileUses(crew, stay, factors, here, grid)
  const volume = rowsOf(factors, 'volume', grid.count)
  const open = openParts(stay, crew, containers, piped, { uses, volume }, grid)
  const streams = open ? drainedOpen(piped, containers, open) : piped
  const opening = open ? [openingRun(containers, open)] : []
  return {
    stay: stay.id,
    start,
    horizonDays,
    startsAfterRoad,
    grid,
    here,
    containers,
    activities: crew.activities.map(({ id, name }) => ({ id, name })),
    fixtures: rig.fixtures.map(({ id }) => id),
    ...compileVessels(crew.activities, streams, habits, begins),
    runs: [
      ...opening,
      ...compileRuns(stayCase, containers, grid, {
        isUnderWay: now !== null,
        haveHappened: options.runsHappened === true,
      }).map((run) => ({ ...run, isOfRoad: startsAfterRoad && run.isOfRoad })),
    ].sort((a, b) => a.part - b.part),
    grayOpen: open,
    payload: rig.payload ? rig.payload.limit.value - rig.payload.other.value : null,
    uses,
    rate: rowsOf(factors, 'rate', grid.count),
    volume,
  }
}

/** Of the day on which the grid begins. */
function leaveToday(
  factors: readonly PartFactors[],
  { activities }: Crew,
  activity: Id,
  factor: number,
  { count, day }: PartGrid,
): void {
  const rate = factors[activities.findIndex(({ id }) => id === activity)]?.rate
  for (let i = 0; rate && i < count && day[i] === day[0]; i++) rate[i]! *= factor
}

function rowsOf(factors: PartFactors[], row: keyof PartFactors, count: number): Float64Array {
  const rows = new Float64Array(factors.length * count)
  factors.forEach((factor, a) => rows.set(factor[row], a * count))
  return rows
}
