/** The lists of a document of version 7, of the shapes that its schema checks. */
interface Version7 {
  rigs: object[]
  crews: object[]
  habits: object[]
  stays: object[]
}

/** Version 8 has a rig's chores, what a budget may save and a stay's budget, and the stock of medium. */
export function fromVersion7(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version7
  return {
    ...rest,
    version: 8,
    rigs: rigs.map(entityFromVersion7.rigs),
    crews: crews.map(entityFromVersion7.crews),
    habits,
    stays: stays.map(entityFromVersion7.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion7 = {
  rigs: (rig: object) => ({ ...rig, chores: [] }),
  crews: (crew: object) => ({
    ...crew,
    mediumStock: { value: 0, by: 'default', source: 'assumed' },
    saves: [],
  }),
  habits: (habit: object) => habit,
  stays: (stay: object) => ({
    ...stay,
    budget: { night: null, confidence: null, apart: [], swaps: [], declined: [] },
  }),
}
