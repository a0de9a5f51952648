/** The lists of a document of version 3, of the shapes that its schema checks. */
interface Version3 {
  rigs: RigV3[]
  crews: object[]
  habits: HabitV3[]
  stays: StayV3[]
}
interface RigV3 {
  containers: { kind: string }[]
}
interface HabitV3 {
  effects: { kind: string }[]
}
interface StayV3 {
  habits: object[]
  absences: { person: string; day: number; part: string }[]
  rules: object[]
}

/** Kinds of tanks that a monitor panel reads. */
const WITH_PANEL = ['fresh', 'flush', 'gray', 'black']

/**
 * Version 4 tells how from where, knows what runs while the water is paused, panels, guests, and absences that repeat. What
 * version 3 did not say is not there; the count of an old document stays what it was.
 */
export function fromVersion3(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version3
  return {
    ...rest,
    version: 4,
    rigs: rigs.map(entityFromVersion3.rigs),
    crews: crews.map(entityFromVersion3.crews),
    habits: habits.map(entityFromVersion3.habits),
    stays: stays.map(entityFromVersion3.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion3 = {
  rigs: (rig: RigV3) => ({
    ...rig,
    containers: rig.containers.map((container) =>
      WITH_PANEL.includes(container.kind) ? { ...container, panel: null } : container,
    ),
  }),
  crews: (crew: object) => crew,
  habits: (habit: HabitV3) => ({
    ...habit,
    where: null,
    effects: habit.effects.map((effect) =>
      effect.kind === 'replace' ? { ...effect, trickle: null } : effect,
    ),
  }),
  stays: (stay: StayV3) => ({
    ...stay,
    habits: stay.habits.map((on) => ({ ...on, persons: null })),
    absences: stay.absences.map(({ person, day, part }) => ({
      person,
      part,
      days: [day, day],
      weekdays: null,
    })),
    guests: [],
    rules: stay.rules.map((rule) => ({ ...rule, litres: null })),
  }),
}
