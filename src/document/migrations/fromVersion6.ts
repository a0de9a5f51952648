/** The lists of a document of version 6, of the shapes that its schema checks. */
interface Version6 {
  rigs: object[]
  crews: object[]
  habits: object[]
  stays: StayV6[]
}
interface StayV6 {
  places: object[]
}

/** Version 7 has run cards that the owner made, products with their stock, and more of a place: its rule and its tap. */
export function fromVersion6(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version6
  return {
    ...rest,
    version: 7,
    rigs: rigs.map(entityFromVersion6.rigs),
    crews: crews.map(entityFromVersion6.crews),
    habits,
    stays: stays.map(entityFromVersion6.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion6 = {
  rigs: (rig: object) => ({ ...rig, cards: [] }),
  crews: (crew: object) => ({ ...crew, products: [] }),
  habits: (habit: object) => habit,
  stays: (stay: StayV6) => ({
    ...stay,
    places: stay.places.map((place) => ({ ...place, rule: 'unknown', flow: null })),
  }),
}
