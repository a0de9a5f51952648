import { wallDaysBetween, type WallTime } from '../calendar'
import { ledger, partAt } from '../count'
import { compile, compileChances, type Model } from '../compile'
import { applyRun } from '../runs'
import type { JointDraws, ModelRun, StayCase } from '../domain'
import type { Steps } from '../slices'
import { baseBefore } from './accounts'
import { BATCH, type Batch } from './batch'
import { samplerOf } from './sampler'
import type { RiskTables } from './tables'
import { playTrips } from './trips'

const PIECE = 4 * BATCH
/** The part in which it is left is played too. */
const BEYOND_D = 1e-3
/** A hair of the clock's minutes against the edges' days. */
const HAIR_D = 1e-9

export interface EndOptions {
  leftAt: WallTime
  /** What is done on the road later than the part in which it is left. */
  road: (containers: Model['containers']) => readonly ModelRun[]
  seed: number
  trials: number
  tables: RiskTables
}

/**
 * Where the trips of a stay end when it is left, a row a trip: own factors, capacities, levels after the runs on the road. What
 * follows goes on from there, trip by trip (model.md section 1, chain).
 */
export function* endDraws(
  stayCase: StayCase,
  { leftAt, road, seed, trials, tables }: EndOptions,
): Steps<JointDraws> {
  const begins = stayCase.now?.at ?? stayCase.stay.start
  const untilLeft = wallDaysBetween(begins, leftAt)
  const model = compile(stayCase, { horizonDays: untilLeft + BEYOND_D })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables, base: ledger(model) })
  const { grid, activities, containers } = model
  const part = partAt(model, untilLeft + HAIR_D)
  const gone = Math.max(0, (untilLeft - grid.edges[part]!) / (grid.edges[part + 1]! - grid.edges[part]!))
  const n = activities.length
  const columns = 2 * n + 2 * containers.length
  const values = new Float64Array(trials * columns)
  const { accounts } = sampler
  const runs = road(containers)
  const note = (from: number) => (batch: Batch, i: number, first: number) => {
    if (i !== part) return
    const { block } = batch
    block.size = batch.size
    containers.forEach((_, c) => {
      for (let j = 0, at = c * BATCH; j < batch.size; j++) {
        const before = baseBefore(accounts, c, part, grid.count) + batch.offBefore[at + j]!
        const after = accounts.base[c * grid.count + part]! + batch.off[at + j]!
        block.levels[at + j] = before + gone * (after - before)
      }
    })
    for (const run of runs) applyRun(model, run, block)
    for (let j = 0; j < batch.size; j++) {
      const row = (from + first + j) * columns
      for (let a = 0; a < n; a++) {
        values[row + a] = batch.own[a * BATCH + j]!
        values[row + n + a] = 1
      }
      containers.forEach((_, c) => {
        const at = c * BATCH + j
        values[row + 2 * n + c] = batch.capacity[at]!
        values[row + 2 * n + containers.length + c] = block.levels[at]!
      })
    }
  }
  for (let from = 0; from < trials; from += PIECE) {
    const to = Math.min(trials, from + PIECE)
    playTrips(sampler, sampler.luck(seed, from, to), null, { part: note(from) }, from)
    yield to / trials
  }
  return { rows: trials, columns, values }
}
