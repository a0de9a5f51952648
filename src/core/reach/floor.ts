import { ledger } from '../count'
import { flushKept, flushRatios } from '../habits'
import type { Model } from '../compile'
import type { Crew, Habit, Id } from '../domain'
import { activitiesOf, type Component } from './components'
import { flowTable } from './flows'
import type { SearchContext } from './leastBother'
import type { Hold } from './answer'
import type { Ground, Held } from './reach'

/** How much liquid on the solids a set must leave: what the crew's school keeps, its floor, or whatever it comes to. */
export type Keeps = 'school' | 'floor' | 'nothing'

/** What a search leans on; the flush floor and the school are of black tanks only. */
export function contextOf(
  { stayCase: { crew }, stay, table, untilDays }: Ground,
  components: readonly Component[],
  habits: readonly Habit[],
  keeps: Keeps,
  always: readonly Habit[] = [],
): SearchContext {
  const { model } = table
  const ofFlush = components.map(({ activities }) => keeps !== 'nothing' && fallsOnSolids(model, activities))
  const parts = model.grid.edges.findIndex((edge, i) => i > 0 && edge >= untilDays)
  const leastOf = (ids: readonly Id[]) => {
    const compiled = table.compileWith(ids)
    const ratios = flushRatios(compiled, ledger(compiled), parts < 0 ? model.grid.count : parts)
    return Math.min(...ratios.map(({ least }) => least ?? Infinity))
  }
  const kept = keeps === 'school' ? flushKept(crew) : crew.flushFloor.value
  // Where nothing that is chosen touches it, what is on anyway still may.
  const isTouched = keeps !== 'nothing' && fallsOnSolids(model, always.flatMap(activitiesOf))
  const floor = isTouched || ofFlush.includes(true) ? Math.min(kept, leastOf([])) : 0
  const relevant = (set: readonly Habit[]) =>
    [...new Set(set)].filter(
      (habit) =>
        always.includes(habit) ||
        components.some(
          ({ combos }, k) => ofFlush[k] && combos.some((combo) => combo.habits.includes(habit)),
        ),
    )
  const known = new Map<string, boolean>()
  const keepsFloor = (set: readonly Habit[]) => {
    const ids = relevant(set)
      .map(({ id }) => id)
      .sort()
    const key = ids.join()
    if (!known.has(key)) known.set(key, leastOf(ids) >= floor - 1e-9)
    return known.get(key)!
  }
  const allowed = allowedOf(stay.confidence.value, table.trips)
  return { table, flows: flowTable(table, components, habits, always), ofFlush, keepsFloor, always, allowed }
}

/** Whether some of the activities put anything into a black tank that solids reach. */
function fallsOnSolids({ streams, containers, activities: all }: Model, activities: readonly Id[]): boolean {
  const reached = new Set(
    streams.filter(({ to, solidUses }) => solidUses > 0 && containers[to]?.isBlack).map(({ to }) => to),
  )
  return streams.some(
    ({ activity, to, isOfVessel }) =>
      !isOfVessel && reached.has(to) && activities.includes(all[activity]!.id),
  )
}

/** What holds sets of habits back that the owner may allow. */
export function holdsBackOf(model: Model, crew: Crew, { without, keeps }: Held): Hold[] {
  const isOfFlush =
    keeps !== 'nothing' &&
    fallsOnSolids(
      model,
      model.activities.map(({ id }) => id),
    )
  const holds: Hold[] = []
  if (isOfFlush && keeps === 'school' && flushKept(crew) > crew.flushFloor.value) holds.push('school')
  if (isOfFlush) holds.push('floor')
  if (without.length > 0) holds.push('refused')
  return holds
}

/** Trips that may fail where so large a share must hold. */
export function allowedOf(confidence: number, trips: number): number {
  return Math.floor((1 - confidence) * trips + 1e-9)
}
