import type { Document, Id, Rig, Stay } from '@/core/domain'
import { fullOrEmpty } from '../starters/assumed'
import { dropBlocked } from './habitEdits'
import { dropStrangers } from './crewEdits'
import { dropLostSteps } from './runEdits'
import { crewOf, stayOf } from './find'

/** Recipes on a draft: rigs, crews and stays as wholes. Containers and persons keep their ids in a copy. */

/** A copy of the stay's rig, used by the stay from now on. */
export function copyRig(draft: Document, stayId: Id, newId: Id, name: string): void {
  const stay = stayOf(draft, stayId)
  const rig = draft.rigs.find(({ id }) => id === stay.rig)!
  draft.rigs.push({ ...copyOf(rig), id: newId, name })
  stay.rig = newId
}

export function copyCrew(draft: Document, stayId: Id, newId: Id, name: string): void {
  const stay = stayOf(draft, stayId)
  const crew = draft.crews.find(({ id }) => id === stay.crew)!
  draft.crews.push({ ...copyOf(crew), id: newId, name })
  stay.crew = newId
}

/** A copy of a stay, right after it and shown from now on. */
export function copyStay(draft: Document, stayId: Id, newId: Id, name: string): void {
  const place = draft.stays.findIndex(({ id }) => id === stayId) + 1
  draft.stays.splice(place, 0, { ...copyOf(stayOf(draft, stayId)), id: newId, name, counted: [] })
  draft.currentStay = newId
}

/** Removes a stay; the one before it, or else the first, is shown instead. What followed it follows what it followed. */
export function removeStay(draft: Document, stayId: Id): void {
  const { follows } = stayOf(draft, stayId)
  for (const stay of draft.stays) if (stay.follows === stayId) stay.follows = follows
  const place = draft.stays.findIndex(({ id }) => id === stayId)
  draft.stays = draft.stays.filter(({ id }) => id !== stayId)
  if (draft.currentStay === stayId) draft.currentStay = draft.stays[Math.max(0, place - 1)]?.id ?? null
}

/** A rig or crew no stay uses; the check refuses the removal of one in use. */
export function removeRig(draft: Document, rigId: Id): void {
  draft.rigs = draft.rigs.filter(({ id }) => id !== rigId)
}

export function removeCrew(draft: Document, crewId: Id): void {
  draft.crews = draft.crews.filter(({ id }) => id !== crewId)
}

/** Takes another rig on the stay. Containers of the same id keep their starting level; others start full or empty. */
export function useRig(draft: Document, stayId: Id, rigId: Id): void {
  const stay = stayOf(draft, stayId)
  const rig = draft.rigs.find(({ id }) => id === rigId)!
  stay.rig = rigId
  stay.levels = startingLevels(rig, stay.levels)
  dropLostSteps(stay, rig)
  dropBlocked(draft)
}

/** Takes another crew on the stay; absences of people who are not in it go. */
export function setStayCrew(draft: Document, stayId: Id, crewId: Id): void {
  const stay = stayOf(draft, stayId)
  stay.crew = crewId
  dropStrangers(stay, crewOf(draft, crewId))
}

function startingLevels(rig: Rig, known: Stay['levels']): Stay['levels'] {
  return rig.containers.map(
    (container) =>
      known.find(
        (entry) => entry.container === container.id && entry.level.value <= container.capacity.value,
      ) ?? fullOrEmpty(container),
  )
}

/** Drafts are proxies: a copy must be of plain values. */
function copyOf<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T
}
