import type { CardTemplate, Item } from '../template'
import { standJoined } from './shared'

/** Card 10. */
export const fresh: CardTemplate = {
  kind: 'fresh',
  about: 'fresh',
  items: [
    { id: 'fresh.full', when: ['!fresh-room', '!jugs'] },
    { id: 'fresh.never', when: ['drinking-never', '!jugs', 'fresh-room'], cautions: ['potable'] },
    {
      when: [
        ['!drinking-never', 'jugs'],
        ['fresh-room', 'jugs'],
      ],
      items: [
        { id: 'fresh.hands' },
        { id: 'fresh.potable', acts: ['potable'], cautions: ['potable'] },
        { id: 'fresh.tap', acts: ['flushed'] },
      ],
    },
    {
      when: ['!jugs', 'fresh-room', '!drinking-never'],
      items: [
        { id: 'fresh.hose', cautions: ['drinking-hose'] },
        { id: 'fresh.bucket', shows: ['bucket-size', 'bucket-seconds'] },
        { id: 'fresh.see', shows: ['fill', 'fill-minutes', 'fill-kg'] },
        {
          id: 'fresh.fill',
          acts: ['fresh-in', 'attend', 'move:fill'],
          shows: ['fill', 'fill-minutes'],
          timer: 'fill-minutes',
          cautions: ['stay'],
          mishaps: ['air-lock', 'overflows'],
        },
      ],
    },
    {
      when: ['jugs'],
      items: [
        {
          id: 'fresh.jug-see',
          shows: ['jug-loads', 'jug-litres', 'jug-kg'],
          cautions: ['lift'],
          mishaps: ['heavy'],
        },
        {
          id: 'fresh.jug-pour',
          acts: ['lift', 'fresh-in', 'move:jugs', 'attend'],
          shows: ['jug-loads', 'jug-kg'],
          tally: 'jug-loads',
          cautions: ['lift', 'stay'],
          mishaps: ['heavy', 'air-lock'],
        },
      ],
    },
    {
      id: 'fresh.cap',
      when: [
        ['!drinking-never', 'jugs'],
        ['fresh-room', 'jugs'],
      ],
    },
    {
      id: 'fresh.read',
      when: ['panel', ['fresh-room', 'jugs']],
      acts: ['read-after'],
      mishaps: ['panel-lies'],
    },
  ],
}

/** Card 13. */
export const roadDay: CardTemplate = {
  kind: 'road-day',
  about: 'rig',
  items: [
    {
      each: 'fresh',
      items: [
        {
          id: 'road.drain',
          when: ['drain-fresh'],
          acts: ['move:drain'],
          shows: ['drain-fresh', 'drain-fresh-minutes', 'road-reserve'],
          timer: 'drain-fresh-minutes',
          cautions: ['local-rule'],
        },
        { id: 'road.full', when: ['!drain-fresh', 'fresh-driving=full'], shows: ['content'] },
        {
          id: 'road.low',
          when: ['!drain-fresh', 'fresh-driving=reserve'],
          shows: ['content', 'road-reserve'],
        },
      ],
    },
    { id: 'road.weight', shows: ['road-kg'] },
    { id: 'road.charge', when: ['charge-some', 'black-here'], shows: ['charge'] },
    { id: 'road.bowl-some', when: ['bowl', 'bowl-water=some', '!cassette-here'], acts: ['toilet-shut'] },
    { id: 'road.bowl', when: ['bowl', ['bowl-water=none', 'cassette-here']], acts: ['toilet-shut'] },
    { id: 'road.pump', acts: ['pump-aboard-off'] },
    { id: 'road.heater', when: ['heater'], acts: ['heater-off'] },
    { id: 'road.slosh', when: ['on-the-road=cleaner', 'black-here'] },
    { id: 'road.caps', acts: ['shut:all', 'cap-on'] },
    standJoined,
    { id: 'road.leftover', when: ['fresh-left=into-black', 'black-here'] },
    { id: 'road.jug', when: ['flush-jug'], shows: ['flush-owed'] },
  ],
}

