import {
  ACTIVITY_KINDS,
  NEVER_REDUCED,
  TOILET_KINDS,
  tricklePerUse,
  putInPerUse,
  type Activity,
  type Crew,
  type Effect,
  type Habit,
  type Id,
} from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import { gearChecks } from './catalogueChecks'
import type { Path } from './common'

/** Every crew's activities by their id: made once for however many habits, and only where one is asked for. */
export function activitiesById(crews: readonly Crew[]): () => ActivitiesById {
  let made: Map<Id, Activity[]> | null = null
  return () => {
    if (made) return made
    made = new Map()
    for (const activity of crews.flatMap(({ activities }) => activities))
      made.set(activity.id, [...(made.get(activity.id) ?? []), activity])
    return made
  }
}
type ActivitiesById = ReadonlyMap<Id, readonly Activity[]>

/**
 * A habit's effects name activities that exist (the standard ones always do), and none reduces what is never reduced.
 * @param isNamed whether there is any crew at all to name activities
 */
export function habitChecks(
  habit: Habit,
  byId: ActivitiesById,
  isNamed: boolean,
  path: Path,
): DocumentFault[] {
  const gear = gearChecks(habit.gear, [...path, 'gear'])
  const effects = habit.effects.flatMap((effect, i): DocumentFault[] => {
    const at = [...path, 'effects', i]
    const activities = byId.get(effect.activity) ?? []
    const isStandard = (ACTIVITY_KINDS as readonly string[]).includes(effect.activity)
    if (isNamed && activities.length === 0 && !isStandard)
      return [
        { code: 'dangling', path: [...at, 'activity'], found: show(effect.activity), expected: 'activity' },
      ]
    const reduced = activities.find(
      (activity) => NEVER_REDUCED.includes(activity.kind) && reduces(effect, activity),
    )
    if (reduced) return [{ code: 'rationed', path: at, found: show(reduced.name), expected: '' }]
    return [...addedFaults(effect, activities, at), ...vesselFaults(habit, effect, activities, at)]
  })
  return [...gear, ...effects]
}

/** What the body gives of a solid use is what is counted: no habit changes it. */
function addedFaults(effect: Effect, activities: readonly Activity[], path: Path): DocumentFault[] {
  if (effect.kind !== 'adds' || effect.from !== 'body') return []
  const solid = activities.find(({ kind }) => kind === 'solid-use')
  return solid ? [{ code: 'body-changed', path, found: show(solid.name), expected: '' }] : []
}

function reduces(effect: Effect, activity: Activity): boolean {
  if (effect.kind === 'trickle') return effect.factor.value < 1 && tricklePerUse(activity) > 0
  if (effect.kind === 'replace') return effect.volume.value < putInPerUse(activity)
  return (effect.kind === 'rate' || effect.kind === 'volume') && effect.factor.value < 1
}

/** Water kept in a vessel: gray goes to the toilet only, nobody drinks it, and none returns to the use that gave it. */
function vesselFaults(
  habit: Habit,
  effect: Effect,
  activities: readonly Activity[],
  at: Path,
): DocumentFault[] {
  if (effect.kind !== 'catch' && effect.kind !== 'reuse') return []
  const fault = (code: DocumentFault['code'], found: string): DocumentFault[] => [
    { code, path: at, found, expected: '' },
  ]
  if (!habit.vessel) return fault('no-vessel', show(habit.name))
  if (effect.kind === 'catch') return []
  if (habit.effects.some(({ kind, activity }) => kind === 'catch' && activity === effect.activity))
    return fault('reuse-loop', show(effect.activity))
  const { clean } = habit.vessel
  const wrong = activities.find(({ kind }) => (clean ? kind === 'drinking' : !TOILET_KINDS.includes(kind)))
  return wrong ? fault('gray-reuse', show(wrong.name)) : []
}
