import { stepBlocked, type Place, type Run, type StayCase } from '../model'
import { placesFor } from '../places'
import { blocks, isOfPlace, tryRun, type RunAnswer } from '../schedule'
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
export function insteadOf(stayCase: StayCase, { run, troubles }: RunAnswer): Instead[] {
  const isClosed = troubles.some(({ kind }) => kind === 'closed')
  if (!isClosed && !troubles.some((one) => blocks(one) && isOfPlace(one))) return []
  const works = ({ run: changed }: Instead) => tryRun(stayCase, changed).isPossible
  const places = placesFor(stayCase, run)
    .filter(({ id }) => id !== run.place)
    .map((place): Instead => ({ as: 'place', place, run: { ...run, place: place.id } }))
    .filter(works)
    .slice(0, MOST)
  const trimmed = trimmedRun(stayCase, run).filter(works)
  if (isClosed || places.length + trimmed.length > 0) return [...places, ...trimmed]
  return errandsFor(stayCase, run).filter(works).slice(0, MOST)
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
