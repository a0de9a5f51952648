import type { CardTemplate } from '../template'
import {
  charging,
  closeRead,
  connecting,
  disconnecting,
  opening,
  outsideDone,
  rinseHose,
  rinseHoseNext,
  rinsing,
  whereTo,
  whereToGray,
} from './shared'

/** Card 1: black, rinse, gray, by the crew's sides. */
export const dump: CardTemplate = {
  kind: 'dump',
  about: 'outlet',
  items: [
    whereTo,
    // On the way, while nobody waits behind.
    {
      each: 'black',
      when: ['!others-wait'],
      items: [{ id: 'dump.top-up', when: ['under-threshold'], shows: ['content', 'threshold', 'top-up'] }],
    },
    {
      when: ['!goes-on'],
      items: [
        { id: 'dump.hookup', when: ['hookup', 'gray-at-hookup=open'], shows: ['shut-hours'] },
        { id: 'dump.hookup-kept', when: ['hookup', 'gray-at-hookup=shut'], shows: ['shut-hours'] },
        { id: 'dump.take' },
        { id: 'dump.park', cautions: ['tilt'] },
        { id: 'dump.read', when: ['panel'], acts: ['read-before'], isInside: true },
      ],
    },
    { id: 'dump.next', when: ['goes-on'], cautions: ['tilt'] },
    opening,
    { when: ['rinses'], items: [rinseHose, rinseHoseNext] },
    connecting,
    {
      stage: true,
      items: [
        {
          id: 'dump.pulse',
          each: 'first-gray',
          when: ['valve-first=gray-pulse', 'black-here'],
          acts: ['open:tank', 'move:take', 'shut:tank'],
          shows: ['pulse'],
          timer: 'pulse',
          cautions: ['valves'],
          mishaps: ['leaks', 'jumps'],
        },
        {
          id: 'dump.crack',
          each: 'first-black',
          when: ['!gray-here'],
          acts: ['open:tank'],
          mishaps: ['leaks'],
        },
        {
          each: 'black',
          items: [
            {
              id: 'dump.rinse-before',
              when: ['rinse-now', 'rinse-water=before', 'rinse-inlet', 'rinse-way=open'],
              acts: ['attend'],
              cautions: ['stay'],
            },
            {
              id: 'dump.black',
              acts: ['open:tank', 'move:empty'],
              shows: ['drain'],
              timer: 'drain',
              cautions: ['never-poke'],
              mishaps: ['no-flow', 'jumps', 'leaks'],
            },
            {
              id: 'dump.queue',
              when: ['others-wait', 'water-here'],
              acts: ['water-on', 'water-off', 'owe-rinse'],
              shows: ['queue-low', 'queue-high'],
              cautions: ['stay'],
              mishaps: ['overflows'],
            },
            { id: 'dump.no-water', when: ['!water-here'], acts: ['owe-rinse'] },
            { when: ['rinse-now', '!with-gray'], items: [rinsing] },
            {
              id: 'dump.black-shut',
              when: [['!rinse-now', '!with-gray']],
              acts: ['shut:tank'],
            },
          ],
        },
        {
          each: 'gray',
          items: [
            {
              id: 'dump.gray',
              when: ['black-here'],
              acts: ['open:tank', 'move:empty'],
              shows: ['drain'],
              timer: 'drain',
              mishaps: ['no-flow', 'leaks'],
            },
          ],
        },
        {
          each: 'black',
          when: ['rinse-now', 'with-gray'],
          items: [rinsing, { id: 'dump.black-shut-last', acts: ['shut:tank'] }],
        },
        { id: 'dump.gray-shut', each: 'gray', acts: ['shut:tank'] },
      ],
    },
    disconnecting,
    {
      stage: true,
      items: [
        outsideDone,
        {
          when: ['!leads-on'],
          items: [
            { each: 'black', items: [charging] },
            { each: 'gray', when: ['gray-treated=always'], items: [charging] },
            closeRead,
          ],
        },
      ],
    },
  ],
}

