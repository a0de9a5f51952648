import type { Tags } from '@/document/places/osm'

export interface Known {
  lat: number
  lon: number
  tags: Tags
}

/** The demo world, as a directory with open tags knows it: made up, where no land is. */
export const WORLD: readonly Known[] = [
  {
    lat: 45.08993,
    lon: -37.87536,
    tags: {
      name: 'Sallow Mill station',
      amenity: 'sanitary_dump_station',
      'sanitary_dump_station:grey_water': 'yes',
      'sanitary_dump_station:black_water': 'yes',
      'sanitary_dump_station:chemical_toilet': 'yes',
      'sanitary_dump_station:septic': 'yes',
      drinking_water: 'yes',
      opening_hours: 'Apr-Oct: Mo-Fr 08:00-18:00; Apr-Oct: Sa 08:00-14:00; Su off',
      fee: 'yes',
      charge: '8',
      access: 'yes',
    },
  },
  {
    lat: 44.7347,
    lon: -38.45786,
    tags: {
      name: 'Cold Spring, free station',
      amenity: 'sanitary_dump_station',
      drinking_water: 'no',
      opening_hours: 'Mo-Su 07:00-17:00',
      fee: 'no',
      access: 'yes',
    },
  },
  {
    lat: 45.02,
    lon: -38.17,
    tags: {
      name: 'Gorse Bank camp',
      tourism: 'caravan_site',
      sanitary_dump_station: 'customers',
      'sanitary_dump_station:grey_water': 'yes',
      'sanitary_dump_station:black_water': 'yes',
      power_supply: 'yes',
      drinking_water: 'yes',
      opening_hours: 'May-Sep: 08:00-20:00',
      access: 'customers',
      charge: '24 a night',
      maxlength: '12',
      capacity: '40',
    },
  },
  {
    lat: 44.96,
    lon: -37.93,
    tags: { name: 'Heron Well', amenity: 'drinking_water', opening_hours: '24/7', fee: 'no' },
  },
  {
    lat: 45.11,
    lon: -37.84,
    tags: {
      name: 'Merrow market',
      shop: 'supermarket',
      opening_hours: 'Mo-Sa 08:00-19:00',
      access: 'yes',
    },
  },
  {
    lat: 45.13,
    lon: -37.99,
    tags: {
      name: 'Birch Gate toilets',
      amenity: 'toilets',
      opening_hours: 'sunrise-sunset',
      drinking_water: 'no',
    },
  },
  {
    lat: 44.91,
    lon: -38.05,
    tags: {
      name: 'Quarry road container',
      amenity: 'waste_disposal',
      opening_hours: 'Mo,We,Fr 09:00-16:00',
      access: 'permit',
    },
  },
]
