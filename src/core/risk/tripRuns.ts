import type { PartIndex } from '../calendar'
import { BREACH_TOLERANCE } from '../count'
import type { ContainerIndex, ModelStep } from '../domain'
import { applyRun, isEmptied, type RunBlock } from '../runs'
import { BATCH, type Batch } from './batch'
import type { PartRuns, Sampler } from './sampler'

/**
 * The runs of a part, on every trip's own levels and capacities: level = base + off before, and off is what it comes to less
 * the base after. Without any spread off stays 0 to the last bit. After each of them it is looked whether a supply that is drained
 * outside stands past its limit, and after those of the road what the stay begins at.
 */
export function playRuns(
  sampler: Sampler,
  batch: Batch,
  part: PartIndex,
  { all, drained, road }: PartRuns,
): void {
  const { accounts, model } = sampler
  const after = accounts.afterRuns.get(part)
  if (!after) return
  const { count } = model.grid
  const { off, size, block, pastByRun } = batch
  const { levels } = block
  block.size = size
  for (let k = 0; k < accounts.count; k++) {
    const base = part === 0 ? accounts.starts[k]! : accounts.base[k * count + part - 1]!
    for (let j = k * BATCH; j < k * BATCH + size; j++) levels[j] = base + off[j]!
  }
  for (const c of drained) pastByRun.fill(0, c * BATCH, c * BATCH + size)
  for (const [r, run] of all.entries()) {
    applyRun(model, run, block, (step) => onSolids(sampler, block, step))
    for (const c of drained) markPast(sampler, batch, c)
    if (r + 1 === road) batch.atStart.set(levels.subarray(0, batch.atStart.length))
  }
  for (let k = 0; k < accounts.count; k++) {
    const base = after[k]!
    for (let j = k * BATCH; j < k * BATCH + size; j++) off[j] = levels[j]! - base
  }
}

function markPast({ signs }: Sampler, { block, limit, pastByRun, size }: Batch, c: ContainerIndex): void {
  for (let j = c * BATCH; j < c * BATCH + size; j++)
    if (signs[c]! * (block.levels[j]! - limit[j]!) > BREACH_TOLERANCE) pastByRun[j] = 1
}

/** What is brought in stands on the solids; where the tank comes down to its residue they are gone. */
function onSolids({ accounts, model }: Sampler, { levels, moved, size }: RunBlock, step: ModelStep): void {
  for (const { container, liquid, solids } of accounts.flush) {
    if (step.to === container) for (let j = 0; j < size; j++) levels[liquid * BATCH + j]! += moved[j]!
    if (step.from !== container || !step.empties) continue
    for (let j = 0; j < size; j++) {
      const level = levels[container * BATCH + j]!
      if (!isEmptied(model, step, level)) continue
      levels[liquid * BATCH + j] = level
      levels[solids * BATCH + j] = 0
    }
  }
}
