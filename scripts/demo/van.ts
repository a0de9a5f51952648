import type { Document } from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'
import { assumedCrew, bareSite, newContainer, newFixture, newPlace, startLevel } from '@/document/starters'
import { activitiesOf, demoOf, rolesOf } from './pieces'

/** The two-person van of the demo world: a cassette with a spare and its own flush water, gray and toilet unconnected. */
export function vanDemo(): Document {
  const cassette = newContainer('cassette', 'van-cassette', 'Cassette', 17)
  return demoOf(
    {
      id: 'van',
      name: 'Two-person van',
      containers: [
        newContainer('fresh', 'van-fresh', 'Fresh', 95),
        newContainer('flush', 'van-flush', 'Flush water', 14),
        newContainer('gray', 'van-gray', 'Gray', 85),
        { ...cassette, ...(cassette.kind === 'cassette' ? { spares: 1, light: owned(13) } : {}) },
      ],
      fixtures: [
        newFixture('van-sink', 'Kitchen sink', 'van-fresh', 'van-gray'),
        newFixture('van-basin', 'Wash basin', 'van-fresh', 'van-gray'),
        newFixture('van-shower', 'Shower', 'van-fresh', 'van-gray'),
        newFixture('van-toilet', 'Toilet', 'van-flush', 'van-cassette'),
      ],
      roles: rolesOf({ kitchen: 'van-sink', basin: 'van-basin', shower: 'van-shower', toilet: 'van-toilet' }),
      outlets: [
        {
          id: 'van-drain',
          name: 'Gray drain',
          containers: ['van-gray'],
          endValve: false,
          rinses: null,
          side: 'under',
          handle: 'turn',
          bore: owned(0.04),
          joined: [],
        },
      ],
      heater: { volume: owned(10), supply: 'van-fresh', counted: true },
      gear: ['shut-off-head', 'run-up-jug'],
      payload: { limit: owned(420), other: owned(260) },
      size: { height: owned(2.7), length: owned(5.9) },
      cards: [],
      chores: [],
    },
    {
      ...assumedCrew(),
      products: [
        {
          id: 'brook-sachet',
          name: 'Brookleaf sachets',
          form: 'sachet',
          for: ['cassette'],
          dose: owned(1),
          per: 'each',
          perLitres: owned(20),
          stock: owned(9),
        },
      ],
      id: 'van-crew',
      name: 'Ilse and Bram',
      persons: [
        { id: 'ilse', name: 'Ilse', rates: [] },
        { id: 'bram', name: 'Bram', rates: [] },
      ],
      activities: activitiesOf(
        {
          shower: { rate: 0.4 },
          'hand-wash': { volume: 0.25 },
          dishes: { rate: 1.5, volume: 3.5 },
          'liquid-use': { rate: 5.5, volume: 0.2 },
          'solid-use': { rate: 1, volume: 0.6 },
        },
        { pet: false, laundry: false },
      ).map((activity) =>
        activity.id === 'shower'
          ? {
              ...activity,
              timed: {
                flow: owned(5),
                on: owned(1.4),
                trickle: owned(0.2),
                paused: owned(2),
                runUp: owned(0.8),
              },
            }
          : activity,
      ),
    },
    {
      id: 'low-meadow',
      name: 'Low Meadow, four nights',
      rig: 'van',
      crew: 'van-crew',
      start: '2027-09-04T15:00',
      leaveAt: '2027-09-08T11:00',
      ...bareSite(),
      places: [
        {
          ...newPlace('meadow-gate', 'Meadow gate point'),
          accepts: ['cassette', 'gray'],
          water: 'potable',
          rule: 'any',
          flow: owned(9),
          opening: 'Mo-Su 07:00-21:00',
          access: 'guests',
          fee: owned(0),
          queue: owned(0),
        },
        newPlace('brook-tap', 'Brook tap'),
      ],
      horizonDays: fromSource(60, 'rule-of-thumb'),
      confidence: fromSource(0.9, 'rule-of-thumb'),
      levels: [
        startLevel('van-fresh', owned(95)),
        startLevel('van-flush', owned(14)),
        startLevel('van-gray', owned(0)),
        startLevel('van-cassette', owned(0.5)),
      ],
      habits: [],
      absences: [],
      guests: [],
      counted: ['shower', 'dishes', 'liquid-use', 'solid-use'].map((activity) => ({
        activity,
        from: '2027-09-04T15:00',
        until: null,
      })),
      rules: [
        {
          rule: 'site-toilets',
          allowed: true,
          litres: null,
          source: 'Sign at the meadow gate',
          date: '2027-08-21',
        },
      ],
      weather: {
        usual: owned(18),
        spread: fromSource(3, 'assumed'),
        days: [{ day: 1, warmest: owned(27) }],
        sunrise: '06:55',
        sunset: '19:20',
      },
    },
  )
}
