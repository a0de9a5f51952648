/** The lists of a document of version 8, of the shapes that its schema checks. */
interface Version8 {
  rigs: object[]
  crews: object[]
  habits: object[]
  stays: StayV8[]
}
interface StayV8 {
  places: object[]
  site: object
}

const assumed = (value: number) => ({ value, by: 'default', source: 'assumed' })

/** Version 9 knows where places are, when they are open and for whom, what roads take, and which stay follows which. */
export function fromVersion8(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version8
  return {
    ...rest,
    version: 9,
    rigs: rigs.map(entityFromVersion8.rigs),
    crews: crews.map(entityFromVersion8.crews),
    habits,
    stays: stays.map(entityFromVersion8.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion8 = {
  rigs: (rig: object) => ({ ...rig, size: { height: null, length: null } }),
  crews: (crew: object) => ({
    ...crew,
    road: { factor: assumed(1.3), speed: assumed(45), packing: assumed(30), service: assumed(20) },
  }),
  habits: (habit: object) => habit,
  stays: (stay: StayV8) => ({
    ...stay,
    site: { ...stay.site, position: null },
    places: stay.places.map((place) => ({
      ...place,
      points: [],
      isHome: false,
      position: null,
      opening: null,
      access: 'unknown',
      fee: null,
      maxHeight: null,
      maxLength: null,
      approach: 'unknown',
      queue: assumed(10),
      offers: [],
      note: '',
      verified: null,
    })),
    ways: [],
    follows: null,
    endsAt: null,
  }),
}
