import type { DayNumber } from '@/core/calendar'
import type { Id, Place, Run } from '@/core/domain'
import * as edits from '@/document/edits'
import { action } from './action'

export const addRuns = action('run', edits.addRuns)
/** An errand, with the habits that it goes together with. */
export const addRunAndHabits = action(
  'run',
  (draft, stay: Id, run: Run, habits: readonly Id[], today: DayNumber) => {
    edits.addRuns(draft, stay, [run])
    for (const habit of habits) edits.setHabit(draft, stay, habit, true, null, today)
  },
)
export const moveRun = action('run', edits.moveRun)
export const dragRun = action('run', edits.moveRun, (_stay, run) => `run ${run}`)
export const replaceRun = action('run', edits.replaceRun)
/** The same of what is typed. @param key what is typed of it */
export const typeRun = action(
  'run',
  (draft, stay: Id, run: Run, _key: string) => edits.replaceRun(draft, stay, run),
  (_stay, _run, key) => key,
)
export const removeRun = action('run', edits.removeRun)
/** A run that was done is planned no longer; where another tab has removed it or its stay meanwhile, what was done was done. */
export const doneRun = action('log', (draft, stay: Id, run: Id | null) => {
  const planned = draft.stays.find(({ id }) => id === stay)
  if (run !== null && planned?.runs.some(({ id }) => id === run)) edits.removeRun(draft, stay, run)
})

export const putPlaces = action('place', (draft, stay: Id, places: readonly Place[]) => {
  for (const place of places) edits.putPlace(draft, stay, place)
})
/** @param what is typed of it; null: a step of its own */
export const putPlace = action(
  'place',
  (draft, stay: Id, place: Place, _what: string | null) => edits.putPlace(draft, stay, place),
  (_stay, { id }, what) => (what === null ? null : `${what} ${id}`),
)
export const removePlace = action('place', edits.removePlace)
export const setWay = action('place', edits.setWay, (_stay, { place }) => `way ${place}`)
