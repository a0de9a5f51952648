import type { Amount, Litres } from '../quantities'
import type { ModelContainer } from './model'
import type { CrewAnswers } from '../domain'

/** L of liquid put into a waste tank after an emptying, by the crew's side. */
export function chargeOf(
  { sides, smallCharge, largeCharge, chargeShare }: CrewAnswers,
  { capacity }: Pick<ModelContainer, 'capacity'>,
): Litres {
  if (sides.charge === 'none') return 0
  if (sides.charge === 'fifth') return chargeShare.value * capacity
  return (sides.charge === 'small' ? smallCharge : largeCharge).value
}

/** The level up to which a black tank is topped up before it is dumped, by the crew's side; 0: it is dumped as it is. */
export function topUpLevel(
  { sides, topUpTo }: CrewAnswers,
  { capacity, ceiling }: Pick<ModelContainer, 'capacity' | 'ceiling'>,
): Amount {
  if (sides['dump-black'] === 'every-move') return 0
  return sides['dump-black'] === 'full' ? ceiling : Math.min(ceiling, topUpTo.value * capacity)
}
