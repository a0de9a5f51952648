import { PARTS, type PartGrid } from '../calendar'
import type { Crew } from './crew'
import type { Stay } from './stay'

/** Who is there in each part: few different groups, however many parts. */
export interface Presence {
  /** Index into `groups`, per part of the grid. */
  group: Uint16Array
  /** For each person of the crew, in order, whether they are in the group. */
  groups: boolean[][]
}

/** Absences are (person, day, part): whole parts. */
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
  for (const absence of stay.absences) {
    const person = index.get(absence.person)
    const part = absence.day * PARTS.length + PARTS.indexOf(absence.part) - grid.part[0]!
    if (person === undefined || part < 0 || part >= grid.count) continue
    absent.set(part, (absent.get(part) ?? new Set()).add(person))
  }
  return absent
}
