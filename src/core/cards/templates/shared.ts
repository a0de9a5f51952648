import type { Block, StepTemplate } from '../template'

/** All that is left of a card where its waste is not taken. */
export const refused: StepTemplate = { id: 'where.refused', cautions: ['local-rule'] }

/** Only where it goes: nobody has said yet that this drain takes toilet waste. */
export const whereTo: Block = {
  when: ['!goes-on'],
  items: [
    { id: 'where.ask', when: ['ask-toilet'], cautions: ['local-rule'] },
    { id: 'where.ask-gray', when: ['!ask-toilet', 'ask-gray'], cautions: ['local-rule'] },
    {
      id: 'where.old-black',
      when: ['old-black', 'no-toilet-waste', '!ask-toilet', '!ask-gray'],
      cautions: ['local-rule'],
    },
    { id: 'where.product', when: ['rule-unknown', '!treatment=none'], cautions: ['septic'] },
  ],
}

/** The same where nothing but gray is let go. */
export const whereToGray: Block = {
  when: ['!goes-on'],
  items: [
    { id: 'where.ask', when: ['ask-toilet', 'toilet-in-gray'], cautions: ['local-rule'] },
    { id: 'where.ask-gray', when: ['ask-gray'], cautions: ['local-rule'] },
    { id: 'gray-only.ask', when: ['!ask-gray', '!toilet-in-gray'], cautions: ['local-rule'] },
    { id: 'where.old-black', when: ['old-black', 'no-toilet-waste', '!ask-gray'], cautions: ['local-rule'] },
  ],
}

/** Drinking water only where it is known to be that, or is asked for. */
export const freshFirst: StepTemplate[] = [
  { id: 'open.fresh-first', when: ['has-fresh', '!fresh-done', 'drinking-here'], acts: ['fresh-first'] },
  { id: 'open.fresh-ask', when: ['has-fresh', '!fresh-done', 'drinking-asked'], acts: ['fresh-first'] },
]

/** What opens every card with waste on it; once on a run, however many outlets it has. */
export const opening: Block = {
  stage: true,
  when: ['!goes-on'],
  items: [
    ...freshFirst,
    { id: 'open.toilet', when: ['toilet-here'], acts: ['toilet-shut'], cautions: ['gas'], isInside: true },
    { id: 'open.air', when: ['!toilet-here'], acts: ['toilet-shut'], cautions: ['gas'], isInside: true },
    { id: 'open.gloves', acts: ['gloves', 'eyes'] },
  ],
}

/** What closes it: the point left clean, dirty gloves off; then, with clean hands, what goes indoors. */
export const outsideDone: Block = {
  when: ['!leads-on'],
  items: [
    { id: 'close.point', acts: ['point-clean'] },
    { id: 'close.hands', acts: ['hands'] },
  ],
}
export const closeRead: StepTemplate = {
  id: 'close.read',
  when: ['panel'],
  acts: ['read-after'],
  mishaps: ['panel-lies'],
  isInside: true,
}
export const closing: Block = { items: [outsideDone, closeRead] }

/** Liquid and treatment for the tank of the block, carried indoors by hands that touched no waste. */
export const charging: Block = {
  items: [
    { id: 'charge.dropped', isInside: true, when: ['charge-dropped'] },
    { id: 'charge.gloves', isInside: true, when: ['goes-in'], acts: ['gloves', 'eyes'] },
    {
      id: 'charge.fresh',
      isInside: true,
      when: ['charge-some', '!charge-from-tap'],
      acts: ['move:charge'],
      shows: ['charge'],
    },
    {
      id: 'charge.tap',
      isInside: true,
      when: ['charge-some', 'charge-from-tap'],
      acts: ['move:charge'],
      shows: ['charge'],
      cautions: ['two-hoses'],
    },
    { id: 'charge.septic', isInside: true, when: ['septic', 'treats'], cautions: ['septic'] },
    { id: 'charge.nothing', isInside: true, when: ['nothing-in', 'treats'], cautions: ['septic'] },
    {
      id: 'charge.mixture',
      isInside: true,
      when: ['treats', 'treatment=household', 'own-product'],
      cautions: ['no-bleach'],
    },
    {
      each: 'product',
      when: ['treats'],
      items: [
        {
          id: 'charge.powder',
          isInside: true,
          when: ['powder'],
          acts: ['dose'],
          shows: ['dose'],
          cautions: ['eyes', 'no-mix', 'label'],
        },
        {
          id: 'charge.dose',
          isInside: true,
          when: ['!powder'],
          acts: ['dose'],
          shows: ['dose'],
          cautions: ['eyes', 'no-mix', 'label'],
        },
      ],
    },
    {
      id: 'charge.label',
      isInside: true,
      when: ['!own-product', 'treats', '!treatment=household'],
      acts: ['dose'],
      shows: ['capacity'],
      cautions: ['eyes', 'no-mix', 'label'],
    },
    {
      id: 'charge.household',
      isInside: true,
      when: ['treats', 'treatment=household', '!own-product'],
      acts: ['dose'],
      shows: ['capacity'],
      cautions: ['eyes', 'no-mix', 'no-bleach'],
    },
    { id: 'charge.hands', isInside: true, when: ['goes-in'], acts: ['hands'] },
  ],
}

