import { BREACH_TOLERANCE, ledger, withoutRuns } from '../count'
import { compile, compileChances } from '../compile'
import type { Id, StayCase } from '../model'
import type { Days, Share } from '../quantities'
import type { Steps } from '../steps'
import { baseBefore } from './accounts'
import { BATCH, type Batch } from './batch'
import { quantileSorted } from './quantile'
import { samplerOf, type Sampler } from './sampler'
import type { RiskTables } from './tables'
import { playTrips } from './trips'

export interface OwnCountOptions {
  seed: number
  trials: number
  /** Which quantile. */
  q: Share
  /** How far to look, days, > 0: beyond that a count is infinite. */
  horizonDays: Days
  tables: RiskTables
}

/** Of one container. */
export interface OwnCount {
  id: Id
  members: Id[]
  /** Infinite: beyond. */
  days: Days
}

/** Trips of one breath. */
const PIECE = 4 * BATCH

/**
 * The q-quantile of each container's own count with no further run, whatever the others do: days from where the case begins,
 * infinite beyond the horizon. Trips are those of every other question with the same seed.
 */
export function* ownCounts(
  stayCase: StayCase,
  { seed, trials, q, horizonDays, tables }: OwnCountOptions,
): Steps<OwnCount[]> {
  const model = withoutRuns(compile(stayCase, { horizonDays }))
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables, base: ledger(model) })
  const limited = model.containers.flatMap(({ limit }, c) => (limit === null ? [] : [c]))
  const firsts = limited.map(() => new Float64Array(trials).fill(Infinity))
  for (let from = 0; from < trials; from += PIECE) {
    const to = Math.min(trials, from + PIECE)
    const watch = firstBreaches(sampler, limited, firsts, from)
    playTrips(sampler, sampler.luck(seed, from, to), null, watch, from)
    yield to / trials
  }
  return limited.map((c, k) => {
    const { id, members } = model.containers[c]!
    return { id, members, days: quantileSorted(firsts[k]!.sort(), q) }
  })
}

/** Notes each container's own first breach in every trip, found within its part as the count finds it. */
function firstBreaches(sampler: Sampler, limited: readonly number[], firsts: Float64Array[], from: number) {
  const { model, accounts, signs } = sampler
  const { count, edges } = model.grid
  /** Then the first part finds what stands past its limit after the road. */
  const hasRoad = model.startsAfterRoad && model.runs.some(({ part }) => part === 0)
  const past = (base: number, off: number, limit: number, c: number) => signs[c]! * (base + off - limit)
  return {
    start: (batch: Batch, first: number) => {
      limited.forEach((c, k) => {
        for (let j = 0; j < batch.size; j++) {
          const at = c * BATCH + j
          if (!hasRoad && past(accounts.starts[c]!, batch.off[at]!, batch.limit[at]!, c) > BREACH_TOLERANCE)
            firsts[k]![from + first + j] = 0
        }
      })
    },
    part: (batch: Batch, i: number, first: number) => {
      const width = edges[i + 1]! - edges[i]!
      limited.forEach((c, k) => {
        const found = firsts[k]!
        const before = baseBefore(accounts, c, i, count)
        const base = accounts.base[c * count + i]!
        for (let j = 0; j < batch.size; j++) {
          if (found[from + first + j] !== Infinity) continue
          const at = c * BATCH + j
          const after = past(base, batch.off[at]!, batch.limit[at]!, c)
          if (after <= BREACH_TOLERANCE) continue
          const was = past(before, batch.offBefore[at]!, batch.limit[at]!, c)
          const days = edges[i]! + Math.max(0, -was / (after - was)) * width
          if (days <= model.horizonDays) found[from + first + j] = days
        }
      })
    },
  }
}
