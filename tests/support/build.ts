import type { Activity, Container, Document, Fixture, Habit, Rig, Role, Stay } from '@/core/domain'
import { newHabit } from '@/document/edits'
import { owned } from '@/core/quantities'
import { assumedCrew, assumedWeather, bareSite, newFixture, startLevel } from '@/document/starters'

export interface UseOptions {
  kind?: Activity['kind']
  role?: Activity['role']
  per?: Activity['per']
  rate: number
  volume: number
  drainShare?: number
  weights?: [number, number, number, number]
  adds?: [from: 'body' | 'brought-in', litres: number][]
}

/** An activity for an example; spread and dispersion play no part in a count. */
export function use(id: string, options: UseOptions): Activity {
  const {
    kind = 'own',
    role = 'kitchen',
    per = 'crew',
    rate,
    volume,
    drainShare = 1,
    weights,
    adds = [],
  } = options
  return {
    id,
    kind,
    name: id,
    role,
    per,
    rate: owned(rate),
    volume: owned(volume),
    timed: null,
    drainShare: owned(drainShare),
    weights: { values: weights ?? [0.25, 0.25, 0.25, 0.25], by: 'owner' },
    spread: owned(0),
    levelSpread: owned(0),
    learned: null,
    dispersion: 0,
    adds: adds.map(([from, litres]) => ({ from, volume: owned(litres) })),
  }
}

export interface ExampleOptions {
  /** [capacity, reserve, level] in L. */
  fresh: [number, number, number]
  /** [capacity, safe fill, level] */
  gray: [number, number, number]
  black: [number, number, number]
  persons?: string[]
  uses: Activity[]
  habits?: Habit[]
  stay?: Partial<Stay>
}

/** A rig with one tank of each kind; shower, kitchen and basin drain to gray, the toilet to black. */
export function example({
  fresh,
  gray,
  black,
  persons = ['ann'],
  uses,
  habits = [],
  stay = {},
}: ExampleOptions): Document {
  const roles = ['shower', 'kitchen', 'basin', 'toilet'] as const
  return {
    format: 'dry-count/document',
    version: 11,
    currentStay: 'stay',
    rigs: [
      {
        id: 'rig',
        name: 'Rig',
        containers: [
          {
            id: 'fresh',
            name: 'Fresh',
            kind: 'fresh',
            capacity: owned(fresh[0]),
            spread: owned(0),
            reserve: owned(fresh[1]),
            panel: null,
          },
          {
            id: 'gray',
            name: 'Gray',
            kind: 'gray',
            capacity: owned(gray[0]),
            spread: owned(0),
            safeFill: owned(gray[1]),
            residue: owned(0),
            shape: null,
            panel: null,
          },
          {
            id: 'black',
            name: 'Black',
            kind: 'black',
            capacity: owned(black[0]),
            spread: owned(0),
            safeFill: owned(black[1]),
            residue: owned(0),
            shape: null,
            panel: null,
          },
        ],
        fixtures: roles.map((role) => newFixture(role, role, 'fresh', role === 'toilet' ? 'black' : 'gray')),
        outlets: [],
        heater: null,
        gear: [],
        payload: null,
        size: { height: null, length: null },
        cards: [],
        chores: [],
        roles: roles.map((role) => ({ role, fixture: role, share: owned(1) })),
      },
    ],
    crews: [
      {
        id: 'crew',
        name: 'Crew',
        persons: persons.map((id) => ({ id, name: id, rates: [] })),
        activities: uses,
        ...assumedCrew(),
      },
    ],
    habits,
    stays: [
      {
        id: 'stay',
        name: 'Stay',
        rig: 'rig',
        crew: 'crew',
        start: '2027-05-03T05:00',
        leaveAt: '2027-05-13T11:00',
        horizonDays: owned(60),
        levels: [
          startLevel('fresh', owned(fresh[2])),
          startLevel('gray', owned(gray[2])),
          startLevel('black', owned(black[2])),
        ],
        habits: [],
        absences: [],
        guests: [],
        counted: [],
        rules: [],
        confidence: owned(0.9),
        weather: { ...assumedWeather(), spread: owned(0) },
        ...bareSite(),
        ...stay,
      },
    ],
  }
}

/** A habit for an example. */
export function habit(id: string, effects: Habit['effects'], more: Partial<Habit> = {}): Habit {
  return { ...newHabit(id, id), effects, ...more }
}

/** The example with another rig: its own containers, fixtures by role, and every level at the start. */
export function withRig(
  document: Document,
  containers: Container[],
  fixtures: Partial<Record<Role, Fixture[]>>,
  levels: Record<string, number>,
  more: Partial<Rig> = {},
): Document {
  const copy = structuredClone(document)
  copy.rigs[0] = {
    ...copy.rigs[0]!,
    containers,
    fixtures: Object.values(fixtures).flat(),
    roles: (Object.keys(fixtures) as Role[]).flatMap((role) =>
      fixtures[role]!.map(({ id }) => ({ role, fixture: id, share: owned(1 / fixtures[role]!.length) })),
    ),
    ...more,
  }
  copy.stays[0]!.levels = containers.map(({ id }) => startLevel(id, owned(levels[id] ?? 0)))
  return copy
}
