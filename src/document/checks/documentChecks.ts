import type { Crew, Document, Habit, Id, Rig, Stay } from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import { duplicateIds } from './common'
import { crewChecks } from './crewChecks'
import { activitiesById, habitChecks } from './habitChecks'
import { rigChecks } from './rigChecks'
import { stayChecks } from './stayChecks'

/** What no shape can say: every reference resolves, every sum adds up. Expects the right shape. */
export function documentChecks(document: Document): DocumentFault[] {
  return faultsOf(document, { rigs: always, crews: always, habits: always, stays: always }, null)
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
  const changedCrews = crews.size === 0 ? [] : [...base.crews, ...next.crews]
  const activities = new Set(
    changedCrews.flatMap((crew) => (crews.has(crew.id) ? crew.activities.map(({ id }) => id) : [])),
  )
  // Where the first crew came or the last one went, every habit's activities are looked at again.
  const isFirstCrew = (base.crews.length === 0) !== (next.crews.length === 0)
  const chosen: Chosen = {
    rigs: ({ id }) => rigs.has(id),
    crews: ({ id }) => crews.has(id),
    habits: ({ id, effects }) =>
      habits.has(id) ||
      isFirstCrew ||
      (activities.size > 0 && effects.some(({ activity }) => activities.has(activity))),
    stays: (stay) =>
      stays.has(stay.id) ||
      (stay.follows !== null && stays.has(stay.follows)) ||
      rigs.has(stay.rig) ||
      crews.has(stay.crew) ||
      (habits.size > 0 && stay.habits.some(({ habit }) => habits.has(habit))),
  }
  return faultsOf(next, chosen, base)
}

interface Chosen {
  rigs: (rig: Rig) => boolean
  crews: (crew: Crew) => boolean
  habits: (habit: Habit) => boolean
  stays: (stay: Stay) => boolean
}
const always = () => true

/** @param base a good document: lists with the same ids have none twice */
function faultsOf(document: Document, chosen: Chosen, base: Document | null): DocumentFault[] {
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
  ) => {
    const faults: DocumentFault[] = []
    list.forEach((one, i) => {
      if (isChosen(one)) faults.push(...check(one, i))
    })
    return faults
  }
  return [
    ...(Object.keys(lists) as (keyof typeof lists)[]).flatMap((name) =>
      base && haveSameIds(base[name], lists[name]) ? [] : duplicateIds(lists[name], [name]),
    ),
    ...current,
    ...of(rigs, chosen.rigs, (rig, i) => rigChecks(rig, ['rigs', i])),
    ...of(crews, chosen.crews, (crew, i) => crewChecks(crew, ['crews', i])),
    ...of(habits, chosen.habits, (habit, i) => habitChecks(habit, byId(), crews.length > 0, ['habits', i])),
    ...of(stays, chosen.stays, (stay, i) => stayChecks(document, stay, ['stays', i])),
  ]
}

function haveSameIds(before: readonly { id: Id }[], after: readonly { id: Id }[]): boolean {
  if (before === after) return true
  if (before.length !== after.length) return false
  for (let i = 0; i < after.length; i++) if (after[i]!.id !== before[i]!.id) return false
  return true
}

/** Ids of what is new, gone or another object than before. */
function changedIds<T extends { id: Id }>(before: readonly T[], after: readonly T[]): Set<Id> {
  if (before === after) return new Set()
  const changed = new Set<Id>()
  // Most edits leave everything in its place.
  if (haveSameIds(before, after)) {
    after.forEach((entity, i) => entity !== before[i] && changed.add(entity.id))
    return changed
  }
  const old = new Map(before.map((entity) => [entity.id, entity]))
  for (const entity of after) {
    if (old.get(entity.id) !== entity) changed.add(entity.id)
    old.delete(entity.id)
  }
  for (const id of old.keys()) changed.add(id)
  return changed
}