/** Card 2: a tank that is nearly empty does not rinse itself. */
export const topUp: CardTemplate = {
  kind: 'top-up',
  about: 'black',
  items: [
    { id: 'top-up.see', shows: ['content', 'content-high', 'top-up-level', 'top-up'] },
    { id: 'top-up.no-room', when: ['top-up-cut'], shows: ['content-high', 'limit'] },
    {
      id: 'top-up.fresh',
      when: ['top-up-fresh'],
      acts: ['move:top-up', 'attend'],
      shows: ['top-up-fresh', 'top-up-fresh-minutes', 'road-reserve'],
      timer: 'top-up-fresh-minutes',
      cautions: ['stay'],
      mishaps: ['overflows', 'called-away'],
    },
    { id: 'top-up.leftover', when: ['leftover'], acts: ['move:transfer'], shows: ['leftover'] },
    { id: 'top-up.gloves', when: ['top-up-hose'], acts: ['gloves', 'eyes'] },
    {
      id: 'top-up.hose',
      when: ['top-up-hose'],
      acts: ['rinse-hose', 'water-on', 'attend', 'water-off'],
      shows: ['top-up-hose', 'top-up-hose-minutes', 'content-high', 'limit'],
      timer: 'top-up-hose-minutes',
      cautions: ['stay', 'backflow', 'two-hoses'],
      mishaps: ['overflows', 'called-away'],
    },
    { id: 'close.hands', when: ['top-up-hose'], acts: ['hands'] },
    { id: 'top-up.weight', when: ['top-up-adds'], shows: ['top-up-kg'] },
    { id: 'top-up.read', when: ['panel'], acts: ['read-after'] },
  ],
}

/** Card 3 by itself: a rinse that was owed, or put off. */
export const rinse: CardTemplate = {
  kind: 'rinse',
  about: 'black',
  items: [
    whereTo,
    opening,
    { id: 'rinse.see', shows: ['rounds', 'rinse-litres', 'rinse-minutes'] },
    rinseHose,
    connecting,
    {
      stage: true,
      items: [
        {
          id: 'rinse.begin',
          acts: ['open:tank', 'move:empty'],
          shows: ['drain'],
          timer: 'drain',
          cautions: ['never-poke'],
          mishaps: ['no-flow', 'leaks'],
        },
        { when: ['water-here'], items: [rinsing] },
        { id: 'dump.no-water', when: ['!water-here'], acts: ['owe-rinse'] },
        { id: 'rinse.end', acts: ['shut:tank'] },
      ],
    },
    disconnecting,
    {
      stage: true,
      items: [outsideDone, charging, closeRead],
    },
  ],
}

/** Card 4 by itself. */
export const charge: CardTemplate = {
  kind: 'charge',
  about: 'waste',
  items: [
    { id: 'charge.none', when: ['!goes-in', '!charge-dropped'] },
    { id: 'charge.see', when: ['charge-some'], shows: ['charge'] },
    charging,
    {
      id: 'charge.stock',
      each: 'product',
      when: ['treats', '!treatment=household'],
      shows: ['stock-left'],
    },
  ],
}

/** Card 5. */
export const grayToBlackCard: CardTemplate = {
  kind: 'gray-to-black',
  about: 'outlet',
  items: [
    { id: 'over.level', cautions: ['tilt'] },
    { id: 'over.read', when: ['panel'], acts: ['read-before'], mishaps: ['level-wrong'] },
    // Where the sum refuses nothing is opened, and no glove is put on.
    { id: 'over.refused', when: ['!runs-over'], mishaps: ['level-wrong'] },
    { id: 'open.toilet', when: ['runs-over'], acts: ['toilet-shut'], cautions: ['gas'] },
    { id: 'open.gloves', when: ['runs-over'], acts: ['gloves', 'eyes'] },
    { id: 'over.end', when: ['runs-over'], acts: ['shut:all', 'cap-on'], cautions: ['valves'] },
    { id: 'over.gray-open', when: ['runs-over'], acts: ['open:gray'], cautions: ['black-first'] },
    {
      id: 'over.black-open',
      when: ['heights', 'runs-over'],
      acts: ['open:black', 'move:head'],
      shows: ['head-litres', 'head-seconds'],
      timer: 'head-seconds',
      cautions: ['black-first', 'stay'],
      mishaps: ['level-wrong', 'overflows'],
    },
    {
      id: 'over.pulse',
      when: ['!heights', 'runs-over'],
      acts: ['open:black'],
      shows: ['pulse'],
      timer: 'pulse',
      cautions: ['black-first', 'stay'],
      mishaps: ['level-wrong', 'overflows'],
    },
    { id: 'over.black-shut', when: ['runs-over'], acts: ['shut:black'] },
    { id: 'over.gray-shut', when: ['runs-over'], acts: ['shut:gray'] },
    { id: 'over.again', when: ['runs-over'], mishaps: ['level-wrong'] },
    { id: 'close.hands', when: ['runs-over'], acts: ['hands'] },
    { ...closeRead, when: ['panel', 'runs-over'] },
  ],
}

