import { PARTS, type PartGrid } from '../calendar'
import type { Crew, Stay } from './document'

/** Who is there in each part of the grid. */
export interface Presence {
  /** 1 where at least one person is present. */
  anyone: Uint8Array
  /** Adds up one number per person over those present in part i. */
  sum(i: number, perPerson: readonly number[]): number
}

/** Absences are (person, day, part): whole parts. */
export function presence(crew: Crew, stay: Stay, grid: PartGrid): Presence {
  const persons = crew.persons.length
  const here = new Uint8Array(grid.count * persons).fill(1)
  const firstPart = grid.part[0]!
  for (const absence of stay.absences) {
    const person = crew.persons.findIndex(({ id }) => id === absence.person)
    const i = absence.day * PARTS.length + PARTS.indexOf(absence.part) - firstPart
    if (person >= 0 && i >= 0 && i < grid.count) here[i * persons + person] = 0
  }
  const anyone = Uint8Array.from({ length: grid.count }, (_, i) =>
    here.subarray(i * persons, (i + 1) * persons).includes(1) ? 1 : 0,
  )
  return {
    anyone,
    sum(i, perPerson) {
      let total = 0
      for (let p = 0; p < persons; p++) if (here[i * persons + p]) total += perPerson[p]!
      return total
    },
  }
}
