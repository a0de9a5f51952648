import type { Crew, Document, Id, Stay } from '@/core/domain'
import { owned } from '@/core/quantities'
import { crewOf } from './find'

/** Recipes on a draft: persons and activities of a crew. */

export function addPerson(draft: Document, crewId: Id, id: Id, name: string): void {
  crewOf(draft, crewId).persons.push({ id, name, rates: [] })
}

/** Takes a person out of the crew and out of every stay's absences. */
export function removePerson(draft: Document, crewId: Id, personId: Id): void {
  const crew = crewOf(draft, crewId)
  crew.persons = crew.persons.filter(({ id }) => id !== personId)
  for (const stay of draft.stays) if (stay.crew === crewId) dropStrangers(stay, crew)
}

/** What a stay says of people who are not in its crew goes; a habit that only they took part in is everyone's. */
export function dropStrangers(stay: Stay, { persons, activities }: Crew): void {
  stay.counted = stay.counted.filter(({ activity }) => activities.some(({ id }) => id === activity))
  const isThere = (person: Id) => persons.some(({ id }) => id === person)
  stay.absences = stay.absences.filter(({ person }) => isThere(person))
  stay.guests = stay.guests.filter(({ person }) => isThere(person))
  stay.budget.apart = stay.budget.apart.filter(({ person }) => isThere(person))
  for (const on of stay.habits) {
    const left = on.persons?.filter(isThere) ?? []
    on.persons = left.length === 0 ? null : left
  }
}

/** @param rate uses per day; null: the activity's own rate again */
export function setOwnRate(
  draft: Document,
  crewId: Id,
  personId: Id,
  activityId: Id,
  rate: number | null,
): void {
  const person = crewOf(draft, crewId).persons.find(({ id }) => id === personId)!
  person.rates = person.rates.filter(({ activity }) => activity !== activityId)
  if (rate !== null) person.rates.push({ activity: activityId, rate: owned(rate) })
}

/** Removes an activity with the rates and the habits' effects that name it. */
export function removeActivity(draft: Document, crewId: Id, activityId: Id): void {
  const crew = crewOf(draft, crewId)
  crew.activities = crew.activities.filter(({ id }) => id !== activityId)
  for (const stay of draft.stays)
    if (stay.crew === crewId) {
      stay.counted = stay.counted.filter(({ activity }) => activity !== activityId)
      stay.budget.apart = stay.budget.apart.filter(({ activity }) => activity !== activityId)
      stay.budget.swaps = stay.budget.swaps.filter(
        ({ less, more }) => less !== activityId && more !== activityId,
      )
    }
  crew.saves = crew.saves.filter((id) => id !== activityId)
  for (const person of crew.persons)
    person.rates = person.rates.filter(({ activity }) => activity !== activityId)
  const elsewhere = draft.crews.some(({ activities }) => activities.some(({ id }) => id === activityId))
  if (elsewhere) return
  for (const habit of draft.habits)
    habit.effects = habit.effects.filter(({ activity }) => activity !== activityId)
}

/**
 * The four parts' weights with one of them set; the others keep their proportions and take the rest.
 * @param share 0 to 1
 */
export function withWeight(
  weights: readonly number[],
  part: number,
  share: number,
): [number, number, number, number] {
  const others = weights.reduce((sum, weight, i) => (i === part ? sum : sum + weight), 0)
  const rest = 1 - share
  const next = weights.map((weight, i) => {
    if (i === part) return share
    return others > 0 ? (weight / others) * rest : rest / (weights.length - 1)
  })
  return next as [number, number, number, number]
}
