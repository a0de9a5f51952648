import { movedPerUse } from '../compile'
import type { PartIndex } from '../calendar'
import type { Amount } from '../quantities'
import type { Model, Stream } from '../compile'
import type { ContainerIndex, EndCode, Id, ModelRun, ModelStep } from '../domain'
import { BOUNDS, applyRun, isEmptied, newBlock, type Bound, type RunBlock } from '../runs'
import { PIECE, whole, within, type Steps } from '../slices'
import { playVessels } from './vessels'

/**
 * The stay played forward: every flow of every part, the runs that are set, and the level of every container at each part end.
 * Nothing is clipped: a level past its limit, or below zero, stays as it is (model.md section 3), so that
 * level = start + inflow − outflow holds exactly.
 */
export interface Ledger {
  /** L (or uses), row = stream, column = part; >= 0. */
  amounts: Float64Array
  /** L (or uses) at the end of each part, row = container, column = part. */
  levels: Float64Array
  /** The levels right after the runs of each part that has any, by container. */
  afterRuns: ReadonlyMap<PartIndex, Float64Array>
  /** The same after each of them, in their order. */
  afterEach: readonly AfterRun[]
  /** What each run moved, step by step. */
  runs: RunRow[]
  /** Of runs that would have moved nothing and so were not done: what was asked, and what cut it. */
  idle: RunRow[]
}

export interface AfterRun {
  part: PartIndex
  isOfRoad: boolean
  /** L (or uses), by container. */
  levels: Float64Array
}

/** One step of a run as it was played; a load is a step of its own. */
export interface RunRow {
  run: Id
  part: PartIndex
  /** Which of the run's steps as they were set. */
  step: number
  from: EndCode
  to: EndCode
  /** L (or uses), >= 0; what was undone is what was asked for less what moved. */
  asked: Amount
  moved: Amount
  bound: Bound
  /** L left in a waste container that was emptied down to its residue; null: it was not. */
  left: Amount | null
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
  return { amounts, ...accumulated(model, levels) }
}

function addStream(levels: Float64Array, { from, to }: Stream, row: Float64Array): void {
  const count = row.length
  if (to >= 0) addTo(levels.subarray(to * count, (to + 1) * count), row, 1)
  if (from >= 0) addTo(levels.subarray(from * count, (from + 1) * count), row, -1)
}

/**
 * Turns the net flows of all containers into their levels, in place, in segments between the runs: a part's runs act at its
 * start, before its uses. Without a run it is one segment.
 */
function accumulated(model: Model, net: Float64Array): Omit<Ledger, 'amounts'> {
  const { containers, runs, grid } = model
  const block = newBlock(containers.length, 1)
  const rows: RunRow[] = []
  const idle: RunRow[] = []
  const afterRuns = new Map<PartIndex, Float64Array>()
  const afterEach: AfterRun[] = []
  containers.forEach(({ start }, c) => (block.levels[c] = start))
  let from = 0
  const flow = (until: number) => {
    containers.forEach((_, c) => {
      const row = net.subarray(c * grid.count + from, c * grid.count + until)
      block.levels[c] = accumulate(row, block.levels[c]!)
    })
    from = until
  }
  for (const run of runs) {
    flow(run.part)
    const before = block.levels.slice()
    const played = playRun(model, run, block)
    if (run.isPlanned && played.every(({ moved }) => moved <= IDLE)) {
      block.levels.set(before)
      idle.push(...played)
      continue
    }
    rows.push(...played)
    const levels = block.levels.slice()
    afterRuns.set(run.part, levels)
    afterEach.push({ part: run.part, isOfRoad: run.isOfRoad, levels })
  }
  flow(grid.count)
  return { levels: net, afterRuns, afterEach, runs: rows, idle }
}

/** A run that moves no more than this (L or uses) moves nothing. */
const IDLE = 1e-9

/** A run on levels as they stand, changed in place; @returns what each step of it did */
export function playRun(model: Model, run: ModelRun, block: RunBlock): RunRow[] {
  const rows: RunRow[] = []
  applyRun(model, run, block, (step) => rows.push(rowOf(model, run, step, block)))
  return rows
}

function rowOf(model: Model, { id, part }: ModelRun, played: ModelStep, block: RunBlock): RunRow {
  const { step, from, to } = played
  const [asked, moved, bound] = [block.asked[0]!, block.moved[0]!, BOUNDS[block.bound[0]!]!]
  const left = isEmptied(model, played, block.levels[from] ?? 0) ? block.levels[from]! : null
  return { run: id, part, step, from, to, asked, moved, bound, left }
}

/**
 * The same levels without keeping the amounts, for who asks only how long a stay lasts; where a vessel passes water on the
 * amounts are needed, and kept.
 */
export function* levelsSteps(model: Model): Steps<Omit<Ledger, 'amounts'>> {
  if (model.vessels.length > 0) return yield* ledgerSteps(model)
  const { count } = model.grid
  const levels = new Float64Array(model.containers.length * count)
  const row = new Float64Array(count)
  for (const [s, stream] of model.streams.entries()) {
    fillAmounts(model, stream, row)
    addStream(levels, stream, row)
    if (isPieceEnd(s, count)) yield s / model.streams.length
  }
  return accumulated(model, levels)
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
function fillAmounts(model: Model, stream: Stream, row: Float64Array): void {
  const base = stream.activity * model.grid.count
  const { portion } = stream
  for (let i = 0; i < row.length; i++)
    row[i] = model.uses[base + i]! * movedPerUse(stream, model.volume[base + i]!)
  if (portion) for (let i = 0; i < row.length; i++) row[i]! *= portion[i]!
}

function addTo(net: Float64Array, amounts: Float64Array, sign: 1 | -1): void {
  for (let i = 0; i < net.length; i++) net[i]! += sign * amounts[i]!
}

/** Turns the net flow of each part into the level at its end. @returns the last of them */
function accumulate(net: Float64Array, start: Amount): Amount {
  let level = start
  for (let i = 0; i < net.length; i++) {
    level += net[i]!
    net[i] = level
  }
  return level
}

/** The level at the start of a part, after its runs: the stay's start, or the end of the part before, or what runs left. */
export function levelBefore(
  model: Model,
  { levels, afterRuns }: Pick<Ledger, 'levels' | 'afterRuns'>,
  container: ContainerIndex,
  part: PartIndex,
): number {
  const after = afterRuns.get(part)
  if (after) return after[container]!
  return part === 0 ? model.containers[container]!.start : levels[container * model.grid.count + part - 1]!
}
