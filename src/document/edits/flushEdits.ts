import { TOILET_KINDS, type Activity, type Document, type FlushAnswer, type Id } from '@/core/domain'
import { flushedWith } from '../starters/useStyles'
import { crewOf } from './find'

/** The crew's side about flush water; litres that nobody typed yet follow it. */
export function setFlushAnswer(draft: Document, crewId: Id, school: FlushAnswer): void {
  const crew = crewOf(draft, crewId)
  const isOf = (activity: Activity) =>
    activity.volume.by === 'default' &&
    flushedWith(activity, crew.flush.school).volume.value === activity.volume.value
  crew.activities = crew.activities.map((activity) =>
    TOILET_KINDS.includes(activity.kind) && isOf(activity) ? flushedWith(activity, school) : activity,
  )
  crew.flush.school = school
}
