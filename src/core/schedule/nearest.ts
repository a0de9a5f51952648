import { slotAt, slotNumber, slotOfTime, type Slot } from '../calendar'
import { count } from '../count'
import { compile } from '../compile'
import type { Run, StayCase } from '../domain'
import { whole, type Steps } from '../slices'
import { runAnswer, type RunAnswer } from './answer'
import { isOutside } from '../places'

/** The case with a run set, moved or changed. */
export function withRun(stayCase: StayCase, run: Run): StayCase {
  const { stay } = stayCase
  const isKnown = stay.runs.some(({ id }) => id === run.id)
  const runs = isKnown ? stay.runs.map((one) => (one.id === run.id ? run : one)) : [...stay.runs, run]
  return { ...stayCase, stay: { ...stay, runs } }
}

/** How a run would fare as it is given, counted again. */
export function tryRun(stayCase: StayCase, run: Run): RunAnswer {
  const changed = withRun(stayCase, run)
  const model = compile(changed)
  return runAnswer(changed, model, count(model), run)
}

/**
 * The nearest part of the stay in which a run can be done, earlier before later where both are as near; null where none is,
 * or time does not help.
 */
export function nearestSlot(stayCase: StayCase, run: Run): Slot | null {
  return whole(nearestSlotSteps(stayCase, run))
}

/** The same in pieces: each part that is tried takes a count. */
export function* nearestSlotSteps(stayCase: StayCase, run: Run): Steps<Slot | null> {
  const { stay, now } = stayCase
  const [asked, last] = [slotNumber(run), slotNumber(slotOfTime(stay.start, stay.leaveAt))]
  /** Parts that have begun are past. */
  const first = now ? slotNumber(slotOfTime(stay.start, now.at)) + 1 : 0
  const farthest = Math.max(asked, last)
  for (let away = 1; away <= farthest; away++)
    for (const at of [asked - away, asked + away]) {
      if (at < first || isOutside(stayCase, slotAt(at), run.kind)) continue
      if (tryRun(stayCase, { ...run, ...slotAt(at) }).isPossible) return slotAt(at)
      yield away / farthest
    }
  return null
}
