import { wallDaysBetween } from '@/core/calendar'
import { blockedBy } from '@/core/habits'
import type { Document, Id, Stay } from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import type { Path } from './common'
import { runChecks } from './runChecks'

type Check = (document: Document, stay: Stay, path: Path) => DocumentFault[]

/** A stay's references, times and starting levels. */
export const stayChecks: Check = (document, stay, path) =>
  [
    timeChecks,
    referenceChecks,
    levelChecks,
    habitsOnChecks,
    absenceChecks,
    landChecks,
    countedChecks,
    runChecks,
    chainChecks,
  ].flatMap((check) => check(document, stay, path))

const timeChecks: Check = (_, stay, path) => {
  const days = wallDaysBetween(stay.start, stay.leaveAt)
  const at = [...path, 'leaveAt']
  if (days <= 0)
    return [{ code: 'ends-before-start', path: at, found: show(stay.leaveAt), expected: stay.start }]
  if (days > stay.horizonDays.value)
    return [
      {
        code: 'beyond-horizon',
        path: at,
        found: show(stay.leaveAt),
        expected: String(stay.horizonDays.value),
      },
    ]
  return []
}

const referenceChecks: Check = (document, stay, path) => {
  const faults: DocumentFault[] = []
  if (!document.rigs.some(({ id }) => id === stay.rig))
    faults.push({ code: 'dangling', path: [...path, 'rig'], found: show(stay.rig), expected: 'rig' })
  if (!document.crews.some(({ id }) => id === stay.crew))
    faults.push({ code: 'dangling', path: [...path, 'crew'], found: show(stay.crew), expected: 'crew' })
  return faults
}

const levelChecks: Check = (document, stay, path) => {
  const containers = document.rigs.find(({ id }) => id === stay.rig)?.containers
  if (!containers) return []
  const at = [...path, 'levels']
  const seen = new Set<string>()
  const listed = stay.levels.flatMap(({ container }, i): DocumentFault[] => {
    const unknown = !containers.some(({ id }) => id === container)
    const twice = seen.has(container)
    seen.add(container)
    if (unknown)
      return [{ code: 'level-unknown', path: [...at, i], found: show(container), expected: 'container' }]
    return twice ? [{ code: 'listed-twice', path: [...at, i], found: show(container), expected: '' }] : []
  })
  const missing = containers
    .filter(({ id }) => !seen.has(id))
    .map(({ name }): DocumentFault => ({ code: 'level-missing', path: at, found: show(name), expected: '' }))
  return [...listed, ...missing]
}

const habitsOnChecks: Check = (document, stay, path) => {
  const choices = new Map<string, [number, number][]>()
  const persons = document.crews.find(({ id }) => id === stay.crew)?.persons
  const seen = new Set<string>()
  const rig = document.rigs.find(({ id }) => id === stay.rig)
  return stay.habits.flatMap(({ habit: id, days, persons: who }, i): DocumentFault[] => {
    const at = [...path, 'habits', i]
    const habit = document.habits.find((candidate) => candidate.id === id)
    if (!habit) return [{ code: 'dangling', path: [...at, 'habit'], found: show(id), expected: 'habit' }]
    if (seen.has(id)) return [{ code: 'listed-twice', path: at, found: show(id), expected: '' }]
    seen.add(id)
    if (days && days[0] > days[1])
      return [{ code: 'days-reversed', path: [...at, 'days'], found: days.join(' to '), expected: '' }]
    const blocked = rig ? blockedBy(habit, rig, stay) : null
    if (blocked) {
      const { gear, permission } = blocked
      const faults: DocumentFault[] = []
      if (gear.length > 0)
        faults.push({ code: 'gear-missing', path: at, found: show(habit.name), expected: gear.join(', ') })
      if (permission !== null)
        faults.push({ code: 'not-allowed', path: at, found: show(habit.name), expected: permission })
      return faults
    }
    const stranger = persons && who?.findIndex((person) => !persons.some(({ id }) => id === person))
    if (stranger !== undefined && stranger >= 0)
      return [
        {
          code: 'dangling',
          path: [...at, 'persons', stranger],
          found: show(who![stranger]!),
          expected: 'person',
        },
      ]
    const [how, where] = [habit.group && `how ${habit.group}`, habit.where && `where ${habit.where}`]
    const made = [how, where].filter((choice) => choice !== null)
    const span = days ?? ALL_DAYS
    const isRival = made.some((choice) => choices.get(choice)?.some((other) => areTogether(other, span)))
    for (const choice of made) choices.set(choice, [...(choices.get(choice) ?? []), span])
    return isRival ? [{ code: 'rivals-on', path: at, found: show(habit.name), expected: '' }] : []
  })
}