const metered: Block = {
  when: ['rinse-way=metered', 'stays-there', 'rinse-inlet'],
  items: [
    { id: 'rinse.shut', acts: ['shut:tank'] },
    { id: 'rinse.look-in', when: ['two-people', 'toilet-here'], needsTwo: true, isInside: true },
    {
      id: 'rinse.meter',
      when: ['meter'],
      acts: ['water-on', 'attend'],
      shows: ['rinse-litres', 'rinse-minutes'],
      timer: 'rinse-minutes',
      cautions: ['stay'],
      mishaps: ['called-away', 'overflows'],
    },
    {
      id: 'rinse.timed',
      when: ['!meter'],
      acts: ['water-on', 'attend'],
      shows: ['rinse-litres', 'rinse-minutes'],
      timer: 'rinse-minutes',
      cautions: ['stay'],
      mishaps: ['called-away', 'overflows'],
    },
    {
      id: 'rinse.release',
      acts: ['water-off', 'open:tank'],
      shows: ['rounds', 'rounds-stop'],
      tally: 'rounds',
      mishaps: ['never-clear', 'no-flow'],
    },
  ],
}

const backFilled: Block = {
  when: ['back-fill-here'],
  items: [
    { id: 'rinse.back-shut', acts: ['back-fill', 'shut:end', 'shut:grays'] },
    {
      id: 'rinse.back-water',
      acts: ['water-on', 'attend'],
      shows: ['rinse-litres', 'rinse-minutes'],
      timer: 'rinse-minutes',
      cautions: ['stay', 'backflow'],
      mishaps: ['called-away', 'overflows'],
    },
    {
      id: 'rinse.back-release',
      acts: ['water-off', 'open:end'],
      shows: ['rounds', 'rounds-stop'],
      tally: 'rounds',
      cautions: ['valves'],
      mishaps: ['never-clear', 'no-flow'],
    },
  ],
}

/** The default, and what is done where the crew's own way cannot be: no meter and nobody who stays, or no end valve. */
const openValve: Block = {
  when: [
    'rinse-inlet',
    ['rinse-way=open', '!stays-there', 'rinse-way=back-fill'],
    ['!rinse-way=back-fill', '!end-valve', '!stays-there'],
  ],
  items: [
    {
      id: 'rinse.open',
      acts: ['water-on'],
      shows: ['rinse-minutes', 'rinse-litres'],
      timer: 'rinse-minutes',
      cautions: ['stay'],
      mishaps: ['overflows', 'called-away'],
    },
    {
      id: 'rinse.open-off',
      acts: ['water-off'],
      shows: ['rounds', 'rounds-stop'],
      tally: 'rounds',
      mishaps: ['never-clear', 'no-flow'],
    },
  ],
}

/** Somebody is inside with the water, and the hose is outside: two people, or one who goes in once. */
const noInlet: Block = {
  when: ['!rinse-inlet', ['!rinse-way=back-fill', '!end-valve', '!stays-there']],
  items: [
    {
      when: ['two-people'],
      items: [
        { id: 'rinse.watch', needsTwo: true, acts: ['attend'] },
        {
          id: 'rinse.wand',
          when: ['wand'],
          isInside: true,
          acts: ['water-on', 'water-off'],
          shows: ['rinse-minutes', 'rounds'],
          timer: 'rinse-minutes',
          cautions: ['stay'],
          mishaps: ['overflows'],
        },
        {
          id: 'rinse.buckets',
          when: ['!wand'],
          isInside: true,
          acts: ['water-on', 'water-off'],
          shows: ['bucket-size', 'rounds'],
          cautions: ['stay'],
          mishaps: ['overflows'],
        },
        { id: 'rinse.call', shows: ['rounds', 'rounds-stop'], tally: 'rounds', mishaps: ['never-clear'] },
      ],
    },
    {
      when: ['!two-people'],
      items: [
        { id: 'rinse.go-in', acts: ['hands', 'gloves'] },
        {
          id: 'rinse.wand-alone',
          when: ['wand'],
          acts: ['water-on', 'water-off'],
          shows: ['rinse-minutes', 'rounds', 'rounds-stop'],
          timer: 'rinse-minutes',
          tally: 'rounds',
          cautions: ['stay'],
          mishaps: ['overflows', 'never-clear'],
        },
        {
          id: 'rinse.buckets-alone',
          when: ['!wand'],
          acts: ['water-on', 'water-off'],
          shows: ['bucket-size', 'rounds', 'rounds-stop'],
          tally: 'rounds',
          cautions: ['stay'],
          mishaps: ['overflows', 'never-clear'],
        },
        { id: 'rinse.go-out' },
      ],
    },
  ],
}

