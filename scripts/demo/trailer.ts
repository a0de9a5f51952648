import type { Document, TankContainer } from '@/core/domain'
import { panelOf } from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'
import { assumedCrew, bareSite, newContainer, newFixture, startLevel } from '@/document/starters'
import { activitiesOf, demoOf, rolesOf } from './pieces'
import { HARROW_RIDGE, ridgePlaces } from './ridge'

/** What the panel of this trailer lights. */
const THIRDS = { ...panelOf('thirds') }

/** A waste tank that was measured: inside height and bottom, m, to two centimetres. */
function measured(
  kind: 'gray' | 'black',
  name: string,
  litres: number,
  height: number,
  bottom: number,
): TankContainer {
  const shape = { height: owned(height), bottom: owned(bottom), error: owned(0.02) }
  return { ...(newContainer(kind, kind, name, litres) as TankContainer), shape, panel: THIRDS }
}

/** The family trailer of the demo world: twelve nights at the autumn raptor count on Harrow Ridge. */
export function trailerDemo(): Document {
  const document = demoOf(
    {
      id: 'trailer',
      name: 'Family trailer',
      containers: [
        {
          id: 'fresh',
          name: 'Fresh',
          kind: 'fresh',
          capacity: owned(340),
          spread: fromSource(0.03, 'assumed'),
          reserve: owned(12),
          panel: THIRDS,
        },
        measured('gray', 'Gray', 210, 0.32, 0.16),
        measured('black', 'Black', 130, 0.36, 0),
        newContainer('tote', 'tote', 'Tote', 60),
      ],
      fixtures: [
        newFixture('kitchen-sink', 'Kitchen sink', 'fresh', 'gray'),
        newFixture('bath-basin', 'Bathroom basin', 'fresh', 'gray'),
        newFixture('bath-shower', 'Shower', 'fresh', 'gray'),
        newFixture('toilet', 'Toilet', 'fresh', 'black'),
      ],
      roles: rolesOf({
        kitchen: 'kitchen-sink',
        basin: 'bath-basin',
        shower: 'bath-shower',
        toilet: 'toilet',
      }),
      outlets: [
        {
          id: 'outlet',
          name: 'Outlet',
          containers: ['gray', 'black'],
          endValve: true,
          rinses: 'black',
          side: 'left',
          handle: 'pull',
          bore: owned(0.076),
          joined: [],
        },
      ],
      heater: { volume: owned(22), supply: 'fresh', counted: false },
      gear: ['spray-bottle', 'shower-basin', 'lidded-pail'],
      payload: { limit: owned(780), other: owned(455) },
      size: { height: owned(3.2), length: owned(13.5) },
      cards: [],
      chores: [],
    },
    {
      ...assumedCrew(),
      products: [
        {
          id: 'mire-ease',
          name: 'Mire-Ease',
          form: 'liquid',
          for: ['black'],
          dose: owned(60),
          per: 'capacity',
          perLitres: owned(150),
          stock: owned(500),
        },
      ],
      id: 'crew',
      name: 'Maren, Tobin, Wren and the dog',
      persons: [
        { id: 'maren', name: 'Maren', rates: [] },
        { id: 'tobin', name: 'Tobin', rates: [] },
        { id: 'wren', name: 'Wren', rates: [{ activity: 'shower', rate: owned(0.6) }] },
      ],
      activities: activitiesOf(
        {
          shower: { rate: 0.4, volume: 10.5 },
          'hand-wash': { rate: 6, volume: 0.3 },
          teeth: { volume: 0.25 },
          dishes: { volume: 4.5 },
          cooking: { rate: 3, volume: 0.9 },
          'liquid-use': { rate: 5, volume: 0.4 },
          'solid-use': { rate: 1, volume: 1.6 },
          cleaning: { rate: 1, volume: 1 },
        },
        { pet: true, laundry: false },
      ),
    },
    {
      id: 'harrow-ridge',
      name: 'Harrow Ridge raptor count',
      rig: 'trailer',
      crew: 'crew',
      start: '2027-09-11T16:00',
      leaveAt: '2027-09-23T11:00',
      ...bareSite(),
      site: {
        ...bareSite().site,
        stayLimit: 14,
        quiet: { from: '22:00', until: '07:00' },
        position: HARROW_RIDGE,
      },
      places: ridgePlaces(),
      horizonDays: fromSource(60, 'rule-of-thumb'),
      confidence: fromSource(0.9, 'rule-of-thumb'),
      levels: [
        startLevel('fresh', owned(340)),
        { ...startLevel('gray', owned(3)), error: { shape: 'even', size: owned(6) } },
        { ...startLevel('black', owned(8)), error: { shape: 'even', size: owned(6) } },
        startLevel('tote', owned(0)),
      ],
      habits: [{ habit: 'tooth-cup', days: null, persons: null }],
      absences: [1, 2, 4, 5, 8, 9].flatMap((day) =>
        ['maren', 'tobin'].map((person) => ({
          person,
          part: 'midday' as const,
          days: [day, day] as [number, number],
          weekdays: null,
        })),
      ),
      guests: [],
      counted: ['shower', 'dishes'].map((activity) => ({
        activity,
        from: '2027-09-11T16:00',
        until: null,
      })),
      rules: [
        {
          rule: 'tank-gray',
          allowed: false,
          litres: null,
          source: 'Board at the ridge road',
          date: '2027-08-30',
        },
        {
          rule: 'site-toilets',
          allowed: true,
          litres: null,
          source: 'Count leader, by letter',
          date: '2027-08-30',
        },
      ],
      weather: {
        usual: owned(19),
        spread: fromSource(3, 'assumed'),
        days: [
          { day: 3, warmest: owned(24) },
          { day: 4, warmest: owned(25) },
          { day: 5, warmest: owned(24) },
        ],
        sunrise: '06:50',
        sunset: '19:30',
      },
    },
  )
  // What was done in the spring: the fresh system is due on the ridge, the seals are not.
  const done: Record<string, string> = {
    sanitize: '2027-03-12T10:00',
    seals: '2027-04-03T15:00',
    'lay-up': '2027-06-08T10:00',
  }
  for (const chore of document.rigs[0]!.chores) chore.done = done[chore.kind] ?? null
  document.stays[0]!.budget.night = 4
  return document
}
