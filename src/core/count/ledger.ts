import type { Model, Stream } from '../model'
import { playVessels } from './vessels'

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
  const amounts = amountsBeforeReuse(model)
  const levels = new Float64Array(model.containers.length * count)
  const rowOf = (s: number) => amounts.subarray(s * count, (s + 1) * count)
  if (model.vessels.length > 0) playVessels(model, amounts)
  model.streams.forEach(({ from, to }, s) => {
    if (to >= 0) addTo(levels.subarray(to * count, (to + 1) * count), rowOf(s), 1)
    if (from >= 0) addTo(levels.subarray(from * count, (from + 1) * count), rowOf(s), -1)
  })
  model.containers.forEach(({ start }, c) => accumulate(levels.subarray(c * count, (c + 1) * count), start))
  return { amounts, levels }
}

/** The ledger's amounts as they are before any vessel catches or gives water. */
export function amountsBeforeReuse(model: Model): Float64Array {
  const { count } = model.grid
  const amounts = new Float64Array(model.streams.length * count)
  model.streams.forEach((stream, s) => {
    if (!stream.isOfVessel) fillAmounts(model, stream, amounts.subarray(s * count, (s + 1) * count))
  })
  return amounts
}

/** amount = uses × (share of the draw × L per use + what is added per use) × the part's portion */
function fillAmounts(model: Model, { activity, ofDraw, fixed, portion }: Stream, row: Float64Array): void {
  const base = activity * model.grid.count
  for (let i = 0; i < row.length; i++)
    row[i] = model.uses[base + i]! * (ofDraw * model.volume[base + i]! + fixed)
  if (portion) for (let i = 0; i < row.length; i++) row[i]! *= portion[i]!
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
