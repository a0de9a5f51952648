import type { Activity, Document, RoleShare, Role } from '@/core/domain'
import { owned } from '@/core/quantities'
import { starterActivities, starterHabits, usualChores } from '@/document/starters'
import { starters } from '@/texts/en/starters'

/** What a crew does differently from the starting points. */
export type OwnNumbers = Record<string, { rate?: number; volume?: number }>

/** The standard activities with a crew's own numbers in place of the assumed ones. */
export function activitiesOf(own: OwnNumbers, options: { pet: boolean; laundry: boolean }): Activity[] {
  return starterActivities(starters, options).map((activity) => {
    const { rate, volume } = own[activity.id] ?? {}
    return {
      ...activity,
      ...(rate === undefined ? {} : { rate: owned(rate) }),
      ...(volume === undefined ? {} : { volume: owned(volume) }),
    }
  })
}

/** One fixture for each role. */
export function rolesOf(fixtures: Partial<Record<Role, string>>): RoleShare[] {
  return (Object.keys(fixtures) as Role[]).map((role) => ({
    role,
    fixture: fixtures[role]!,
    share: owned(1),
  }))
}

/** A document of one rig, crew and stay with the whole catalogue of habits. */
export function demoOf(
  rig: Document['rigs'][0],
  crew: Document['crews'][0],
  stay: Document['stays'][0],
): Document {
  return {
    format: 'dry-count/document',
    version: 11,
    currentStay: stay.id,
    rigs: [
      {
        ...rig,
        chores: rig.chores.length > 0 ? rig.chores : usualChores(rig.containers, crew.schools.sides),
      },
    ],
    crews: [crew],
    habits: starterHabits(starters),
    stays: [stay],
  }
}
