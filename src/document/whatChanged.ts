import { areRivals } from '@/core/habits'
import type { Document, Habit, Id } from '@/core/domain'

const LISTS = ['rigs', 'crews', 'habits', 'stays'] as const
const PARTS = ['containers', 'fixtures', 'outlets', 'persons', 'activities'] as const
interface Named {
  id: Id
  name: string
}

/**
 * Names of what an edit changed, added or took away, the smaller thing where there is one (a tank, not its rig): so that
 * an edit which had to be left out can be told. Entities that both documents share are not looked at.
 */
export function whatChanged(before: Document, after: Document): string[] {
  return [...new Set(LISTS.flatMap((list) => changedIn(before[list], after[list])).map(({ name }) => name))]
}

function changedIn(before: readonly Named[], after: readonly Named[]): Named[] {
  if (before === after) return []
  const old = new Map(before.map((entity) => [entity.id, entity]))
  const now = new Map(after.map((entity) => [entity.id, entity]))
  const gone = before.filter(({ id }) => !now.has(id))
  const changed = after.filter((entity) => old.get(entity.id) !== entity)
  return [...gone, ...changed.flatMap((entity) => partsOf(old.get(entity.id), entity))]
}

/** The parts of an entity that differ; itself where that is none of them. */
function partsOf(before: Named | undefined, after: Named): Named[] {
  if (!before) return [after]
  const parts = PARTS.flatMap((part) => {
    const [old, now] = [before, after].map(
      (entity) => (entity as Partial<Record<typeof part, Named[]>>)[part],
    )
    return old && now ? changedIn(old, now) : []
  })
  return parts.length > 0 ? parts : [after]
}

/** A habit that an edit switched on, and the one that was on in another tab by then and gave way to it. */
export interface GaveWay {
  on: Habit
  off: Habit
}

/**
 * Habits that were on in `kept`, which an edit did not know, and are off in `next`, since it switched on a rival of theirs.
 * @param before what the edit was made on
 */
export function gaveWay(before: Document, kept: Document, next: Document): GaveWay[] {
  return next.stays.flatMap((stay) => {
    const onIn = ({ stays }: Document) =>
      stays.find(({ id }) => id === stay.id)?.habits.map(({ habit }) => habit) ?? []
    const now = onIn(next)
    const known = onIn(before)
    const offs = onIn(kept).filter((id) => !now.includes(id) && !known.includes(id))
    const habitOf = (id: Id) => next.habits.find((habit) => habit.id === id)
    return offs.flatMap((id): GaveWay[] => {
      const off = habitOf(id)
      const on = now.map(habitOf).find((habit) => habit && off && areRivals(habit, off))
      return off && on ? [{ on, off }] : []
    })
  })
}
