/** The lists of a document of version 4, of the shapes that its schema checks. */
interface Version4 {
  rigs: object[]
  crews: CrewV4[]
  habits: object[]
  stays: object[]
}
interface CrewV4 {
  activities: object[]
}

/** Version 5 has a log beside the document, what was learned of an activity and taken over, and what is counted when. */
export function fromVersion4(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version4
  return {
    ...rest,
    version: 5,
    rigs,
    crews: crews.map(entityFromVersion4.crews),
    habits,
    stays: stays.map(entityFromVersion4.stays),
    log: [],
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion4 = {
  rigs: (rig: object) => rig,
  crews: (crew: CrewV4) => ({
    ...crew,
    activities: crew.activities.map((activity) => ({ ...activity, learned: null })),
  }),
  habits: (habit: object) => habit,
  stays: (stay: object) => ({ ...stay, counted: [] }),
}
