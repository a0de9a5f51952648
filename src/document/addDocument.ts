import type { Document, Habit, Id } from '@/core/model'

type Kind = 'rig' | 'crew' | 'stay' | 'habit'
type NewId = (kind: Kind) => Id

/**
 * A document with everything of another one added; nothing of the first is changed or lost. An entity that is there
 * already, alike to the letter, is not added twice; one that only shares an id gets a new one, and what refers to it follows.
 * @param newId gives an id that neither document has
 * @returns the current stay is the added document's, where it has one
 */
export function addDocument(base: Document, added: Document, newId: NewId): Document {
  const rigIds = idsFor(base.rigs, added.rigs, () => newId('rig'))
  const crewIds = idsFor(base.crews, added.crews, () => newId('crew'))
  const habitIds = idsFor(base.habits, added.habits, () => newId('habit'))
  const stays = added.stays.map((stay) => ({
    ...stay,
    rig: rigIds.get(stay.rig)!,
    crew: crewIds.get(stay.crew)!,
    habits: stay.habits.map((on) => ({ ...on, habit: habitIds.get(on.habit)! })),
  }))
  const stayIds = idsFor(base.stays, stays, () => newId('stay'))
  return {
    ...base,
    rigs: joined(base.rigs, added.rigs, rigIds),
    crews: joined(base.crews, added.crews, crewIds),
    habits: joined<Habit>(base.habits, added.habits, habitIds),
    stays: joined(base.stays, stays, stayIds),
    currentStay: added.currentStay === null ? base.currentStay : stayIds.get(added.currentStay)!,
  }
}

/** For every added id, the id it has afterwards. */
function idsFor<T extends { id: Id }>(base: readonly T[], added: readonly T[], fresh: () => Id): Map<Id, Id> {
  const known = new Map(base.map((entity) => [entity.id, entity]))
  return new Map(
    added.map((entity) => {
      const same = known.get(entity.id)
      return [entity.id, same === undefined || isAlike(same, entity) ? entity.id : fresh()]
    }),
  )
}

function joined<T extends { id: Id }>(
  base: readonly T[],
  added: readonly T[],
  ids: ReadonlyMap<Id, Id>,
): T[] {
  const known = new Set(base.map(({ id }) => id))
  const renamed = added.map((entity) => ({ ...entity, id: ids.get(entity.id)! }))
  return [...base, ...renamed.filter(({ id }) => !known.has(id))]
}

function isAlike(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b)
}
