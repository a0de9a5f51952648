import type { Place, Run, StayCase } from '../model'
import type { RunAnswer } from './answer'
import { tryRun } from './nearest'
import { placesFor } from '../places'
import { blocks, isOfPlace } from './troubles'
import { usualRuns, type UsualRun } from './usual'

/** What can be done where no other time helps: the same run at another place, or another errand for the same containers. */
export type Instead = { run: Run } & ({ place: Place } | { usual: UsualRun })

/** No more than these are offered. */
const MOST = 2

/** Places that take it come first, the nearest of them before the others; errands only where there is none. */
export function insteadOf(stayCase: StayCase, { run, troubles }: RunAnswer): Instead[] {
  const isClosed = troubles.some(({ kind }) => kind === 'closed')
  if (!isClosed && !troubles.some(isOfPlace)) return []
  const works = ({ run: changed }: Instead) => !tryRun(stayCase, changed).troubles.some(blocks)
  const places = placesFor(stayCase, run)
    .filter(({ id }) => id !== run.place)
    .map((place): Instead => ({ place, run: { ...run, place: place.id } }))
    .filter(works)
  if (isClosed || places.length > 0) return places.slice(0, MOST)
  return errandsFor(stayCase, run).filter(works).slice(0, MOST)
}

function errandsFor(stayCase: StayCase, run: Run): Instead[] {
  const givers = new Set(run.steps.map(({ from }) => from))
  return usualRuns(stayCase)
    .filter(
      ({ kind, steps }) => kind !== run.kind && steps.some(({ from }) => from !== null && givers.has(from)),
    )
    .map(({ usual, kind, steps, minutes, kilometres, fee, bother }) => ({
      usual,
      run: { ...run, kind, steps, minutes, kilometres, fee, bother, place: null },
    }))
}
