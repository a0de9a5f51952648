import type { Crew } from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import { duplicateIds, sumsToOne, type Path } from './common'

/** References and sums inside one crew. */
export function crewChecks(crew: Crew, path: Path): DocumentFault[] {
  const weights = crew.activities.flatMap((activity, i): DocumentFault[] => {
    const total = activity.weights.values.reduce((sum, value) => sum + value, 0)
    if (sumsToOne(total)) return []
    const at = [...path, 'activities', i, 'weights', 'values']
    return [{ code: 'weights-not-one', path: at, found: String(total), expected: '1' }]
  })
  const rates = crew.persons.flatMap((person, p) =>
    person.rates.flatMap(({ activity: id }, r): DocumentFault[] => {
      const at = [...path, 'persons', p, 'rates', r, 'activity']
      const activity = crew.activities.find((candidate) => candidate.id === id)
      if (!activity) return [{ code: 'dangling', path: at, found: show(id), expected: 'activity' }]
      if (activity.per === 'crew')
        return [{ code: 'rate-of-crew-activity', path: at, found: show(activity.name), expected: 'person' }]
      const first = person.rates.findIndex((rate) => rate.activity === id)
      return first < r ? [{ code: 'listed-twice', path: at, found: show(id), expected: '' }] : []
    }),
  )
  return [
    ...duplicateIds(crew.persons, [...path, 'persons']),
    ...duplicateIds(crew.activities, [...path, 'activities']),
    ...duplicateIds(crew.products, [...path, 'products']),
    ...weights,
    ...rates,
  ]
}
