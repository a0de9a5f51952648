import type { Model, Stream } from '../model'

/**
 * The stay played forward without a run: every flow of every part, and the level of every container at each part end.
 * Nothing is clipped: a level past its limit, or below zero, stays as it is (model.md section 3), so that
 * level = start + inflow − outflow holds exactly.
 */
export interface Ledger {
  /** L (or uses), row = stream, column = part; >= 0. */
  amounts: Float64Array
  /** L (or uses) at the end of each part, row = container, column = part. */
  levels: Float64Array
}

export function ledger(model: Model): Ledger {
  const { count } = model.grid
  const amounts = new Float64Array(model.streams.length * count)
  const levels = new Float64Array(model.containers.length * count)
  model.streams.forEach((stream, s) => fillAmounts(model, stream, amounts.subarray(s * count, (s + 1) * count)))
  model.containers.forEach((container, c) => {
    let level = container.start
    for (let i = 0; i < count; i++) {
      level += netFlow(model, amounts, c, i)
      levels[c * count + i] = level
    }
  })
  return { amounts, levels }
}

/** amount = uses × (share of the draw × L per use + what is added per use) */
function fillAmounts(model: Model, stream: Stream, row: Float64Array): void {
  const base = stream.activity * model.grid.count
  for (let i = 0; i < row.length; i++)
    row[i] = model.uses[base + i]! * (stream.ofDraw * model.volume[base + i]! + stream.fixed)
}

/** Inflow minus outflow of one container in one part. */
function netFlow(model: Model, amounts: Float64Array, container: number, part: number): number {
  let net = 0
  for (let s = 0; s < model.streams.length; s++) {
    const stream = model.streams[s]!
    if (stream.to === container) net += amounts[s * model.grid.count + part]!
    else if (stream.from === container) net -= amounts[s * model.grid.count + part]!
  }
  return net
}

/** The level at the start of a part: the stay's start, or the end of the part before. */
export function levelBefore(model: Model, { levels }: Ledger, container: number, part: number): number {
  return part === 0 ? model.containers[container]!.start : levels[container * model.grid.count + part - 1]!
}