const ALL_DAYS: [number, number] = [0, Infinity]
/** Of two choices that exclude each other one may follow the other. */
const areTogether = (a: [number, number], b: [number, number]) => a[0] <= b[1] && b[0] <= a[1]

const absenceChecks: Check = (document, stay, path) => {
  const persons = document.crews.find(({ id }) => id === stay.crew)?.persons
  if (!persons) return []
  const known = new Set(persons.map(({ id }) => id))
  const seen = new Set<string>()
  const personFaults = (person: Id, days: [number, number], at: Path): DocumentFault[] => {
    if (!known.has(person))
      return [{ code: 'dangling', path: [...at, 'person'], found: show(person), expected: 'person' }]
    return days[0] > days[1]
      ? [{ code: 'days-reversed', path: [...at, 'days'], found: days.join(' to '), expected: '' }]
      : []
  }
  const once = (key: string, at: Path): DocumentFault[] => {
    const isTwice = seen.has(key)
    seen.add(key)
    return isTwice ? [{ code: 'listed-twice', path: at, found: show(key), expected: '' }] : []
  }
  return [
    ...stay.absences.flatMap(({ person, part, days, weekdays }, i) => {
      const at = [...path, 'absences', i]
      const key = `${person}, ${part}, day ${days.join(' to ')}${weekdays ? `, weekdays ${weekdays.join()}` : ''}`
      return [...personFaults(person, days, at), ...once(key, at)]
    }),
    ...stay.guests.flatMap(({ person, days }, i) => {
      const at = [...path, 'guests', i]
      return [...personFaults(person, days, at), ...once(`guest ${person}`, at)]
    }),
  ]
}

/** Each rule once, each day's weather once, the sun up before it is down. */
const landChecks: Check = (_, { rules, weather }, path) => {
  const twice = (keys: readonly (string | number)[], at: Path): DocumentFault[] =>
    keys.flatMap((key, i): DocumentFault[] =>
      keys.indexOf(key) < i
        ? [{ code: 'listed-twice', path: [...at, i], found: show(key), expected: '' }]
        : [],
    )
  const night: DocumentFault[] =
    weather.sunrise < weather.sunset
      ? []
      : [
          {
            code: 'night-before-day',
            path: [...path, 'weather', 'sunset'],
            found: show(weather.sunset),
            expected: weather.sunrise,
          },
        ]
  return [
    ...twice(
      rules.map(({ rule }) => rule),
      [...path, 'rules'],
    ),
    ...twice(
      weather.days.map(({ day }) => day),
      [...path, 'weather', 'days'],
    ),
    ...night,
  ]
}

/** A stretch that is counted is of an activity of the crew, and does not end before it begins. */
const countedChecks: Check = ({ crews }, stay, path) => {
  const activities = crews.find(({ id }) => id === stay.crew)?.activities
  return stay.counted.flatMap(({ activity, from, until }, i): DocumentFault[] => {
    const at = [...path, 'counted', i]
    if (activities && !activities.some(({ id }) => id === activity))
      return [{ code: 'dangling', path: [...at, 'activity'], found: show(activity), expected: 'activity' }]
    return until !== null && until < from
      ? [{ code: 'ends-before-start', path: [...at, 'until'], found: show(until), expected: from }]
      : []
  })
}

/** A stay follows one that begins before it: so no chain bites its own tail. */
const chainChecks: Check = ({ stays }, { follows, start }, path) => {
  if (follows === null) return []
  const at = [...path, 'follows']
  const before = stays.find(({ id }) => id === follows)
  if (!before) return [{ code: 'dangling', path: at, found: show(follows), expected: 'stay' }]
  return before.start < start
    ? []
    : [{ code: 'follows-later', path: at, found: show(before.name), expected: start }]
}
