import { BREACH_TOLERANCE, ledger, withoutRuns } from '../count'
import { compile, compileChances } from '../compile'
import type { Id, StayCase } from '../domain'
import type { Days, Share } from '../quantities'
import type { Steps } from '../slices'
import { baseBefore } from './accounts'
import { BATCH, type Batch } from './batch'
import { quantileSorted } from './quantile'
import { samplerOf, type Sampler } from './sampler'
import type { RiskTables } from './tables'
import { pastAtStart } from './stops'
import { heldIn, untilLeft, type Held } from './tripCounts'
import { playTrips } from './trips'

export interface OwnCountOptions {
  seed: number
  trials: number
  /** Which quantile. */
  q: Share
  /** How far to look, days, > 0: beyond that a count is infinite. */
  horizonDays: Days
  /** Whether the runs that are set are played. */
  withRuns: boolean
  tables: RiskTables
}

/** Of one container. */
export interface OwnCount {
  id: Id
  members: Id[]
  /** Infinite: beyond. */
  days: Days
}

/** How long each container lasts by itself, and all of them together. */
export interface OwnCounts {
  containers: OwnCount[]
  /** The joint quantile: what can be planned on; infinite: beyond. */
  joint: Days
  /** Mean days and the chance to make all nights, on the same trips. */
  held: Held
}

/**
 * Days to plan on of each container by itself, infinite beyond the horizon; of the one that stops most trips, those of the stay,
 * which none of the others is under.
 * @param stops the container that the sentence of the count names; null: nothing stops
 */
export function planOnOfEach({ containers, joint }: OwnCounts, stops: Id | null): Map<Id, Days> {
  return new Map(containers.map(({ id, days }) => [id, id === stops ? joint : days]))
}

/** Trips of one breath. */
const PIECE = 4 * BATCH

/**
 * The q-quantile of each container's own count, whatever the others do, with the runs that are set (or with none of them): days
 * from where the case begins, infinite beyond the horizon. Trips are those of every other question with the same seed.
 */
export function* ownCounts(
  stayCase: StayCase,
  { seed, trials, q, horizonDays, withRuns, tables }: OwnCountOptions,
): Steps<OwnCounts> {
  const planned = compile(stayCase, { horizonDays })
  const model = withRuns ? planned : withoutRuns(planned)
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables, base: ledger(model) })
  const limited = model.containers.flatMap(({ limit }, c) => (limit === null ? [] : [c]))
  const firsts = limited.map(() => new Float64Array(trials).fill(Infinity))
  const days = new Float64Array(trials)
  for (let from = 0; from < trials; from += PIECE) {
    const to = Math.min(trials, from + PIECE)
    const watch = firstBreaches(sampler, limited, firsts, from)
    days.set(playTrips(sampler, sampler.luck(seed, from, to), null, watch, from).days, from)
    yield to / trials
  }
  const held = heldIn(days, untilLeft(stayCase))
  return {
    containers: limited.map((c, k) => {
      const { id, members } = model.containers[c]!
      return { id, members, days: quantileSorted(firsts[k]!.sort(), q) }
    }),
    joint: quantileSorted(days.sort(), q),
    held,
  }
}

/** Notes each container's own first breach in every trip, found within its part, or right after a run, as the count finds it. */
function firstBreaches(sampler: Sampler, limited: readonly number[], firsts: Float64Array[], from: number) {
  const { model, accounts, signs, runs } = sampler
  const { count, edges } = model.grid
  const note = (k: number, trip: number, days: Days) => {
    if (firsts[k]![trip] === Infinity && days <= model.horizonDays) firsts[k]![trip] = days
  }
  return {
    start: (batch: Batch, first: number) => {
      limited.forEach((c, k) => {
        for (let j = 0; j < batch.size; j++)
          if (pastAtStart(sampler, batch, c, j) > BREACH_TOLERANCE) note(k, from + first + j, 0)
      })
    },
    part: (batch: Batch, i: number, first: number) => {
      const width = edges[i + 1]! - edges[i]!
      const drained = runs.get(i)?.drained ?? []
      limited.forEach((c, k) => {
        const before = baseBefore(accounts, c, i, count)
        const base = accounts.base[c * count + i]!
        const isDrained = drained.includes(c)
        for (let j = 0; j < batch.size; j++) {
          const at = c * BATCH + j
          const past = (level: number) => signs[c]! * (level - batch.limit[at]!)
          if (isDrained && batch.pastByRun[at] === 1) note(k, from + first + j, edges[i]!)
          const after = past(base + batch.off[at]!)
          if (after <= BREACH_TOLERANCE) continue
          const was = past(before + batch.offBefore[at]!)
          note(k, from + first + j, edges[i]! + Math.max(0, -was / (after - was)) * width)
        }
      })
    },
  }
}
