import type { PartIndex } from '../calendar'
import type { Amount } from '../quantities'
import type { ContainerIndex, Model, Stream } from '../model'
import { PIECE, whole, within, type Steps } from '../steps'
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
  return whole(ledgerSteps(model))
}

/** The same in pieces. */
export function* ledgerSteps(model: Model): Steps<Ledger> {
  const { count } = model.grid
  const amounts = yield* within(amountsBeforeReuse(model), 0, 0.5)
  const levels = new Float64Array(model.containers.length * count)
  const rowOf = (s: number) => amounts.subarray(s * count, (s + 1) * count)
  if (model.vessels.length > 0) yield* within(playVessels(model, amounts), 0.5, 0.6)
  for (const [s, stream] of model.streams.entries()) {
    addStream(levels, stream, rowOf(s))
    if (isPieceEnd(s, count)) yield 0.6 + (0.4 * s) / model.streams.length
  }
  return { amounts, levels: accumulated(model, levels) }
}

function addStream(levels: Float64Array, { from, to }: Stream, row: Float64Array): void {
  const count = row.length
  if (to >= 0) addTo(levels.subarray(to * count, (to + 1) * count), row, 1)
  if (from >= 0) addTo(levels.subarray(from * count, (from + 1) * count), row, -1)
}

/** Turns the net flows of all containers into their levels, in place. */
function accumulated({ containers, grid: { count } }: Model, net: Float64Array): Float64Array {
  containers.forEach(({ start }, c) => accumulate(net.subarray(c * count, (c + 1) * count), start))
  return net
}

/**
 * The same levels without keeping the amounts, for who asks only how long a stay lasts; where a vessel passes water on the
 * amounts are needed, and kept.
 */
export function* levelsSteps(model: Model): Steps<Pick<Ledger, 'levels'>> {
  if (model.vessels.length > 0) return yield* ledgerSteps(model)
  const { count } = model.grid
  const levels = new Float64Array(model.containers.length * count)
  const row = new Float64Array(count)
  for (const [s, stream] of model.streams.entries()) {
    fillAmounts(model, stream, row)
    addStream(levels, stream, row)
    if (isPieceEnd(s, count)) yield s / model.streams.length
  }
  return { levels: accumulated(model, levels) }
}

/** The ledger's amounts as they are before any vessel catches or gives water. */
export function* amountsBeforeReuse(model: Model): Steps<Float64Array> {
  const { count } = model.grid
  const amounts = new Float64Array(model.streams.length * count)
  for (const [s, stream] of model.streams.entries()) {
    if (!stream.isOfVessel) fillAmounts(model, stream, amounts.subarray(s * count, (s + 1) * count))
    if (isPieceEnd(s, count)) yield s / model.streams.length
  }
  return amounts
}

/** Whether so many rows of so many parts fill a piece with this one. */
function isPieceEnd(row: number, parts: number): boolean {
  return (row + 1) % Math.max(1, Math.round(PIECE / parts)) === 0
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
function accumulate(net: Float64Array, start: Amount): void {
  let level = start
  for (let i = 0; i < net.length; i++) {
    level += net[i]!
    net[i] = level
  }
}

/** The level at the start of a part: the stay's start, or the end of the part before. */
export function levelBefore(
  model: Model,
  { levels }: Pick<Ledger, 'levels'>,
  container: ContainerIndex,
  part: PartIndex,
): number {
  return part === 0 ? model.containers[container]!.start : levels[container * model.grid.count + part - 1]!
}
