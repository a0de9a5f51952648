import { stepBlocked, type Place, type Run, type StayCase } from '../domain'
import { refusalsOf, refuses, wastesOf } from './refusals'
import { byRoad } from './way'

type Going = Pick<Run, 'kind' | 'steps'>

/** Whether a run goes anywhere: it lets something go, or fetches something, away from the site. */
export function goesOut({ rig }: Pick<StayCase, 'rig'>, { kind, steps }: Going): boolean {
  if (kind === 'errand') return true
  if (kind === 'restock' || kind === 'gray-to-black') return false
  const fetches = steps.some(({ do: does }) => does === 'fill' || does === 'jugs')
  return fetches || wastesOf(rig, { steps }).length > 0
}

/**
 * Where a run could go, the nearest first: places that take all of it whatever the hour. Home is for going home, and
 * groceries are where there are some.
 */
export function placesFor(stayCase: StayCase, run: Run): Place[] {
  const { stay, rig } = stayCase
  if (!goesOut(stayCase, run)) return []
  return byRoad(stayCase, stay.places).filter((place) => {
    if (place.isHome !== (run.kind === 'go-home')) return false
    if (run.kind === 'errand' && place.offers.length === 0) return false
    return (
      !run.steps.some((step) => stepBlocked(step, run, rig, place)) &&
      !refusalsOf(stayCase, run, place).some(refuses)
    )
  })
}
