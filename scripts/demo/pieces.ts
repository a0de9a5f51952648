import type { SupplyContainer, WasteContainer } from '@/core/model'
import { fromSource, owned } from '@/core/quantities'

/** @param capacity L @param reserve L */
export function fresh(id: string, name: string, capacity: number, reserve: number): SupplyContainer {
  return { id, name, kind: 'fresh', capacity: owned(capacity), reserve: owned(reserve) }
}

/** @param capacity L; safe to 90 % of it */
export function waste(
  kind: WasteContainer['kind'],
  id: string,
  name: string,
  capacity: number,
): WasteContainer {
  return { id, name, kind, capacity: owned(capacity), safeFill: fromSource(0.9, 'rule-of-thumb') }
}
