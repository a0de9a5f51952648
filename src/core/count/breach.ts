import type { PartIndex } from '../calendar'
import type { Days, Amount, PerDay } from '../quantities'
import type { Model } from '../compile'
import type { ContainerIndex } from '../domain'
import { levelBefore, type Ledger } from './ledger'

type Levels = Pick<Ledger, 'levels' | 'afterRuns' | 'afterEach'>

/** Past a limit by no more than this (L or uses) is not a breach. Source: model.md section 3. */
export const BREACH_TOLERANCE = 1e-9

export interface Breach {
  container: ContainerIndex
  /** Days from the start to the instant the limit is crossed; 0 if the start is past it. */
  days: Days
  /** The part in which it happens. */
  part: PartIndex
  /** L past the limit at the very start; 0 unless the start itself is a breach. */
  excessAtStart: Amount
  /** Change of the level in that part, L per day, towards the limit >= 0. */
  ratePerDay: PerDay
}

/**
 * The first time a container passes its limit: at the linearly interpolated instant within a part, or right after a run, each
 * run of a part looked at apart. A start past the limit is 0 days, whatever runs follow; of a stay that follows another, after
 * what is done on the road.
 * @returns null for a carrier, or where nothing is crossed up to the horizon
 */
export function firstBreach(model: Model, ledger: Levels, container: ContainerIndex): Breach | null {
  const { limit, side } = model.containers[container]!
  if (limit === null) return null
  const sign = side === 'supply' ? -1 : 1
  const past = (level: Amount) => sign * (level - limit)
  const { count, edges } = model.grid
  const byRuns = partsPastByRun(ledger, (levels) => past(levels[container]!))
  for (let i = 0; i < count; i++) {
    const before = past(levelBefore(model, ledger, container, i))
    const after = past(ledger.levels[container * count + i]!)
    const width = edges[i + 1]! - edges[i]!
    const ratePerDay = (after - before) / width
    const excessAtStart = i === 0 ? past(startLevel(model, ledger, container)) : 0
    if (excessAtStart > BREACH_TOLERANCE) return { container, days: 0, part: 0, excessAtStart, ratePerDay }
    const isByRun = byRuns.has(i)
    if (!isByRun && after <= BREACH_TOLERANCE) continue
    const days = isByRun ? edges[i]! : edges[i]! + Math.max(0, -before / (after - before)) * width
    return days <= model.horizonDays ? { container, days, part: i, excessAtStart: 0, ratePerDay } : null
  }
  return null
}

/** Parts in which the level stands past the limit right after one of the runs. */
function partsPastByRun({ afterEach }: Levels, past: (levels: Float64Array) => Amount): Set<PartIndex> {
  return new Set(afterEach.flatMap(({ part, levels }) => (past(levels) > BREACH_TOLERANCE ? [part] : [])))
}

/** The level a stay begins at: of one that follows another, after what is done on the road. */
export function startLevel(model: Model, { afterEach }: Levels, container: ContainerIndex): Amount {
  const road = afterEach.findLast(({ part, isOfRoad }) => part === 0 && isOfRoad)
  return road?.levels[container] ?? model.containers[container]!.start
}

const TIE_DAYS = 1e-9

/**
 * The container that stops the stay. Ties within 1e-9 d go to the larger rate over capacity, then the id;
 * of several past their limit at the start, to the larger excess over capacity (model.md section 3).
 */
export function stopperOf(model: Model, breaches: readonly Breach[]): Breach | null {
  if (breaches.length === 0) return null
  const earliest = Math.min(...breaches.map(({ days }) => days))
  const tied = breaches.filter(({ days }) => days - earliest <= TIE_DAYS)
  const weight = ({ container, ratePerDay, excessAtStart }: Breach) =>
    (excessAtStart > 0 ? excessAtStart : ratePerDay) / model.containers[container]!.capacity
  const atStart = tied.filter(({ excessAtStart }) => excessAtStart > 0)
  const id = ({ container }: Breach) => model.containers[container]!.id
  return (atStart.length > 0 ? atStart : tied).reduce((best, next) => {
    const gain = weight(next) - weight(best)
    return gain > 0 || (gain === 0 && id(next) < id(best)) ? next : best
  })
}
