import { stepBlocked, type Place, type Run, type StayCase } from '../domain'
import { placesFor } from '../places'
import { blocks, isOfPlace, tryRun, type RunAnswer } from '../schedule'
import { whole, type Steps } from '../slices'
import { usualRuns, type UsualRun } from './catalog'
import { runOf } from './makeErrand'

/**
 * What can be done where no other time helps: the same run at another place, without the steps its place refuses, or another
 * errand for the same containers.
 */
export type Instead = { run: Run } & (
  | { as: 'place'; place: Place }
  | { as: 'trimmed'; place: Place }
  | { as: 'errand'; usual: UsualRun }
)

/** No more than these are offered. */
const MOST = 2

/** Places that take it come first, the nearest of them before the others; then what this place does take; then other errands. */
export function insteadOf(stayCase: StayCase, answer: RunAnswer): Instead[] {
  return whole(insteadSteps(stayCase, answer))
}

/** The same in pieces: each way that is tried takes a count. */
export function* insteadSteps(stayCase: StayCase, { run, troubles }: RunAnswer): Steps<Instead[]> {
  const isClosed = troubles.some(({ kind }) => kind === 'closed')
  if (!isClosed && !troubles.some((one) => blocks(one) && isOfPlace(one))) return []
  const others = placesFor(stayCase, run)
    .filter(({ id }) => id !== run.place)
    .map((place): Instead => ({ as: 'place', place, run: { ...run, place: place.id } }))
  const places = yield* working(stayCase, others)
  const trimmed = yield* working(stayCase, trimmedRun(stayCase, run))
  if (isClosed || places.length + trimmed.length > 0) return [...places, ...trimmed]
  return yield* working(stayCase, errandsFor(stayCase, run))
}

/** The first fixes that can be done. */
function* working(stayCase: StayCase, fixes: readonly Instead[]): Steps<Instead[]> {
  const found: Instead[] = []
  for (const [k, fix] of fixes.entries()) {
    if (found.length === MOST) break
    if (tryRun(stayCase, fix.run).isPossible) found.push(fix)
    yield k / fixes.length
  }
  return found
}

/** The run without what its place is known not to take, or to have. */
function trimmedRun({ stay, rig }: StayCase, run: Run): Instead[] {
  const place = stay.places.find(({ id }) => id === run.place)
  const steps = run.steps.filter((step) => !stepBlocked(step, run, rig, place ?? null))
  if (!place || steps.length === 0 || steps.length === run.steps.length) return []
  return [{ as: 'trimmed', place, run: { ...run, steps } }]
}

function errandsFor(stayCase: StayCase, run: Run): Instead[] {
  const givers = new Set(run.steps.map(({ from }) => from))
  return usualRuns(stayCase)
    .filter(
      ({ kind, steps }) => kind !== run.kind && steps.some(({ from }) => from !== null && givers.has(from)),
    )
    .map((errand) => ({
      as: 'errand',
      usual: errand.usual,
      run: { ...runOf(stayCase, errand, run.id, run), day: run.day, part: run.part, name: run.name },
    }))
}