/** On before the waste cap is touched, where something here takes a hose at all. */
export const rinseHose: StepTemplate = {
  id: 'rinse.hose',
  each: 'first-black',
  when: [['rinse-inlet', 'back-fill-here', 'wand'], 'water-here', '!goes-on'],
  acts: ['rinse-hose'],
  cautions: ['backflow', 'two-hoses'],
}
/** The same at the next outlet, where gloves were on waste. */
export const rinseHoseNext: StepTemplate = {
  ...rinseHose,
  id: 'rinse.hose-next',
  when: [['rinse-inlet', 'back-fill-here', 'wand'], 'water-here', 'goes-on'],
  acts: ['hands', 'rinse-hose', 'gloves'],
}

/** A black tank that stands open at a connected hose, rinsed in the crew's way as far as this rig and place let it. */
export const rinsing: Block = {
  items: [
    { id: 'rinse.keep-gray', when: ['gray-enough', '!with-gray'], shows: ['gray-keep'] },
    openValve,
    metered,
    backFilled,
    noInlet,
    {
      id: 'rinse.chase',
      when: ['gray-enough', '!with-gray'],
      acts: ['open:gray', 'shut:gray'],
      shows: ['pulse'],
      cautions: ['valves'],
    },
  ],
}

/** From shutting every valve to a hose that leads from the outlet to the drain. */
export const connecting: Block = {
  stage: true,
  items: [
    { id: 'dump.all-home', acts: ['shut:all'], cautions: ['valves'] },
    {
      id: 'dump.ground-first',
      when: ['first-connection=ground', '!goes-on', '!gray-hose'],
      acts: ['ground-on'],
      shows: ['hose-weight'],
      mishaps: ['jumps'],
    },
    { id: 'dump.ground-lies', when: ['gray-hose', '!goes-on'], acts: ['ground-on'], mishaps: ['jumps'] },
    {
      id: 'dump.cap',
      acts: ['cap-off'],
      shows: ['pipe'],
      cautions: ['eyes', 'open-slowly'],
      mishaps: ['too-much-in-pipe'],
    },
    { id: 'dump.rig-end', when: ['!gray-hose'], acts: ['hose-on'], mishaps: ['leaks'] },
    { id: 'dump.rig-gray', when: ['gray-hose'], acts: ['hose-on'], mishaps: ['leaks'] },
    {
      id: 'dump.ground-last',
      when: ['first-connection=rig', '!goes-on', '!gray-hose'],
      acts: ['ground-on'],
      shows: ['hose-weight'],
      mishaps: ['jumps'],
    },
    {
      id: 'dump.end-open',
      when: ['end-valve'],
      acts: ['open:end'],
      cautions: ['valves'],
      mishaps: ['leaks'],
    },
  ],
}

/** Tanks that stand open to each other on this rig do so again, behind a shut end valve and a cap that is on. */
export const standJoined: StepTemplate = {
  id: 'dump.joined',
  when: ['joined-here'],
  acts: ['open:joined'],
  cautions: ['valves'],
}

/** The hose off again, washed by the crew's way, and everything shut; where another outlet follows it stays in the drain. */
export const disconnecting: Block = {
  stage: true,
  items: [
    { id: 'dump.end-shut', when: ['end-valve'], acts: ['shut:end'] },
    { id: 'dump.rig-off', acts: ['hose-off', 'cap-on'], mishaps: ['leaks'] },
    {
      when: ['!leads-on'],
      items: [
        { id: 'dump.hose-fresh', when: ['hose-wash=fresh', 'water-here'], cautions: ['two-hoses'] },
        { id: 'dump.hose-soap', when: ['hose-wash=soap', 'water-here'], cautions: ['two-hoses'] },
        {
          id: 'dump.hose-clear',
          when: ['hose-wash=gray', '!gray-here', 'water-here'],
          cautions: ['two-hoses'],
        },
        { id: 'dump.ground-off', acts: ['ground-off'] },
      ],
    },
    { id: 'dump.home', acts: ['shut:all'] },
    standJoined,
  ],
}
