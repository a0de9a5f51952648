import { fromSource } from '@/core/quantities'

/** The lists of a document of version 1, of the shapes that its schema checks. */
interface Version1 {
  rigs: RigV1[]
  crews: CrewV1[]
  habits: object[]
  stays: object[]
}
interface RigV1 {
  containers: { kind: 'fresh' | 'gray' | 'black' }[]
  fixtures: object[]
}
interface CrewV1 {
  activities: object[]
}

/**
 * Version 2 knows every toilet, outlets, weights, the land's rules and the weather. What version 1 did not say is taken
 * as not there, or as assumed; the count of an old document stays what it was.
 */
export function fromVersion1(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version1
  return {
    ...rest,
    version: 2,
    rigs: rigs.map(entityFromVersion1.rigs),
    crews: crews.map(entityFromVersion1.crews),
    habits: habits.map(entityFromVersion1.habits),
    stays: stays.map(entityFromVersion1.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion1 = {
  rigs: (rig: RigV1) => ({
    ...rig,
    containers: rig.containers.map((container) =>
      container.kind === 'fresh' ? container : { ...container, shape: null },
    ),
    fixtures: rig.fixtures.map((fixture) => ({
      ...fixture,
      solids: null,
      waterFactor: { value: 1, by: 'default', source: 'assumed' },
      takes: 'all',
    })),
    outlets: [],
    heater: null,
    gear: [],
    payload: null,
  }),
  crews: (crew: CrewV1) => ({
    ...crew,
    activities: crew.activities.map((activity) => ({ ...activity, timed: null })),
    heat: {
      above: fromSource(25, 'assumed'),
      drinking: fromSource(0.4, 'assumed'),
      showers: fromSource(0.1, 'assumed'),
    },
    liftLimit: fromSource(15, 'iso-11228'),
    flushFloor: fromSource(2, 'assumed'),
  }),
  habits: (habit: object) => ({
    ...habit,
    vessel: null,
    when: { parts: null, daylight: false, lowest: null },
    gear: [],
    permission: null,
    cautions: [],
  }),
  stays: (stay: object) => ({
    ...stay,
    rules: [],
    weather: { usual: fromSource(18, 'assumed'), days: [], sunrise: '07:00', sunset: '19:00' },
  }),
}
