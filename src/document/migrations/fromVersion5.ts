/** The lists of a document of version 5, of the shapes that its schema checks. */
interface Version5 {
  rigs: RigV5[]
  crews: object[]
  habits: object[]
  stays: object[]
}
interface RigV5 {
  containers: { kind: string }[]
}

const assumed = (value: number) => ({ value, by: 'default', source: 'assumed' })
const ruleOfThumb = (value: number) => ({ value, by: 'default', source: 'rule-of-thumb' })

/** Version 6 has runs with their places, what there is at the site, the sides an owner takes, and what errands cost. */
export function fromVersion5(document: unknown): unknown {
  const { rigs, crews, habits, stays, ...rest } = document as Version5
  return {
    ...rest,
    version: 6,
    rigs: rigs.map(entityFromVersion5.rigs),
    crews: crews.map(entityFromVersion5.crews),
    habits,
    stays: stays.map(entityFromVersion5.stays),
  }
}

/** The same for one entity at a time: the browser keeps a row for each, and its history keeps old ones. */
export const entityFromVersion5 = {
  rigs: (rig: RigV5) => ({
    ...rig,
    containers: rig.containers.map((container) => {
      if (container.kind === 'gray' || container.kind === 'black')
        return { ...container, residue: assumed(0) }
      return container.kind === 'tote' || container.kind === 'jug'
        ? { ...container, payload: null }
        : container
    }),
  }),
  crews: (crew: object) => ({
    ...crew,
    schools: {
      sides: {
        'valve-first': 'black',
        'dump-black': 'two-thirds',
        'gray-at-hookup': 'shut',
        paper: 'thin',
        'paper-mixed': 'all-alike',
        treatment: 'biological',
        'treatment-rhythm': 'emptying',
        'gray-treated': 'standing',
        'rinse-way': 'open',
        'rinse-when': 'every-dump',
        'rinse-water': 'after',
        'on-the-road': 'dry',
        charge: 'small',
        'first-connection': 'ground',
        'hose-wash': 'gray',
        'solids-aboard': 'any',
        'fresh-left': 'drained',
        'fresh-driving': 'reserve',
        'cassette-uses': 'all',
        'cassette-when': 'weight',
        'cassette-rinse': 'twice',
        'cassette-flush': 'plain',
        'cassette-dose': 'liquid',
        seals: 'lubricant',
        'bowl-water': 'some',
        bowl: 'wipes',
        vent: 'always',
        outdoors: 'never',
      },
      smallCharge: ruleOfThumb(6),
      largeCharge: ruleOfThumb(15),
      chargeShare: ruleOfThumb(0.2),
      blackThreshold: ruleOfThumb(0.65),
      topUpTo: ruleOfThumb(0.75),
      roadReserve: assumed(15),
      hoseGray: assumed(20),
      rinseTo: ruleOfThumb(0.75),
      rinseRounds: assumed(3),
      hoseFlow: assumed(10),
    },
    costs: {
      money: assumed(1),
      minute: assumed(0.1),
      kilometre: assumed(0.3),
      litre: assumed(0.05),
      bother: assumed(1),
    },
  }),
  habits: (habit: object) => habit,
  stays: (stay: object) => ({
    ...stay,
    site: {
      water: 'none',
      sewer: 'none',
      toilets: false,
      isPrivate: true,
      hookupNights: 0,
      stayLimit: null,
      quiet: null,
    },
    places: [],
    runs: [],
  }),
}
