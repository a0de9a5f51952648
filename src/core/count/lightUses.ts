import type { Amount } from '../quantities'
import type { Model } from '../compile'
import type { VesselContainer } from '../domain'
import type { Ledger } from './ledger'

/**
 * Uses that fit between a level and the safe fill of one cassette, for this crew: litres left ÷ the mean litres that a
 * toilet use brings into it over the whole ledger. Rounded down.
 * @param level L in the one in use
 * @returns null where nothing fills it
 */
export function usesLeft(
  model: Model,
  ledger: Ledger,
  container: VesselContainer,
  level: Amount,
): number | null {
  const c = model.containers.findIndex(({ members }) => members.includes(container.id))
  const { count } = model.grid
  const filling = model.streams.flatMap((stream, s) => (stream.to === c ? [{ ...stream, s }] : []))
  const activities = [...new Set(filling.map(({ activity }) => activity))]
  let [litres, uses] = [0, 0]
  for (let i = 0; i < count; i++) {
    for (const { s } of filling) litres += ledger.amounts[s * count + i]!
    for (const activity of activities) uses += model.uses[activity * count + i]!
  }
  if (litres === 0 || uses === 0) return null
  const room = container.safeFill.value * container.capacity.value - level
  return Math.max(0, Math.floor((room * uses) / litres + 1e-9))
}
