import type { ModelContainer } from '@/core/compile'
import type { Document, Id, TakenOver } from '@/core/domain'
import { crewOf, stayOf } from './find'
import { setModelLevel, setStart } from './stayEdits'

/** Recipes on a draft: what goes with the log. */

/**
 * The stay begins now and ends when it was to end; where that is past, it keeps its nights. What is counted is so from now on.
 * @param passed what it takes over from the stay before, seen and confirmed: from now on its own
 */
export function startNow(
  draft: Document,
  stayId: Id,
  now: string,
  passed: readonly Pick<ModelContainer, 'members' | 'start'>[] = [],
): void {
  const stay = stayOf(draft, stayId)
  for (const container of passed) setModelLevel(draft, stayId, container, container.start)
  const before = stay.start
  if (stay.leaveAt <= now) setStart(draft, stayId, now)
  stay.start = now
  for (const stretch of stay.counted) if (stretch.from === before) stretch.from = now
}

/** Counts an activity from now on, or expects it again; what was counted before stays so. */
export function setCounted(draft: Document, stayId: Id, activity: Id, isCounted: boolean, now: string): void {
  const stay = stayOf(draft, stayId)
  const at = now < stay.start ? stay.start : now
  const open = stay.counted.find((one) => one.activity === activity && one.until === null)
  if (isCounted && !open) stay.counted.push({ activity, from: at, until: null })
  if (isCounted || !open) return
  open.until = at
  stay.counted = stay.counted.filter((one) => one.until === null || one.until > one.from)
}

/** What was learned becomes the crew's own numbers. */
export function takeOver(draft: Document, crewId: Id, taken: ReadonlyMap<Id, TakenOver>): void {
  for (const activity of crewOf(draft, crewId).activities) {
    const learned = taken.get(activity.id)
    if (learned) activity.learned = { ...learned }
  }
}
