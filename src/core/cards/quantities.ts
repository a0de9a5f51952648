import type { Binding, CardCase, Subject } from './cardCase'
import { carried } from './numbers/carried'
import { draining } from './numbers/draining'
import { filling } from './numbers/filling'
import type { CardQuantity, Make } from './numbers/made'
import { rinsing } from './numbers/rinsing'
import { road } from './numbers/road'
import { QUANTITIES, type QuantityId } from './template'

/** How each number on a card is worked out. */
const MAKE: Record<QuantityId, Make> = { ...draining, ...filling, ...rinsing, ...carried, ...road }

/** A quantity for a step; null where this rig, crew or errand has none: then its template is at fault. */
export function quantityOf(
  id: QuantityId,
  card: CardCase,
  subject: Subject,
  binding: Binding,
): CardQuantity | null {
  const made = MAKE[id](card, subject, binding)
  if (!made || !Number.isFinite(made.value)) return null
  return { id, unit: made.unit ?? QUANTITIES[id], value: made.value, why: made.why }
}
