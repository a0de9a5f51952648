import type { WallTime } from '../calendar'
import { standing, type LogEntry } from '../log'
import type { Stay } from '../domain'

/** The three times of a stay (model.md section 2). */
export type Phase = 'planned' | 'under-way' | 'over'

/** When a stay ended: by its entry, else when it is to be left. @param log any entries */
export function endOf({ id, leaveAt }: Pick<Stay, 'id' | 'leaveAt'>, log: readonly LogEntry[]): WallTime {
  // Among ten thousand entries there is mostly none: only those are looked at.
  const ends = log.filter(({ kind, stay }) => kind === 'end' && stay === id)
  return standing(ends).at(-1)?.at ?? leaveAt
}

/** Planned before its start, under way until it is left or its end was logged, over after that. */
export function phaseOf(
  stay: Pick<Stay, 'id' | 'start' | 'leaveAt'>,
  log: readonly LogEntry[],
  now: WallTime,
): Phase {
  if (now < stay.start) return 'planned'
  return now < endOf(stay, log) ? 'under-way' : 'over'
}
