import type { Document } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newContainer, ownActivity, startLevel } from '@/document/starters'
import { trailerDemo } from '../scripts/demo/trailer'

/** A 60-day stay with 4 containers and 12 activities, a little different for every run. */
export function sixtyDays(run: number): Document {
  const document = structuredClone(trailerDemo())
  const rig = document.rigs[0]!
  rig.containers = rig.containers.filter(({ kind }) => kind !== 'tote')
  rig.containers.push(newContainer('gray', 'galley', 'Galley', 110))
  rig.fixtures[0]!.drains = 'galley'
  const { activities } = document.crews[0]!
  while (activities.length < 12) activities.push(ownActivity(`own-${activities.length}`, 'Own'))
  activities[0]!.rate = owned(0.4 + (run % 50) / 1000)
  const stay = document.stays[0]!
  stay.levels = stay.levels.filter(({ container }) => container !== 'tote')
  stay.levels.push(startLevel('galley', owned(0)))
  return { ...document, currentStay: 'stay', stays: [{ ...stay, id: 'stay' }] }
}
