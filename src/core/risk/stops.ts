import { BREACH_TOLERANCE, stopperOf, type Breach } from '../count'
import { baseBefore } from './accounts'
import { BATCH, type Batch } from './batch'
import type { Sampler } from './sampler'

/** Trips whose start lies past a limit stop at once; where something is done on the road, after it. */
export function stopAtStart(sampler: Sampler, batch: Batch): void {
  batch.offBefore.set(batch.off)
  for (let j = 0; j < batch.size; j++) if (isPastAtStart(sampler, batch, j)) stop(sampler, batch, 0, j, true)
}

/** Marks the trips that pass a limit in part i; the rules are those of the count. */
export function markStops(sampler: Sampler, batch: Batch, i: number): void {
  const { signs, accounts, model, runs } = sampler
  const { limit, off, days, size, pastByRun } = batch
  // Only a supply that a run drains outside can stand past its limit right after it.
  for (const c of runs.get(i)?.drained ?? [])
    for (let j = 0, at = c * BATCH; j < size; j++)
      if (pastByRun[at + j] === 1 && days[j] === Infinity) stop(sampler, batch, i, j, false)
  for (let c = 0; c < signs.length; c++) {
    const sign = signs[c]!
    if (sign === 0) continue
    const base = accounts.base[c * model.grid.count + i]!
    const row = c * BATCH
    for (let j = 0; j < size; j++)
      if (sign * (base + off[row + j]! - limit[row + j]!) > BREACH_TOLERANCE && days[j] === Infinity)
        stop(sampler, batch, i, j, false)
  }
}

/** How far past its limit a container starts, L (or uses); below 0: within it. */
export function pastAtStart(
  { signs, accounts, model, runs }: Sampler,
  { off, limit, atStart }: Batch,
  c: number,
  j: number,
): number {
  const at = c * BATCH + j
  const hasRoad = model.startsAfterRoad && (runs.get(0)?.road ?? 0) > 0
  const level = hasRoad ? atStart[at]! : accounts.starts[c]! + off[at]!
  return signs[c]! * (level - limit[at]!)
}

function isPastAtStart(sampler: Sampler, batch: Batch, j: number): boolean {
  return sampler.signs.some((sign, c) => sign !== 0 && pastAtStart(sampler, batch, c, j) > BREACH_TOLERANCE)
}

/** Several containers may be past their limit: which was first? Beyond the horizon none of them counts. */
function stop(sampler: Sampler, batch: Batch, i: number, j: number, atStart: boolean): void {
  const { model, accounts, signs, runs } = sampler
  const { count, edges } = model.grid
  const width = edges[i + 1]! - edges[i]!
  const breaches: Breach[] = []
  const drained = atStart ? [] : (runs.get(i)?.drained ?? [])
  for (let c = 0; c < signs.length; c++) {
    if (signs[c] === 0) continue
    const limit = batch.limit[c * BATCH + j]!
    const before = atStart
      ? pastAtStart(sampler, batch, c, j)
      : signs[c]! * (baseBefore(accounts, c, i, count) + batch.offBefore[c * BATCH + j]! - limit)
    const after = signs[c]! * (accounts.base[c * count + i]! + batch.off[c * BATCH + j]! - limit)
    const ratePerDay = (after - before) / width
    const isByRun = drained.includes(c) && batch.pastByRun[c * BATCH + j] === 1
    if (!isByRun && !((atStart ? before : after) > BREACH_TOLERANCE)) continue
    const gone = isByRun ? 0 : Math.max(0, -before / (after - before))
    const days = atStart ? 0 : edges[i]! + gone * width
    if (days <= model.horizonDays)
      breaches.push({ container: c, days, part: i, excessAtStart: atStart ? before : 0, ratePerDay })
  }
  const first = breaches.length > 1 ? stopperOf(model, breaches) : breaches[0]
  if (!first) return
  batch.days[j] = first.days
  batch.stopper[j] = first.container
  batch.going--
}
