import type { Container, ContainerKind, Fixture } from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'

/** Typical sizes, L (a solids bin: uses with the long medium). */
const TYPICAL: Record<ContainerKind, number> = {
  fresh: 100, gray: 80, black: 60, flush: 14, cassette: 18, urine: 8, solids: 60, tote: 60, jug: 20,
} // prettier-ignore
/** Coefficient of variation of a capacity that was never metered (model.md section 1). */
const CAPACITY_SPREAD = 0.03
const RESERVE_SHARE = 0.04
/** kg of the empty shell. */
const SHELL_KG = { cassette: 4, urine: 0.8, solids: 3, tote: 9, jug: 1 }

/** A container of a kind with everything about it assumed but its size. @param size L, or uses of a solids bin */
export function newContainer(
  kind: ContainerKind,
  id: string,
  name: string,
  size: number = TYPICAL[kind],
): Container {
  const base = { id, name, capacity: owned(size), spread: fromSource(CAPACITY_SPREAD, 'assumed') }
  const safeTo = (share: number) => fromSource(share, 'rule-of-thumb')
  switch (kind) {
    case 'fresh':
    case 'flush':
      return { ...base, kind, reserve: fromSource(Math.round(size * RESERVE_SHARE), 'assumed'), panel: null }
    case 'gray':
    case 'black':
      return {
        ...base,
        kind,
        safeFill: safeTo(0.9),
        residue: fromSource(0, 'assumed'),
        shape: null,
        panel: null,
      }
    case 'cassette':
    case 'urine':
      return {
        ...base,
        kind,
        safeFill: safeTo(kind === 'cassette' ? 0.85 : 0.9),
        spares: 0,
        shell: fromSource(SHELL_KG[kind], 'assumed'),
        light: kind === 'cassette' ? fromSource(Math.round(size * 0.75 * 10) / 10, 'assumed') : null,
      }
    case 'solids':
      return {
        ...base,
        kind,
        medium: 'long',
        otherCapacity: fromSource(Math.max(1, Math.round(size / 3)), 'assumed'),
        safeFill: safeTo(1),
        spares: 0,
        shell: fromSource(SHELL_KG.solids, 'assumed'),
        perUse: fromSource(0.15, 'assumed'),
      }
    case 'tote':
    case 'jug':
      return {
        id,
        name,
        capacity: owned(size),
        kind,
        shell: fromSource(SHELL_KG[kind], 'assumed'),
        payload: null,
      }
  }
}

/** A fixture that takes the usual water and every use. */
export function newFixture(id: string, name: string, draws: string | null, drains: string): Fixture {
  return { id, name, draws, drains, solids: null, waterFactor: fromSource(1, 'assumed'), takes: 'all' }
}
