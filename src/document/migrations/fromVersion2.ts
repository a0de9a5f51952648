import { fromSource } from '@/core/quantities'

/** The lists of a document of version 2, of the shapes that its schema checks. */
interface Version2 {
  rigs: RigV2[]
  crews: CrewV2[]
  habits: object[]
  stays: StayV2[]
}
interface RigV2 {
  containers: { kind: string }[]
}
interface CrewV2 {
  activities: object[]
}
interface StayV2 {
  levels: object[]
  weather: object
}

/**
 * Version 3 says how sure each number is. What version 2 did not say is assumed as model.md section 5 has it, and a
 * starting level is taken as it stands; the count of an old document stays what it was.
 */
export function fromVersion2(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version2
  return {
    ...rest,
    version: 3,
    rigs: rigs.map(entityFromVersion2.rigs),
    crews: crews.map(entityFromVersion2.crews),
    habits: habits.map(entityFromVersion2.habits),
    stays: stays.map(entityFromVersion2.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion2 = {
  rigs: (rig: RigV2) => ({
    ...rig,
    containers: rig.containers.map((container) =>
      container.kind === 'tote' || container.kind === 'jug'
        ? container
        : { ...container, spread: fromSource(0.03, 'assumed') },
    ),
  }),
  crews: (crew: CrewV2) => ({
    ...crew,
    activities: crew.activities.map((activity) => ({
      ...activity,
      levelSpread: fromSource(0.2, 'assumed'),
    })),
    flush: {
      school: 'plenty',
      plenty: fromSource(4, 'assumed'),
      rinsesAtFloor: fromSource(4, 'assumed'),
      rinsesAtPlenty: fromSource(2, 'assumed'),
    },
  }),
  habits: (habit: object) => habit,
  stays: (stay: StayV2) => ({
    ...stay,
    confidence: fromSource(0.9, 'rule-of-thumb'),
    levels: stay.levels.map((level) => ({
      ...level,
      error: { shape: 'even', size: fromSource(0, 'assumed') },
    })),
    weather: { ...stay.weather, spread: fromSource(3, 'assumed') },
  }),
}