/** Card 6. */
export const grayOnly: CardTemplate = {
  kind: 'gray-only',
  about: 'outlet',
  items: [
    whereToGray,
    { id: 'dump.read', when: ['panel', '!goes-on'], acts: ['read-before'] },
    { id: 'dump.next', when: ['goes-on'], cautions: ['tilt'] },
    opening,
    connecting,
    {
      stage: true,
      each: 'gray',
      items: [
        {
          id: 'gray-only.open',
          acts: ['open:tank', 'move:empty'],
          shows: ['drain'],
          timer: 'drain',
          mishaps: ['no-flow', 'jumps', 'leaks'],
        },
        { id: 'dump.gray-shut', acts: ['shut:tank'] },
      ],
    },
    disconnecting,
    {
      stage: true,
      items: [
        outsideDone,
        {
          when: ['!leads-on'],
          items: [{ each: 'gray', when: ['gray-treated=always'], items: [charging] }, closeRead],
        },
      ],
    },
  ],
}

/** Card 12. */
export const macerator: CardTemplate = {
  kind: 'macerator',
  about: 'outlet',
  items: [
    whereTo,
    { id: 'pump.reach', shows: ['reach', 'pump-head'] },
    { id: 'dump.read', when: ['panel'], acts: ['read-before'] },
    opening,
    {
      stage: true,
      items: [
        { id: 'dump.all-home', acts: ['shut:all'], cautions: ['valves'] },
        {
          id: 'dump.cap',
          acts: ['cap-off'],
          shows: ['pipe'],
          cautions: ['eyes', 'open-slowly'],
          mishaps: ['too-much-in-pipe'],
        },
        { id: 'pump.on-rig', acts: ['hose-on'], mishaps: ['leaks'] },
        { id: 'pump.fixed', acts: ['ground-on', 'hose-fixed'], shows: ['hose-weight'], mishaps: ['jumps'] },
        {
          id: 'dump.end-open',
          when: ['end-valve'],
          acts: ['open:end'],
          cautions: ['valves'],
          mishaps: ['leaks'],
        },
      ],
    },
    {
      stage: true,
      items: [
        {
          each: 'black',
          items: [
            {
              id: 'pump.black',
              acts: ['open:tank', 'pump-on', 'attend', 'move:empty', 'pump-off'],
              shows: ['content'],
              cautions: ['stay'],
              mishaps: ['races', 'pump-leaks'],
            },
            { id: 'dump.black-shut', acts: ['shut:tank'] },
          ],
        },
        {
          each: 'gray',
          items: [
            {
              id: 'pump.gray',
              acts: ['open:tank', 'pump-on', 'attend', 'move:empty', 'pump-off'],
              shows: ['content'],
              cautions: ['stay'],
              mishaps: ['races', 'pump-leaks'],
            },
            { id: 'dump.gray-shut', acts: ['shut:tank'] },
          ],
        },
        { id: 'pump.clear', cautions: ['stay'], mishaps: ['races'] },
      ],
    },
    disconnecting,
    {
      stage: true,
      items: [outsideDone, { each: 'black', items: [charging] }, closeRead],
    },
  ],
}
