import { fromVersion1 } from './fromVersion1'
import { fromVersion2 } from './fromVersion2'
import { fromVersion3 } from './fromVersion3'
import { fromVersion4 } from './fromVersion4'
import { fromVersion5 } from './fromVersion5'
import { fromVersion6 } from './fromVersion6'
import { fromVersion7 } from './fromVersion7'
import { fromVersion8 } from './fromVersion8'
import { fromVersion9 } from './fromVersion9'
import { fromVersion10 } from './fromVersion10'

export type Migration = (document: unknown) => unknown

/** `chain[n]` turns a document of version n into version n + 1. Contiguous from 1; each gets a copy of a checked one. */
export const chain: Record<number, Migration> = {
  1: fromVersion1,
  2: fromVersion2,
  3: fromVersion3,
  4: fromVersion4,
  5: fromVersion5,
  6: fromVersion6,
  7: fromVersion7,
  8: fromVersion8,
  9: fromVersion9,
  10: fromVersion10,
}

/**
 * Carries a document from its version to another one, step by step, on copies.
 * @throws RangeError where a step is missing: the chain must be contiguous
 */
export function migrate(
  document: unknown,
  from: number,
  to: number,
  steps: Record<number, Migration> = chain,
): unknown {
  let current = document
  for (let version = from; version < to; version++) {
    const step = steps[version]
    if (!step) throw new RangeError(`no migration from version ${version}`)
    current = step(structuredClone(current))
  }
  return current
}