/** What everybody aboard is told: the crew's sides in what is used every day. */
export const houseRules: Item[] = [
  { id: 'house.paper-thin', when: ['paper=thin'] },
  { id: 'house.paper-dissolving', when: ['paper=dissolving'] },
  { id: 'house.paper-any', when: ['paper=any'] },
  { id: 'house.paper-none', when: ['paper=none'] },
  { id: 'house.paper-mixed', when: ['paper-mixed=first-flushed', '!paper=none'] },
  { id: 'house.solids', when: ['solids-aboard=never'] },
  { id: 'house.liquids', when: ['cassette-uses=liquids', 'cassette-here'] },
  { id: 'house.outdoors', when: ['outdoors=allowed'], cautions: ['local-rule'] },
  { id: 'house.weekly', when: ['treatment-rhythm=weekly', '!treatment=none'] },
  { id: 'house.wipes', when: ['bowl=wipes'] },
  { id: 'house.vinegar', when: ['bowl=vinegar'], cautions: ['no-bleach'] },
  { id: 'house.brush', when: ['bowl=brush'] },
]

/** Card 14. */
export const arrival: CardTemplate = {
  kind: 'arrival',
  about: 'rig',
  items: [
    { id: 'arrival.level', cautions: ['tilt'] },
    { id: 'arrival.fresh', when: ['has-fresh'], cautions: ['potable'] },
    { id: 'arrival.shut', when: ['black-here'], acts: ['shut:all'], cautions: ['valves'] },
    { id: 'arrival.shut-gray', when: ['!black-here'], acts: ['shut:all'], cautions: ['valves'] },
    standJoined,
    { id: 'arrival.hookup', when: ['hookup'], shows: ['shut-hours'] },
    { id: 'arrival.empty', when: ['hookup'] },
    { id: 'arrival.owed', when: ['black-here'], shows: ['flush-owed'] },
    { id: 'arrival.levels', acts: ['read-before'] },
    { id: 'arrival.toilets' },
    { id: 'arrival.aboard' },
  ],
}

/** Card 15. */
export const shakedown: CardTemplate = {
  kind: 'shakedown',
  about: 'rig',
  items: [
    { id: 'count.level', cautions: ['tilt'] },
    { id: 'count.fresh', when: ['has-fresh'], cautions: ['potable'] },
    { id: 'count.waste', shows: ['known-charge'] },
    { id: 'count.shut', acts: ['shut:all'], cautions: ['valves'] },
    standJoined,
    { id: 'count.what' },
    { id: 'count.everybody' },
    { id: 'count.stop' },
  ],
}

/** A bucket and a clock: how fast a tap runs. */
export const bucketTest: CardTemplate = {
  kind: 'bucket-test',
  about: 'rig',
  items: [
    { id: 'bucket.take', shows: ['bucket-size'] },
    { id: 'bucket.open' },
    { id: 'bucket.time', acts: ['time'], shows: ['bucket-seconds'], mishaps: ['called-away'] },
    { id: 'bucket.again' },
    { id: 'bucket.write', acts: ['measure'] },
  ],
}

/** What a tank really holds, by meter or bucket. */
export const meteredFill: CardTemplate = {
  kind: 'metered-fill',
  about: 'tank',
  items: [
    { id: 'metered.empty' },
    { id: 'metered.level', cautions: ['tilt'] },
    { id: 'metered.hose', when: ['!waste-tank'], cautions: ['drinking-hose'] },
    { id: 'metered.hose-waste', when: ['waste-tank'], cautions: ['backflow', 'two-hoses'] },
    { id: 'metered.shut', acts: ['shut:all'] },
    { id: 'open.gloves', when: ['waste-tank'], acts: ['gloves', 'eyes'] },
    {
      id: 'metered.fill',
      acts: ['attend'],
      shows: ['metered-litres', 'meter-minutes'],
      timer: 'meter-minutes',
      cautions: ['stay'],
      mishaps: ['overflows', 'air-lock', 'called-away'],
    },
    { id: 'close.hands', when: ['waste-tank'], acts: ['hands'] },
    { id: 'metered.marks', when: ['panel'] },
    { id: 'metered.write', acts: ['measure'] },
  ],
}
