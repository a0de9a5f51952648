import type { Document, Effect, Habit, Id } from '@/core/domain'

/** Effects of which, on one activity, the first by habit id goes before the others (model.md section 4). */
const IN_ORDER: readonly Effect['kind'][] = ['replace', 'bring', 'redirect', 'catch', 'reuse']

/**
 * Ids for habits that come into another document, so that those whose order counts keep it: what a habit does beside another
 * may depend on which id comes first.
 * @param ids the id each would have by itself
 * @param candidates ids a habit may also have: those of habits alike that are there already, and its own where it is free
 */
export function inOrder(
  added: Document,
  ids: ReadonlyMap<Id, Id>,
  candidates: (habit: Habit) => readonly Id[],
  fresh: () => Id,
): ReadonlyMap<Id, Id> {
  const bound = boundIn(added).sort((a, b) => (a.id < b.id ? -1 : 1))
  if (isRising(bound.map(({ id }) => ids.get(id)!))) return ids
  const chosen = rising(bound.map(candidates)) ?? bound.map(fresh).sort()
  return new Map([...ids, ...bound.map(({ id }, k): [Id, Id] => [id, chosen[k]!])])
}

/** Habits that are on beside another whose effects they share an activity with. */
function boundIn({ stays, habits }: Document): Habit[] {
  const acts = new Map(
    habits.map(({ id, effects }) => [
      id,
      new Set(effects.flatMap(({ kind, activity }) => (IN_ORDER.includes(kind) ? [activity] : []))),
    ]),
  )
  const bound = new Set<Id>()
  for (const stay of stays)
    for (const { habit: one } of stay.habits)
      for (const { habit: other } of stay.habits)
        if (one !== other && [...acts.get(one)!].some((activity) => acts.get(other)!.has(activity)))
          bound.add(one)
  return habits.filter(({ id }) => bound.has(id))
}

const isRising = (ids: readonly Id[]) => ids.every((id, k) => k === 0 || ids[k - 1]! < id)

/** One of each list, each after the one before; null where there is no such choice. */
function rising(lists: readonly (readonly Id[])[]): Id[] | null {
  const chosen: Id[] = []
  for (const list of lists) {
    const next = [...list].sort().find((id) => chosen.length === 0 || id > chosen.at(-1)!)
    if (next === undefined) return null
    chosen.push(next)
  }
  return chosen
}
