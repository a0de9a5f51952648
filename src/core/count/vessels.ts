import type { Model, ModelVessel } from '../model'

const MORNING = 0

/**
 * Catch and reuse (model.md section 4), part by part. Donors fill each vessel first, up to its capacity; what does not
 * fit stays on its way to the donor's receiver. Recipients then draw from it before their supply, pro rata when short.
 * At the end of each morning part it is emptied into the receivers of those who filled it since, in proportion.
 * @param amounts L, row = stream, column = part; the vessels' streams are written, the others give and take
 */
export function playVessels(model: Model, amounts: Float64Array): void {
  const { count, part } = model.grid
  const states = model.vessels.map((vessel) => ({ vessel, content: 0, given: vessel.donors.map(() => 0) }))
  for (let i = 0; i < count; i++) {
    for (const state of states) fill(state, amounts, i, count)
    for (const state of states) draw(state, amounts, i, count)
    if (part[i] === MORNING) for (const state of states) empty(state, amounts, i, count)
  }
}

interface VesselState {
  vessel: ModelVessel
  /** L in it. */
  content: number
  /** L from each donor since it was last emptied. */
  given: number[]
}

function fill(state: VesselState, amounts: Float64Array, i: number, count: number): void {
  const { vessel, given } = state
  if (!vessel.active[i]) return
  const offered = vessel.donors.map(({ stream, share }) => share * amounts[stream * count + i]!)
  const total = sum(offered)
  if (total === 0) return
  const fits = Math.min(1, (vessel.capacity - state.content) / total)
  vessel.donors.forEach(({ stream, caught }, d) => {
    const litres = offered[d]! * fits
    amounts[stream * count + i]! -= litres
    amounts[caught * count + i]! += litres
    given[d]! += litres
    state.content += litres
  })
}

function draw(state: VesselState, amounts: Float64Array, i: number, count: number): void {
  const { vessel } = state
  if (!vessel.active[i] || state.content === 0) return
  const wanted = vessel.recipients.map(({ stream, share }) => share * amounts[stream * count + i]!)
  const total = sum(wanted)
  if (total === 0) return
  const served = Math.min(1, state.content / total)
  vessel.recipients.forEach(({ stream, reused }, r) => {
    const litres = wanted[r]! * served
    amounts[stream * count + i]! -= litres
    amounts[reused * count + i]! += litres
  })
  state.content = served < 1 ? 0 : state.content - total
}

function empty(state: VesselState, amounts: Float64Array, i: number, count: number): void {
  const total = sum(state.given)
  if (state.content > 0)
    state.vessel.donors.forEach(({ emptied }, d) => {
      amounts[emptied * count + i]! += (state.content * state.given[d]!) / total
    })
  state.content = 0
  state.given.fill(0)
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0)
}
