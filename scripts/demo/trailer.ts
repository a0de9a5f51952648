import type { Activity, Document } from '@/core/model'
import { owned } from '@/core/quantities'
import { starterActivities, starterHabits } from '@/document/starters'
import { starters } from '@/texts/en/starters'
import { fresh, waste } from './pieces'

/** What this crew does differently from the starting points, after a shakedown at home. */
const OWN: Record<string, { rate?: number; volume?: number }> = {
  shower: { rate: 0.4, volume: 10.5 },
  'hand-wash': { rate: 6, volume: 0.3 },
  teeth: { volume: 0.25 },
  dishes: { volume: 4.5 },
  cooking: { rate: 3, volume: 0.9 },
  'liquid-use': { rate: 5, volume: 0.4 },
  'solid-use': { rate: 1, volume: 1.6 },
  cleaning: { rate: 1, volume: 1 },
}

function ownNumbers(activity: Activity): Activity {
  const own = OWN[activity.id]
  if (!own) return activity
  return {
    ...activity,
    ...(own.rate === undefined ? {} : { rate: owned(own.rate) }),
    ...(own.volume === undefined ? {} : { volume: owned(own.volume) }),
  }
}

/** The family trailer of the demo world: twelve nights at the autumn raptor count on Harrow Ridge. */
export function trailerDemo(): Document {
  return {
    format: 'dry-count/document',
    version: 1,
    currentStay: 'harrow-ridge',
    rigs: [
      {
        id: 'trailer',
        name: 'Family trailer',
        containers: [
          fresh('fresh', 'Fresh', 340, 12),
          waste('gray', 'gray', 'Gray', 210),
          waste('black', 'black', 'Black', 130),
        ],
        fixtures: [
          { id: 'kitchen-sink', name: 'Kitchen sink', draws: 'fresh', drains: 'gray' },
          { id: 'bath-basin', name: 'Bathroom basin', draws: 'fresh', drains: 'gray' },
          { id: 'bath-shower', name: 'Shower', draws: 'fresh', drains: 'gray' },
          { id: 'toilet', name: 'Toilet', draws: 'fresh', drains: 'black' },
        ],
        roles: [
          { role: 'kitchen', fixture: 'kitchen-sink', share: owned(1) },
          { role: 'basin', fixture: 'bath-basin', share: owned(1) },
          { role: 'shower', fixture: 'bath-shower', share: owned(1) },
          { role: 'toilet', fixture: 'toilet', share: owned(1) },
        ],
      },
    ],
    crews: [
      {
        id: 'crew',
        name: 'Maren, Tobin, Wren and the dog',
        persons: [
          { id: 'maren', name: 'Maren', rates: [] },
          { id: 'tobin', name: 'Tobin', rates: [] },
          { id: 'wren', name: 'Wren', rates: [{ activity: 'shower', rate: owned(0.6) }] },
        ],
        activities: starterActivities(starters, { pet: true, laundry: false }).map(ownNumbers),
      },
    ],
    habits: starterHabits(starters),
    stays: [
      {
        id: 'harrow-ridge',
        name: 'Harrow Ridge raptor count',
        rig: 'trailer',
        crew: 'crew',
        start: '2027-09-11T16:00',
        leaveAt: '2027-09-23T11:00',
        horizonDays: { value: 60, by: 'default', source: 'rule-of-thumb' },
        levels: [
          { container: 'fresh', level: owned(340) },
          { container: 'gray', level: owned(3) },
          { container: 'black', level: owned(8) },
        ],
        habits: [{ habit: 'tooth-cup', days: null }],
        absences: [1, 2, 4, 5, 8, 9].flatMap((day) => [
          { person: 'maren', day, part: 'midday' as const },
          { person: 'tobin', day, part: 'midday' as const },
        ]),
      },
    ],
  }
}
