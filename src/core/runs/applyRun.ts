import type { Model } from '../compile'
import type { ModelRun, ModelStep } from '../domain'
import { headLitres } from './headTransfer'

/** What cut a step short: the giver had no more, the taker had no room, the rig may carry no more, or the heights stand level. */
export const BOUNDS = ['none', 'giver', 'room', 'payload', 'head'] as const
export type Bound = (typeof BOUNDS)[number]
const [NONE, GIVER, ROOM, PAYLOAD, HEAD] = [0, 1, 2, 3, 4]

/**
 * Levels that a run is played on, many trips side by side: trip j's level of container c stands at c × stride + j.
 * The ledger is one trip.
 */
export interface RunBlock {
  size: number
  stride: number
  /** L (or uses), changed in place. */
  levels: Float64Array
  /** Each container's own capacity over the one given, the same rows; null: as given. */
  shares: Float64Array | null
  /** L (or uses) of the step at hand by trip: asked for and moved; and the bound that cut it, an index of `BOUNDS`. */
  asked: Float64Array
  moved: Float64Array
  bound: Uint8Array
}

export function newBlock(containers: number, size: number): RunBlock {
  return {
    size,
    stride: size,
    levels: new Float64Array(containers * size),
    shares: null,
    asked: new Float64Array(size),
    moved: new Float64Array(size),
    bound: new Uint8Array(size),
  }
}

/**
 * The one way a run changes levels, for ledger, trips, plan and practice (model.md section 7). Step by step:
 * moved = min(asked, what the giver may give, what the taker has room for, what the rig may still carry), at least 0.
 * @param after called after each step, while `asked`, `moved` and `bound` are its own
 */
export function applyRun(
  model: Pick<Model, 'containers' | 'payload'>,
  { steps }: ModelRun,
  block: RunBlock,
  after?: (step: ModelStep) => void,
): void {
  for (const step of steps) {
    ask(step, block)
    moveStep(model, step, block)
    after?.(step)
  }
}

/** What the step asks for, in `asked`. Every loop runs over trips with all else in hand. */
function ask(step: ModelStep, { levels, shares, stride, size, asked }: RunBlock): void {
  const { from, to, scale, value } = step
  const own = shares !== null && scale >= 0 ? scale * stride : -1
  for (let j = 0; j < size; j++) asked[j] = own < 0 ? value : value * shares![own + j]!
  if (step.ask === 'down-to')
    for (let j = 0, at = from * stride; j < size; j++) asked[j] = atLeastNone(levels[at + j]! - asked[j]!)
  else if (step.ask === 'up-to')
    for (let j = 0, at = to * stride; j < size; j++) asked[j] = atLeastNone(asked[j]! - levels[at + j]!)
  else if (step.ask === 'head')
    for (let j = 0; j < size; j++) {
      const [gray, black] = [from * stride + j, to * stride + j]
      const [grayShare, blackShare] = shares === null ? [1, 1] : [shares[gray]!, shares[black]!]
      asked[j] =
        step.head === null
          ? 0
          : headLitres(step.head, levels[gray]!, levels[black]!, step.floor, grayShare, blackShare)
    }
}

function atLeastNone(amount: number): number {
  return amount > 0 ? amount : 0
}

function moveStep(
  { containers, payload }: Pick<Model, 'containers' | 'payload'>,
  { from, to, floor, adds, ask: asks }: ModelStep,
  block: RunBlock,
): void {
  const { size, stride, levels, shares, asked, moved, bound } = block
  const whole = asks === 'head' ? HEAD : NONE
  for (let j = 0; j < size; j++) moved[j] = asked[j]!
  bound.fill(whole, 0, size)
  const lessen = (most: number, j: number, by: number) => {
    const kept = atLeastNone(most)
    if (kept >= moved[j]!) return
    moved[j] = kept
    bound[j] = by
  }
  if (from >= 0) for (let j = 0, at = from * stride; j < size; j++) lessen(levels[at + j]! - floor, j, GIVER)
  if (to >= 0) {
    const { ceiling } = containers[to]!
    for (let j = 0, at = to * stride; j < size; j++)
      lessen(ceiling * (shares === null ? 1 : shares[at + j]!) - levels[at + j]!, j, ROOM)
  }
  if (adds > 0 && payload !== null)
    for (let j = 0; j < size; j++)
      if (moved[j]! > 0) lessen((payload - aboard(containers, block, j)) / adds, j, PAYLOAD)
  if (from >= 0) for (let j = 0, at = from * stride; j < size; j++) levels[at + j]! -= moved[j]!
  if (to >= 0) for (let j = 0, at = to * stride; j < size; j++) levels[at + j]! += moved[j]!
}

/** kg of water and waste aboard. */
function aboard(containers: Model['containers'], { levels, stride }: RunBlock, j: number): number {
  let kg = 0
  for (let c = 0, at = j; c < containers.length; c++, at += stride) kg += containers[c]!.kgPer * levels[at]!
  return kg
}

/** Past its residue by no more than this (L or uses) a container counts as emptied. */
const EMPTIED = 1e-9

/** Whether an emptying came down to the residue: then nothing stands on the solids any more. @param level after the step */
export function isEmptied(
  { containers }: Pick<Model, 'containers'>,
  { empties, from }: ModelStep,
  level: number,
): boolean {
  return empties && level <= containers[from]!.residue + EMPTIED
}
