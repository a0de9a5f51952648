import { type DayNumber, type PartGrid, PARTS } from '../calendar'
import { type Id, type Crew, isAwayOn, type Stay } from '../domain'

/** Who is there in each part: few different groups, however many parts. */
export interface Presence {
  /** Index into `groups`, per part of the grid. */
  group: Uint16Array
  /** For each person of the crew, in order, whether they are in the group. */
  groups: boolean[][]
}

/** Absences are whole parts of days; a guest is away on all days but their own. */
export function presence(crew: Crew, stay: Stay, grid: PartGrid): Presence {
  const group = new Uint16Array(grid.count)
  const groups = [crew.persons.map(() => true)]
  const known = new Map([['', 0]])
  for (const [part, persons] of absentByPart(crew, stay, grid)) {
    const key = [...persons].sort((a, b) => a - b).join()
    if (!known.has(key)) {
      known.set(key, groups.length)
      groups.push(crew.persons.map((_, person) => !persons.has(person)))
    }
    group[part] = known.get(key)!
  }
  return { group, groups }
}

/** The persons absent in each part in which somebody is. */
function absentByPart(crew: Crew, stay: Stay, grid: PartGrid): Map<number, Set<number>> {
  const absent = new Map<number, Set<number>>()
  const index = new Map(crew.persons.map(({ id }, person) => [id, person]))
  const last = grid.day[grid.count - 1]!
  const add = (personId: Id, day: DayNumber, part: number) => {
    const person = index.get(personId)
    const at = (day - grid.day[0]!) * PARTS.length + part - grid.part[0]!
    if (person !== undefined && at >= 0 && at < grid.count)
      absent.set(at, (absent.get(at) ?? new Set()).add(person))
  }
  for (const absence of stay.absences)
    for (let day = Math.max(absence.days[0], grid.day[0]!); day <= Math.min(absence.days[1], last); day++)
      if (isAwayOn(absence, stay, day)) add(absence.person, day, PARTS.indexOf(absence.part))
  for (const { person, days } of stay.guests)
    for (let day = grid.day[0]!; day <= last; day++)
      if (day < days[0] || day > days[1]) PARTS.forEach((_, part) => add(person, day, part))
  return absent
}
