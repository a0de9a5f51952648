import type { Crew, Document, Habit, Id, Rig, Stay } from '@/core/model'
import { show, type DocumentFault } from '../faults'
import { duplicateIds } from './common'
import { crewChecks } from './crewChecks'
import { activitiesById, habitChecks } from './habitChecks'
import { rigChecks } from './rigChecks'
import { stayChecks } from './stayChecks'

/** What no shape can say: every reference resolves, every sum adds up. Expects the right shape. */
export function documentChecks(document: Document): DocumentFault[] {
  return faultsOf(document, { rigs: always, crews: always, habits: always, stays: always })
}

/**
 * The same for an edit of a good document, by dependency: only what changed, and what refers to what changed. What it finds
 * is what the whole check would.
 * @param base a document without faults; entities that `next` shares with it are the same objects
 */
export function editChecks(base: Document, next: Document): DocumentFault[] {
  const rigs = changedIds(base.rigs, next.rigs)
  const crews = changedIds(base.crews, next.crews)
  const habits = changedIds(base.habits, next.habits)
  const stays = changedIds(base.stays, next.stays)
  const activities = new Set(
    [...base.crews, ...next.crews].flatMap((crew) =>
      crews.has(crew.id) ? crew.activities.map(({ id }) => id) : [],
    ),
  )
  // Where the first crew came or the last one went, every habit's activities are looked at anew.
  const isFirstCrew = (base.crews.length === 0) !== (next.crews.length === 0)
  return faultsOf(next, {
    rigs: ({ id }) => rigs.has(id),
    crews: ({ id }) => crews.has(id),
    habits: ({ id, effects }) =>
      habits.has(id) || isFirstCrew || effects.some(({ activity }) => activities.has(activity)),
    stays: (stay) =>
      stays.has(stay.id) ||
      rigs.has(stay.rig) ||
      crews.has(stay.crew) ||
      stay.habits.some(({ habit }) => habits.has(habit)),
  })
}

interface Chosen {
  rigs: (rig: Rig) => boolean
  crews: (crew: Crew) => boolean
  habits: (habit: Habit) => boolean
  stays: (stay: Stay) => boolean
}
const always = () => true

function faultsOf(document: Document, chosen: Chosen): DocumentFault[] {
  const { rigs, crews, habits, stays, currentStay } = document
  const current: DocumentFault[] =
    currentStay === null || stays.some(({ id }) => id === currentStay)
      ? []
      : [{ code: 'dangling', path: ['currentStay'], found: show(currentStay), expected: 'stay' }]
  const lists = { rigs, crews, habits, stays }
  const byId = activitiesById(crews)
  const of = <T>(
    list: readonly T[],
    isChosen: (one: T) => boolean,
    check: (one: T, i: number) => DocumentFault[],
  ) => list.flatMap((one, i) => (isChosen(one) ? check(one, i) : []))
  return [
    ...Object.entries(lists).flatMap(([name, list]) => duplicateIds(list, [name])),
    ...current,
    ...of(rigs, chosen.rigs, (rig, i) => rigChecks(rig, ['rigs', i])),
    ...of(crews, chosen.crews, (crew, i) => crewChecks(crew, ['crews', i])),
    ...of(habits, chosen.habits, (habit, i) => habitChecks(habit, byId(), crews.length > 0, ['habits', i])),
    ...of(stays, chosen.stays, (stay, i) => stayChecks(document, stay, ['stays', i])),
  ]
}

/** Ids of what is new, gone or another object than before. */
function changedIds<T extends { id: Id }>(before: readonly T[], after: readonly T[]): Set<Id> {
  if (before === after) return new Set()
  const old = new Map(before.map((entity) => [entity.id, entity]))
  const changed = new Set<Id>()
  for (const entity of after) {
    if (old.get(entity.id) !== entity) changed.add(entity.id)
    old.delete(entity.id)
  }
  for (const id of old.keys()) changed.add(id)
  return changed
}
