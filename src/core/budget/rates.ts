import type { Activity, Habit, Id, StayCase } from '../domain'
import { owned, type Factor } from '../quantities'

/** Farther than any stay may last. */
const LAST_DAY = 366

/** The case with what may be saved at f times its rates, from a day on; those who are set apart keep their own. */
export function factorFrom(
  stayCase: StayCase,
  saved: readonly Activity[],
  f: Factor,
  firstDay: number,
): StayCase {
  const { stay, crew, habits } = stayCase
  const granted = saved.flatMap(({ id, per }) => {
    const apart = per === 'person' ? apartFrom(stayCase, id) : []
    const persons = crew.persons.map((person) => person.id).filter((person) => !apart.includes(person))
    if (persons.length === 0) return []
    const habit = grant(id, f)
    const on = {
      habit: habit.id,
      days: [firstDay, LAST_DAY] as [number, number],
      persons: apart.length > 0 ? persons : null,
    }
    return [{ habit, on }]
  })
  return {
    ...stayCase,
    habits: [...habits, ...granted.map(({ habit }) => habit)],
    stay: { ...stay, habits: [...stay.habits, ...granted.map(({ on }) => on)] },
  }
}

function grant(activity: Id, f: Factor): Habit {
  return {
    id: `budget of ${activity}`,
    name: '',
    note: '',
    group: null,
    where: null,
    effects: [{ kind: 'rate', activity, factor: owned(f) }],
    vessel: null,
    when: { parts: null, daylight: false, lowest: null },
    gear: [],
    permission: null,
    cautions: [],
    bother: owned(0),
  }
}

function apartFrom({ stay, crew }: StayCase, activity: Id): Id[] {
  const known = new Set(crew.persons.map(({ id }) => id))
  return stay.budget.apart
    .filter((one) => one.activity === activity && known.has(one.person))
    .map(({ person }) => person)
}

/** The case with the own rates of those who are set apart. */
export function apartAsTheyWant(stayCase: StayCase, saved: readonly Activity[]): StayCase {
  const { stay, crew } = stayCase
  const apart = stay.budget.apart.filter(({ activity }) =>
    saved.some(({ id, per }) => id === activity && per === 'person'),
  )
  if (apart.length === 0) return stayCase
  const persons = crew.persons.map((person) => {
    const own = apart.filter((one) => one.person === person.id)
    const others = person.rates.filter(({ activity }) => !own.some((one) => one.activity === activity))
    return { ...person, rates: [...others, ...own.map(({ activity, rate }) => ({ activity, rate }))] }
  })
  return { ...stayCase, crew: { ...crew, persons } }
}
