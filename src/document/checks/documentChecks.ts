import type { Document } from '@/core/model'
import { show, type DocumentFault } from '../faults'
import { duplicateIds } from './common'
import { crewChecks } from './crewChecks'
import { habitChecks } from './habitChecks'
import { rigChecks } from './rigChecks'
import { stayChecks } from './stayChecks'

/** What no shape can say: every reference resolves, every sum adds up. Expects the right shape. */
export function documentChecks(document: Document): DocumentFault[] {
  const { rigs, crews, habits, stays, currentStay } = document
  const current: DocumentFault[] =
    currentStay === null || stays.some(({ id }) => id === currentStay)
      ? []
      : [{ code: 'dangling', path: ['currentStay'], found: show(currentStay), expected: 'stay' }]
  return [
    ...duplicateIds(rigs, ['rigs']),
    ...duplicateIds(crews, ['crews']),
    ...duplicateIds(habits, ['habits']),
    ...duplicateIds(stays, ['stays']),
    ...current,
    ...rigs.flatMap((rig, i) => rigChecks(rig, ['rigs', i])),
    ...crews.flatMap((crew, i) => crewChecks(crew, ['crews', i])),
    ...habits.flatMap((habit, i) => habitChecks(habit, crews, ['habits', i])),
    ...stays.flatMap((stay, i) => stayChecks(document, stay, ['stays', i])),
  ]
}
