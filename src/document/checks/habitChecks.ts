import {
  ACTIVITY_KINDS,
  NEVER_REDUCED,
  TOILET_KINDS,
  volumePerUse,
  type Activity,
  type Crew,
  type Effect,
  type Habit,
} from '@/core/model'
import { show, type DocumentFault } from '../faults'
import type { Path } from './common'

/** A habit's effects name activities that exist (the standard ones always do), and none reduces what is never reduced. */
export function habitChecks(habit: Habit, crews: readonly Crew[], path: Path): DocumentFault[] {
  return habit.effects.flatMap((effect, i): DocumentFault[] => {
    const at = [...path, 'effects', i]
    const activities = crews.flatMap((crew) => crew.activities.filter(({ id }) => id === effect.activity))
    const isStandard = (ACTIVITY_KINDS as readonly string[]).includes(effect.activity)
    if (crews.length > 0 && activities.length === 0 && !isStandard)
      return [
        { code: 'dangling', path: [...at, 'activity'], found: show(effect.activity), expected: 'activity' },
      ]
    const reduced = activities.find(
      (activity) => NEVER_REDUCED.includes(activity.kind) && reduces(effect, activity),
    )
    if (reduced) return [{ code: 'rationed', path: at, found: show(reduced.name), expected: '' }]
    return vesselFaults(habit, effect, activities, at)
  })
}

function reduces(effect: Effect, activity: Activity): boolean {
  if (effect.kind === 'replace') return effect.volume.value < volumePerUse(activity)
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
