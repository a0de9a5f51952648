import { CARD_KINDS, CHORE_KINDS, GEAR, isOneOf, type Rig } from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import type { Path } from './common'

/** Whether what a rig names of our catalogues is there. A file of a newer application may name what this one does not know. */
export function catalogueChecks({ gear, chores, cards }: Rig, path: Path): DocumentFault[] {
  return [
    ...gearChecks(gear, [...path, 'gear']),
    ...chores.flatMap(({ kind }, i) => unknown(CHORE_KINDS, kind, [...path, 'chores', i, 'kind'])),
    ...cards.flatMap(({ kind }, i) => unknown(CARD_KINDS, kind, [...path, 'cards', i, 'kind'])),
  ]
}

export function gearChecks(gear: readonly string[], path: Path): DocumentFault[] {
  return gear.flatMap((item, i) => unknown(GEAR, item, [...path, i]))
}

function unknown(catalogue: readonly string[], id: string, path: Path): DocumentFault[] {
  if (isOneOf(catalogue, id)) return []
  return [{ code: 'bad-choice', path: [...path], found: show(id), expected: catalogue.map(show).join(', ') }]
}
