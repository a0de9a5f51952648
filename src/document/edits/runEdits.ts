import type { DayNumber, Part } from '@/core/calendar'
import {
  QUESTIONS,
  isOneOf,
  type Document,
  type Id,
  type Place,
  type Rig,
  type Run,
  type Question,
  type Site,
  type Stay,
  type Way,
} from '@/core/domain'
import { crewOf, stayOf } from './find'

/** Recipes on a draft: the runs of a stay, and where they go. */

/** Sets runs on their days; the stay may be told of a place they go to. */
export function addRuns(
  draft: Document,
  stayId: Id,
  runs: readonly Run[],
  places: readonly Place[] = [],
): void {
  const stay = stayOf(draft, stayId)
  stay.places.push(...places.filter(({ id }) => !stay.places.some((known) => known.id === id)))
  stay.runs.push(...structuredClone(runs))
}

/** Another day or part; of several in a part the moved one comes last. */
export function moveRun(draft: Document, stayId: Id, runId: Id, day: DayNumber, part: Part): void {
  const stay = stayOf(draft, stayId)
  const run = stay.runs.find(({ id }) => id === runId)
  if (!run) return
  stay.runs = [...stay.runs.filter(({ id }) => id !== runId), Object.assign(run, { day, part })]
}

/** Puts a run in the place of the one with its id. */
export function replaceRun(draft: Document, stayId: Id, run: Run): void {
  const stay = stayOf(draft, stayId)
  stay.runs = stay.runs.map((known) => (known.id === run.id ? structuredClone(run) : known))
}

export function removeRun(draft: Document, stayId: Id, runId: Id): void {
  const stay = stayOf(draft, stayId)
  stay.runs = stay.runs.filter(({ id }) => id !== runId)
}

/** A place is changed for all runs that go there, in every stay that knows it, or added to this one. */
export function putPlace(draft: Document, stayId: Id, place: Place): void {
  for (const { id, places } of draft.stays) {
    const at = places.findIndex((known) => known.id === place.id)
    if (at >= 0) places.splice(at, 1, structuredClone(place))
    else if (id === stayId) places.push(structuredClone(place))
  }
}

/** The road to a place as the owner knows it; nothing is kept where nothing is known. */
export function setWay(draft: Document, stayId: Id, way: Way): void {
  const stay = stayOf(draft, stayId)
  stay.ways = stay.ways.filter(({ place }) => place !== way.place)
  if (way.kilometres || way.minutes) stay.ways.push(structuredClone(way))
}

/** A place that goes is no place of any run. */
export function removePlace(draft: Document, stayId: Id, placeId: Id): void {
  const stay = stayOf(draft, stayId)
  stay.places = stay.places.filter(({ id }) => id !== placeId)
  stay.ways = stay.ways.filter(({ place }) => place !== placeId)
  for (const run of stay.runs) if (run.place === placeId) run.place = null
}

/** Steps of containers that the rig no longer has go, and runs of which nothing is left. */
export function dropLostSteps(stay: Stay, { containers }: Rig): void {
  const known = new Set<Id | null>([null, ...containers.map(({ id }) => id)])
  for (const run of stay.runs)
    run.steps = run.steps.filter(({ from, to }) => known.has(from) && known.has(to))
  stay.runs = stay.runs.filter(({ steps, kind }) => steps.length > 0 || kind === 'errand')
}

/** What there is at the site of a stay. */
export function setSite(draft: Document, stayId: Id, site: Partial<Site>): void {
  Object.assign(stayOf(draft, stayId).site, site)
}

/** The owner's side in a question. @throws RangeError where it is none of that question's */
export function setAnswer(draft: Document, crewId: Id, question: Question, side: string): void {
  if (!isOneOf(QUESTIONS[question], side)) throw new RangeError(`'${side}' is no side of '${question}'`)
  Object.assign(crewOf(draft, crewId).schools.sides, { [question]: side })
}
