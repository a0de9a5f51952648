import { NEVER_RATIONED, type Crew, type Habit } from '@/core/model'
import { show, type DocumentFault } from '../faults'
import type { Path } from './common'

/** A habit's effects name activities that exist, and none reduces what is never rationed. */
export function habitChecks(habit: Habit, crews: readonly Crew[], path: Path): DocumentFault[] {
  return habit.effects.flatMap((effect, i): DocumentFault[] => {
    const at = [...path, 'effects', i]
    const activities = crews.flatMap((crew) => crew.activities.filter(({ id }) => id === effect.activity))
    if (crews.length > 0 && activities.length === 0)
      return [
        { code: 'dangling', path: [...at, 'activity'], found: show(effect.activity), expected: 'activity' },
      ]
    const reduced = activities.find(
      ({ kind, volume }) =>
        NEVER_RATIONED.includes(kind) &&
        (effect.kind === 'replace' ? effect.volume.value < volume.value : effect.factor.value < 1),
    )
    return reduced ? [{ code: 'rationed', path: at, found: show(reduced.name), expected: '' }] : []
  })
}
