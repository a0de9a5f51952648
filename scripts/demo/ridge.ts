import type { Place, Position } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newPlace } from '@/document/starters'

/** The demo world lies where no land is. */
export const HARROW_RIDGE: Position = { lat: 45, lon: -38 }

/** So many km east and north of the ridge, as the crow flies. */
function off(east: number, north: number): Position {
  const KM_PER_DEGREE = 111.195
  const round = (degrees: number) => Math.round(degrees * 1e5) / 1e5
  const { lat, lon } = HARROW_RIDGE
  return {
    lat: round(lat + north / KM_PER_DEGREE),
    lon: round(lon + east / (KM_PER_DEGREE * Math.cos((lat * Math.PI) / 180))),
  }
}

/** What lies about Harrow Ridge: the near station keeps Sundays, the free one is far, and the market is on the way. */
export function ridgePlaces(): Place[] {
  return [
    {
      ...newPlace('sallow-mill', 'Sallow Mill station'),
      accepts: ['gray', 'black', 'cassette'],
      water: 'potable',
      rule: 'septic-safe',
      flow: owned(12),
      position: off(9.8, 10),
      opening: 'Apr-Oct: Mo-Fr 08:00-18:00; Apr-Oct: Sa 08:00-14:00; Su off',
      access: 'all',
      fee: owned(8),
      approach: 'left',
      queue: owned(15),
      verified: '2027-08-28',
    },
    {
      ...newPlace('tern-hollow', 'Tern Hollow, free drain'),
      accepts: ['gray'],
      water: 'not-potable',
      position: off(-16.7, 11.1),
      opening: 'Mo-Sa sunrise-sunset',
      access: 'all',
      fee: owned(0),
      maxLength: owned(9),
    },
    {
      ...newPlace('cold-spring', 'Cold Spring, free station'),
      accepts: ['gray', 'black', 'cassette', 'solids'],
      water: 'not-potable',
      rule: 'any',
      position: off(-36, -29.5),
      opening: 'Mo-Su 07:00-17:00',
      access: 'all',
      fee: owned(0),
      queue: owned(5),
      verified: '2027-07-02',
    },
    {
      ...newPlace('pass-tap', 'Tap at the pass'),
      accepts: [],
      water: 'potable',
      rule: 'nothing',
      flow: owned(8),
      position: off(3.2, -3.3),
      opening: '24/7',
      access: 'all',
      fee: owned(0),
    },
    {
      ...newPlace('merrow-market', 'Merrow market'),
      accepts: [],
      water: 'none',
      position: off(11.6, 11.2),
      opening: 'Mo-Sa 08:00-19:00',
      access: 'all',
      offers: ['groceries', 'fuel', 'laundry'],
    },
    {
      ...newPlace('fenmoor', 'Home at Fenmoor'),
      accepts: ['gray', 'black', 'cassette', 'urine', 'solids'],
      water: 'potable',
      rule: 'any',
      isHome: true,
      position: off(62, 66),
      opening: '24/7',
      access: 'all',
      fee: owned(0),
      queue: owned(0),
      note: 'Cleanout by the shed; town code, section on private sewers, read in May.',
    },
  ]
}
