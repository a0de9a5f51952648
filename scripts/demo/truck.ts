import type { Document } from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'
import { assumedCrew, bareSite, newContainer, newFixture, newPlace, startLevel } from '@/document/starters'
import { activitiesOf, demoOf, rolesOf } from './pieces'

/** The long-stay truck of the demo world: a diverting toilet, and the old black tank joined to gray as a second gray. */
export function truckDemo(): Document {
  const jug = newContainer('urine', 'truck-urine', 'Urine jug', 10)
  const toilet = newFixture('truck-toilet', 'Diverting toilet', null, 'truck-urine')
  return demoOf(
    {
      id: 'truck',
      name: 'Long-stay truck',
      containers: [
        newContainer('fresh', 'truck-fresh', 'Fresh', 300),
        newContainer('gray', 'truck-gray', 'Gray', 150),
        newContainer('black', 'truck-old-black', 'Old black tank', 95),
        { ...jug, ...(jug.kind === 'urine' ? { spares: 2 } : {}) },
        newContainer('solids', 'truck-solids', 'Solids bin', 55),
        newContainer('jug', 'truck-jug', 'Water jug', 20),
      ],
      fixtures: [
        newFixture('truck-sink', 'Kitchen sink', 'truck-fresh', 'truck-gray'),
        newFixture('truck-basin', 'Basin', 'truck-fresh', 'truck-gray'),
        newFixture('truck-shower', 'Shower', 'truck-fresh', 'truck-gray'),
        { ...toilet, solids: 'truck-solids', waterFactor: owned(0) },
      ],
      roles: rolesOf({
        kitchen: 'truck-sink',
        basin: 'truck-basin',
        shower: 'truck-shower',
        toilet: 'truck-toilet',
      }),
      outlets: [
        {
          id: 'truck-outlet',
          name: 'Outlet',
          containers: ['truck-gray', 'truck-old-black'],
          endValve: true,
          rinses: null,
          side: 'right',
          handle: 'turn',
          bore: owned(0.076),
          joined: ['truck-gray', 'truck-old-black'],
        },
      ],
      heater: null,
      gear: ['shut-off-head', 'outdoor-shower', 'lidded-bin', 'lidded-pail'],
      payload: { limit: owned(1500), other: owned(700) },
      size: { height: owned(3.4), length: owned(8.2) },
      cards: [],
      chores: [],
    },
    {
      ...assumedCrew(),
      id: 'truck-crew',
      name: 'Oona, alone with the scopes',
      persons: [{ id: 'oona', name: 'Oona', rates: [] }],
      activities: activitiesOf(
        {
          shower: { rate: 0.5, volume: 9 },
          dishes: { rate: 1, volume: 3 },
          cooking: { rate: 2 },
          'liquid-use': { rate: 6 },
        },
        { pet: false, laundry: true },
      ),
    },
    {
      id: 'ridge-season',
      name: 'The whole season on the ridge',
      rig: 'truck',
      crew: 'truck-crew',
      start: '2027-09-18T12:00',
      leaveAt: '2027-10-16T11:00',
      ...bareSite(),
      site: { ...bareSite().site, position: { lat: 45, lon: -38 } },
      places: [
        {
          ...newPlace('larch-yard', 'Larch yard'),
          accepts: ['urine', 'solids', 'gray'],
          water: 'potable',
          rule: 'any',
          flow: owned(15),
          position: { lat: 45.061, lon: -38.09 },
          opening: 'Mo-Fr 09:00-17:00; Sa "by appointment"',
          access: 'customers',
          fee: owned(5),
        },
      ],
      horizonDays: fromSource(60, 'rule-of-thumb'),
      confidence: fromSource(0.9, 'rule-of-thumb'),
      levels: [
        startLevel('truck-fresh', owned(300)),
        startLevel('truck-gray', owned(0)),
        startLevel('truck-old-black', owned(0)),
        startLevel('truck-urine', owned(0)),
        startLevel('truck-solids', owned(6)),
        startLevel('truck-jug', owned(20)),
      ],
      habits: [{ habit: 'full-shut-off', days: null, persons: null }],
      absences: [],
      guests: [],
      counted: [],
      rules: [
        {
          rule: 'washing-water',
          allowed: true,
          litres: null,
          source: 'Ridge warden, in writing',
          date: '2027-09-01',
        },
        {
          rule: 'urine',
          allowed: false,
          litres: null,
          source: 'Ridge warden, in writing',
          date: '2027-09-01',
        },
      ],
      weather: {
        usual: owned(20),
        spread: fromSource(3, 'assumed'),
        days: [],
        sunrise: '06:35',
        sunset: '20:05',
      },
    },
  )
}
