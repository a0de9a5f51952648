import type { PartIndex } from '../calendar'
import type { Amount } from '../quantities'
import type { Model, ModelVessel, VesselEnd } from '../compile'
import { PIECE, type Steps } from '../slices'

const MORNING = 0

/**
 * Catch and reuse (model.md section 4), part by part. Donors fill each vessel first, up to its capacity; what does not
 * fit stays on its way to the donor's receiver. Recipients then draw from it before their supply, pro rata when short.
 * At the end of each morning part it is emptied into the receivers of those who filled it since, in proportion.
 * @param amounts L, row = stream, column = part; the vessels' streams are written, the others give and take
 */
export function* playVessels(model: Model, amounts: Float64Array): Steps<void> {
  const { count } = model.grid
  const states = vesselsAtStart(model)
  const work = model.vessels.reduce((sum, vessel) => sum + vessel.donors.length + vessel.recipients.length, 0)
  const piece = Math.max(1, Math.round(PIECE / (10 * work + 1)))
  for (let i = 0; i < count; i++) {
    playVesselsPart(model, states, i, amounts, i, count)
    if ((i + 1) % piece === 0) yield (i + 1) / count
  }
}

export interface VesselState {
  vessel: ModelVessel
  /** L in it. */
  content: Amount
  /** L from each donor since it was last emptied. */
  given: Float64Array
  /** Room to work in: what each donor offers, what each recipient wants. */
  offered: Float64Array
  wanted: Float64Array
}

/** The vessels as they stand where the grid begins: empty, where a stay begins. */
export function vesselsAtStart({ vessels }: Model): VesselState[] {
  return vessels.map((vessel) => ({
    vessel,
    content: vessel.content,
    given: Float64Array.from(vessel.given),
    offered: new Float64Array(vessel.donors.length),
    wanted: new Float64Array(vessel.recipients.length),
  }))
}

/**
 * The same for one part, on the states that the parts before it left.
 * @param part of the grid @param amounts that of stream s stands at `at + s × stride`
 */
export function playVesselsPart(
  model: Model,
  states: readonly VesselState[],
  part: PartIndex,
  amounts: Float64Array,
  at: number,
  stride: number,
): void {
  catchAndReuse(states, part, amounts, at, stride)
  if (model.grid.part[part] === MORNING) for (const state of states) empty(state, amounts, at, stride)
}

/** The same without the emptying that ends a morning. */
export function catchAndReuse(
  states: readonly VesselState[],
  part: PartIndex,
  amounts: Float64Array,
  at: number,
  stride: number,
): void {
  for (const state of states) fill(state, part, amounts, at, stride)
  for (const state of states) draw(state, part, amounts, at, stride)
}

function shareIn({ share, byPersons }: VesselEnd, part: PartIndex): number {
  return byPersons === null ? share : share * byPersons[part]!
}

function fill(state: VesselState, part: PartIndex, amounts: Float64Array, at: number, stride: number): void {
  const { vessel, given, offered } = state
  const { donors } = vessel
  if (!vessel.active[part]) return
  let total = 0
  for (let d = 0; d < donors.length; d++) {
    offered[d] = shareIn(donors[d]!, part) * amounts[at + donors[d]!.stream * stride]!
    total += offered[d]!
  }
  if (total === 0) return
  const room = vessel.capacity - state.content
  const fits = total <= room ? 1 : room / total
  for (let d = 0; d < donors.length; d++) {
    const { stream, caught } = donors[d]!
    const litres = offered[d]! * fits
    amounts[at + stream * stride]! -= litres
    amounts[at + caught * stride]! += litres
    given[d]! += litres
  }
  state.content = total <= room ? state.content + total : vessel.capacity
}

function draw(state: VesselState, part: PartIndex, amounts: Float64Array, at: number, stride: number): void {
  const { vessel, wanted } = state
  const { recipients } = vessel
  if (!vessel.active[part] || state.content === 0) return
  let total = 0
  for (let r = 0; r < recipients.length; r++) {
    wanted[r] = shareIn(recipients[r]!, part) * amounts[at + recipients[r]!.stream * stride]!
    total += wanted[r]!
  }
  if (total === 0) return
  const served = Math.min(1, state.content / total)
  for (let r = 0; r < recipients.length; r++) {
    const { stream, reused } = recipients[r]!
    const litres = wanted[r]! * served
    amounts[at + stream * stride]! -= litres
    amounts[at + reused * stride]! += litres
  }
  state.content = served < 1 ? 0 : state.content - total
}

function empty(state: VesselState, amounts: Float64Array, at: number, stride: number): void {
  const { given, content } = state
  const { donors } = state.vessel
  if (content > 0) {
    const total = given.reduce((sum, litres) => sum + litres, 0)
    for (let d = 0; d < donors.length; d++)
      amounts[at + donors[d]!.emptied * stride]! += (content * given[d]!) / total
  }
  state.content = 0
  given.fill(0)
}
