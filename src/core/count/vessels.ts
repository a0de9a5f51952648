import type { Model, ModelVessel } from '../model'

const MORNING = 0

/**
 * Catch and reuse (model.md section 4), part by part. Donors fill each vessel first, up to its capacity; what does not
 * fit stays on its way to the donor's receiver. Recipients then draw from it before their supply, pro rata when short.
 * At the end of each morning part it is emptied into the receivers of those who filled it since, in proportion.
 * @param amounts L, row = stream, column = part; the vessels' streams are written, the others give and take
 */
export function playVessels(model: Model, amounts: Float64Array): void {
  const { count } = model.grid
  const states = emptyVessels(model)
  for (let i = 0; i < count; i++) playVesselsPart(model, states, i, amounts, i, count)
}

export interface VesselState {
  vessel: ModelVessel
  /** L in it. */
  content: number
  /** L from each donor since it was last emptied. */
  given: number[]
}

export function emptyVessels({ vessels }: Model): VesselState[] {
  return vessels.map((vessel) => ({ vessel, content: 0, given: vessel.donors.map(() => 0) }))
}

/**
 * The same for one part, on the states that the parts before it left.
 * @param part of the grid @param amounts that of stream s stands at `at + s × stride`
 */
export function playVesselsPart(
  model: Model,
  states: readonly VesselState[],
  part: number,
  amounts: Float64Array,
  at: number,
  stride: number,
): void {
  for (const state of states) fill(state, part, amounts, at, stride)
  for (const state of states) draw(state, part, amounts, at, stride)
  if (model.grid.part[part] === MORNING) for (const state of states) empty(state, amounts, at, stride)
}

function fill(state: VesselState, part: number, amounts: Float64Array, at: number, stride: number): void {
  const { vessel, given } = state
  if (!vessel.active[part]) return
  const offered = vessel.donors.map(({ stream, share }) => share * amounts[at + stream * stride]!)
  const total = sum(offered)
  if (total === 0) return
  const fits = Math.min(1, (vessel.capacity - state.content) / total)
  vessel.donors.forEach(({ stream, caught }, d) => {
    const litres = offered[d]! * fits
    amounts[at + stream * stride]! -= litres
    amounts[at + caught * stride]! += litres
    given[d]! += litres
    state.content += litres
  })
}

function draw(state: VesselState, part: number, amounts: Float64Array, at: number, stride: number): void {
  const { vessel } = state
  if (!vessel.active[part] || state.content === 0) return
  const wanted = vessel.recipients.map(({ stream, share }) => share * amounts[at + stream * stride]!)
  const total = sum(wanted)
  if (total === 0) return
  const served = Math.min(1, state.content / total)
  vessel.recipients.forEach(({ stream, reused }, r) => {
    const litres = wanted[r]! * served
    amounts[at + stream * stride]! -= litres
    amounts[at + reused * stride]! += litres
  })
  state.content = served < 1 ? 0 : state.content - total
}

function empty(state: VesselState, amounts: Float64Array, at: number, stride: number): void {
  const total = sum(state.given)
  if (state.content > 0)
    state.vessel.donors.forEach(({ emptied }, d) => {
      amounts[at + emptied * stride]! += (state.content * state.given[d]!) / total
    })
  state.content = 0
  state.given.fill(0)
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0)
}
