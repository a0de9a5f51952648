import { BREACH_TOLERANCE, stopperOf, type Breach } from '../count'
import { baseBefore } from './accounts'
import { BATCH, type Batch } from './batch'
import type { Sampler } from './sampler'

/** Trips whose start lies past a limit stop at once; where something is done on the road, after it. */
export function stopAtStart(sampler: Sampler, batch: Batch): void {
  batch.offBefore.set(batch.off)
  for (let j = 0; j < batch.size; j++) if (isPast(sampler, batch, -1, j)) stop(sampler, batch, 0, j, true)
}

/** Marks the trips that pass a limit in part i; the rules are those of the count. */
export function markStops(sampler: Sampler, batch: Batch, i: number): void {
  const { signs, accounts, model, runs } = sampler
  const { limit, off, days, size } = batch
  // Only a supply that a run drains outside can stand past its limit right after it.
  for (const c of runs.get(i)?.drained ?? []) {
    const base = accounts.afterRuns.get(i)![c]!
    for (let j = 0, at = c * BATCH; j < size; j++)
      if (
        signs[c]! * (base + batch.offBefore[at + j]! - limit[at + j]!) > BREACH_TOLERANCE &&
        days[j] === Infinity
      )
        stop(sampler, batch, i, j, false)
  }
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

/** The base at which a stay starts. */
function startBase(
  accounts: Sampler['accounts'],
  c: number,
  { startsAfterRoad, grid }: Sampler['model'],
): number {
  return startsAfterRoad ? baseBefore(accounts, c, 0, grid.count) : accounts.starts[c]!
}

function isPast({ signs, accounts, model }: Sampler, { off, limit }: Batch, i: number, j: number): boolean {
  return signs.some((sign, c) => {
    const base = i < 0 ? startBase(accounts, c, model) : accounts.base[c * model.grid.count + i]!
    return sign !== 0 && sign * (base + off[c * BATCH + j]! - limit[c * BATCH + j]!) > BREACH_TOLERANCE
  })
}

/** Several containers may be past their limit: which was first? Beyond the horizon none of them counts. */
function stop(
  { model, accounts, signs, runs }: Sampler,
  batch: Batch,
  i: number,
  j: number,
  atStart: boolean,
): void {
  const { count, edges } = model.grid
  const width = edges[i + 1]! - edges[i]!
  const breaches: Breach[] = []
  for (let c = 0; c < signs.length; c++) {
    if (signs[c] === 0) continue
    const limit = batch.limit[c * BATCH + j]!
    const start = atStart ? startBase(accounts, c, model) : baseBefore(accounts, c, i, count)
    const before = signs[c]! * (start + batch.offBefore[c * BATCH + j]! - limit)
    const after = signs[c]! * (accounts.base[c * count + i]! + batch.off[c * BATCH + j]! - limit)
    const ratePerDay = (after - before) / width
    const isByRun = !atStart && before > BREACH_TOLERANCE && runs.has(i)
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
