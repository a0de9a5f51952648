import type { LogEntry } from '@/core/log'
import type { Document, Habit, Id } from '@/core/domain'
import { inOrder } from './habitOrder'

type Kind = 'rig' | 'crew' | 'stay' | 'habit' | 'entry'
type NewId = (kind: Kind) => Id

/**
 * A document with everything of another one added; nothing of the first is changed or lost. An entity that is there
 * already, alike to the letter but for its id, is not added twice; one that only shares an id gets a new one, and what
 * refers to it follows.
 * @param newId gives an id that neither document has
 * @returns the current stay is the added document's, where it has one
 */
export function addDocument(base: Document, added: Document, newId: NewId): Document {
  return addFile(base, added, [], newId).document
}

/**
 * The same with the log that came along: entries follow what they are of. Those of a stay that got a new id are entries of
 * their own; the others are the very entries, so that none is taken in twice.
 */
export function addFile(
  base: Document,
  added: Document,
  log: readonly LogEntry[],
  newId: NewId,
): { document: Document; log: LogEntry[] } {
  const rigIds = idsFor(base.rigs, added.rigs, () => newId('rig'))
  const crewIds = idsFor(base.crews, added.crews, () => newId('crew'))
  const habitIds = inOrder(
    added,
    idsFor(base.habits, added.habits, () => newId('habit')),
    (habit) => [
      ...base.habits.filter((one) => contentOf(one) === contentOf(habit)).map(({ id }) => id),
      ...(base.habits.some(({ id }) => id === habit.id) ? [] : [habit.id]),
    ],
    () => newId('habit'),
  )
  const stays = added.stays.map((stay) => ({
    ...stay,
    rig: rigIds.get(stay.rig)!,
    crew: crewIds.get(stay.crew)!,
    habits: stay.habits.map((on) => ({ ...on, habit: habitIds.get(on.habit)! })),
    budget: { ...stay.budget, declined: stay.budget.declined.map((id) => habitIds.get(id) ?? id) },
  }))
  const stayIds = idsFor(base.stays, stays, () => newId('stay'))
  const chained = stays.map((stay) => ({ ...stay, follows: stay.follows && stayIds.get(stay.follows)! }))
  const document = {
    ...base,
    rigs: joined(base.rigs, added.rigs, rigIds),
    crews: joined(base.crews, added.crews, crewIds),
    habits: joined<Habit>(base.habits, added.habits, habitIds),
    stays: joined(base.stays, chained, stayIds),
    currentStay: added.currentStay === null ? base.currentStay : stayIds.get(added.currentStay)!,
  }
  return {
    document,
    log: log.map((entry) => {
      // What an entry is of may be gone from the file: it stays what it says.
      const stay = entry.stay === null ? null : (stayIds.get(entry.stay) ?? entry.stay)
      const rig = rigIds.get(entry.rig) ?? entry.rig
      const isOther = stay !== entry.stay || rig !== entry.rig
      return { ...entry, id: isOther ? newId('entry') : entry.id, rig, stay }
    }),
  }
}

/** For every added id, the id it has afterwards: that of the entity that is alike, under whatever id it came in before. */
function idsFor<T extends { id: Id }>(base: readonly T[], added: readonly T[], fresh: () => Id): Map<Id, Id> {
  const ids = new Set(base.map(({ id }) => id))
  const alike = new Map(base.map((entity) => [contentOf(entity), entity.id]))
  return new Map(
    added.map((entity) => {
      const known = base.find(({ id }) => id === entity.id)
      if (known && contentOf(known) === contentOf(entity)) return [entity.id, entity.id]
      return [entity.id, alike.get(contentOf(entity)) ?? (ids.has(entity.id) ? fresh() : entity.id)]
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

/** All of it but its id. */
function contentOf(entity: { id: Id }): string {
  return JSON.stringify({ ...entity, id: '' })
}
