import type { Container } from '@/core/domain'
import type { Dimension, Quantity } from '@/core/quantities'
import { LIMITS } from '@/document'
import * as t from '@/texts/t'

/** One number of a tank: where it stands in the container, and how it is typed. */
export interface TankField {
  key: string
  label: string
  dimension: Dimension | 'number' | 'percent'
  min: number
  max: number
  /** The quantity in a container, or in a draft of it; null where it has none. */
  of: (container: Container) => Quantity | null
}

/** What is set once of a tank, in the order in which it is asked for. */
function allFields(container: Container): TankField[] {
  return [
    field('spread', t.sure.capacityOff, 'percent', [0, 1], (of) => ('spread' in of ? of.spread : null)),
    field('shell', t.tank.shell, 'mass', [0, LIMITS.kg.max], (of) => ('shell' in of ? of.shell : null)),
    field('residue', t.tank.residue, 'volume', [0, container.capacity.value], (of) =>
      'residue' in of ? of.residue : null,
    ),
    field('payload', t.tank.ridesIn, 'mass', [0, LIMITS.payloadKg.max], (of) =>
      'payload' in of ? of.payload : null,
    ),
    field('perUse', t.tank.perUse, 'mass', [0, LIMITS.kg.max], (of) => ('perUse' in of ? of.perUse : null)),
    field(
      'otherCapacity',
      t.tank.other(t.media[otherMedium(container)]),
      'number',
      [1, LIMITS.binUses.max],
      (of) => ('otherCapacity' in of ? of.otherCapacity : null),
    ),
    field('light', t.tank.light, 'volume', [0, container.capacity.value], (of) =>
      'light' in of ? of.light : null,
    ),
    field('height', t.tank.height, 'length', [LIMITS.heightM.min, LIMITS.heightM.max], (of) =>
      'shape' in of ? (of.shape?.height ?? null) : null,
    ),
    field('bottom', t.tank.bottom, 'length', [0, LIMITS.bottomM.max], (of) =>
      'shape' in of ? (of.shape?.bottom ?? null) : null,
    ),
    field('error', t.tank.error, 'length', [0, LIMITS.errorM.max], (of) =>
      'shape' in of ? (of.shape?.error ?? null) : null,
    ),
  ]
}

function field(
  key: string,
  label: string,
  dimension: TankField['dimension'],
  [min, max]: [number, number],
  of: TankField['of'],
): TankField {
  return { key, label, dimension, min, max, of }
}

/** The fields that this tank has. */
export function tankFields(container: Container): TankField[] {
  return allFields(container).filter(({ of }) => of(container) !== null)
}

function otherMedium(container: Container): 'long' | 'short' {
  return container.kind === 'solids' && container.medium === 'long' ? 'short' : 'long'
}
