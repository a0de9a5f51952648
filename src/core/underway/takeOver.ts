import { count } from '../count'
import { LEARNED } from '../learn'
import { compile } from '../compile'
import type { Activity, Id, StayCase, TakenOver } from '../domain'
import type { Days } from '../quantities'
import type { StayLearned } from './learnStay'

/** What can be taken over: the litres of what was learned, or was logged at all. */
export function takeOverOf(
  { crew }: Pick<StayCase, 'crew'>,
  { activities, entries }: Pick<StayLearned, 'activities' | 'entries'>,
  upTo: string,
): Map<Id, TakenOver> {
  return new Map(
    crew.activities.flatMap((activity, a): [Id, TakenOver][] => {
      const { factor, spread, cut } = activities[a]!
      return cut >= LEARNED ? [[activity.id, { factor, spread, entries: entries[a]!, upTo }]] : []
    }),
  )
}

/** A case with numbers taken over. */
export function withTakenOver(stayCase: StayCase, taken: ReadonlyMap<Id, TakenOver>): StayCase {
  const { crew } = stayCase
  const activities = crew.activities.map((activity): Activity => {
    const learned = taken.get(activity.id)
    return learned ? { ...activity, learned } : activity
  })
  return { ...stayCase, crew: { ...crew, activities } }
}

/** How long the stay, planned again from its start, lasts before its crew's numbers are taken over and after; null: beyond the horizon. */
export function daysByTakingOver(
  stayCase: StayCase,
  taken: ReadonlyMap<Id, TakenOver>,
): { before: Days | null; after: Days | null } {
  const { stay, rig, crew, habits } = stayCase
  const planned = { stay, rig, crew, habits }
  return {
    before: count(compile(planned)).days,
    after: count(compile(withTakenOver(planned, taken))).days,
  }
}
