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
  model.streams.forEach((stream, s) => {
    const row = amounts.subarray(s * count, (s + 1) * count)
    fillAmounts(model, stream, row)
    if (stream.to >= 0) addTo(levels.subarray(stream.to * count, (stream.to + 1) * count), row, 1)
    if (stream.from >= 0) addTo(levels.subarray(stream.from * count, (stream.from + 1) * count), row, -1)
  })
  model.containers.forEach(({ start }, c) => accumulate(levels.subarray(c * count, (c + 1) * count), start))
  return { amounts, levels }
}

/** amount = uses × (share of the draw × L per use + what is added per use) */
function fillAmounts(model: Model, stream: Stream, row: Float64Array): void {
  const base = stream.activity * model.grid.count
  for (let i = 0; i < row.length; i++)
    row[i] = model.uses[base + i]! * (stream.ofDraw * model.volume[base + i]! + stream.fixed)
}

function addTo(net: Float64Array, amounts: Float64Array, sign: 1 | -1): void {
  for (let i = 0; i < net.length; i++) net[i]! += sign * amounts[i]!
}

/** Turns the net flow of each part into the level at its end. */
function accumulate(net: Float64Array, start: number): void {
  let level = start
  for (let i = 0; i < net.length; i++) {
    level += net[i]!
    net[i] = level
  }
}

/** The level at the start of a part: the stay's start, or the end of the part before. */
export function levelBefore(model: Model, { levels }: Ledger, container: number, part: number): number {
  return part === 0 ? model.containers[container]!.start : levels[container * model.grid.count + part - 1]!
}
