import { customAlphabet } from 'nanoid'

const random = customAlphabet('abcdefghijkmnopqrstuvwxyz23456789', 12)

/** An opaque id that no other row has: a letter for its kind, then chance. */
export function newId(
  kind:
    | 'rig'
    | 'run'
    | 'place'
    | 'crew'
    | 'stay'
    | 'tank'
    | 'fixture'
    | 'outlet'
    | 'card'
    | 'product'
    | 'chore'
    | 'person'
    | 'use'
    | 'habit'
    | 'entry'
    | 'tab',
): string {
  return `${kind}-${random()}`
}
