import type { Container, Crew, Document, Id, Rig, Stay } from '@/core/model'

/** What a recipe changes, on a draft: it is there, or the edit does not fit. */

export function rigOf(draft: Document, rigId: Id): Rig {
  return draft.rigs.find(({ id }) => id === rigId)!
}

export function containerOf(rig: Rig, containerId: Id): Container {
  return rig.containers.find(({ id }) => id === containerId)!
}

export function stayOf(draft: Document, stayId: Id): Stay {
  return draft.stays.find(({ id }) => id === stayId)!
}

export function crewOf(draft: Document, crewId: Id): Crew {
  return draft.crews.find(({ id }) => id === crewId)!
}
