/** Habits: the catalogue, the search for the least bother, the two sides of the flush. */
import type { Caution } from '@/core/domain'
import { group } from '../group'

export const cautions = /* @__PURE__ */ group('cautions', {
  'stored-gray': 'Stored gray: lidded, under a day, for the toilet only.',
  'bin-not-bowl': 'Wipes and paper towels are bagged and binned, never put into a tank.',
  'hot-vessel':
    'Never heat a closed vessel for a shower, and never run a stove in a closed room: burns and carbon monoxide.',
  'land-rules': 'Only as the land manager’s written rules allow. Packing it out is always right.',
  'clear-of-water': 'Stay well clear of water and wildlife; never a storm drain or ditch.',
  mound: 'Less water on the solids: keep your water per solid use, or rinse hard at the dump.',
  'wash-hands': 'Wash your hands afterwards; that water is never saved.',
  trickle: 'A paused shower still trickles unless a full shut-off is fitted.',
  slippery: 'A basin underfoot is slippery: stand still, step out slowly.',
  'not-for-drinking':
    'Catch it in a clean vessel, keep it covered, use it the same day. For cooking, boil it. Never drink it unboiled.',
  'plain-soap':
    'Pour out only water with a little soap of a kind that breaks down. Never into a lake or a stream.',
  damp: 'Open the window and run the fan until the walls are dry: a damp wet room grows mold.',
  'sun-warm': 'Its warmth depends on the day. Feel it with your hand before it runs over you: it can scald.',
} satisfies Record<Caution, string>)

export const habits = /* @__PURE__ */ group('habits', {
  others: 'Habits that buy nothing now',
  further: 'More habits that buy days',
  andMore: (n: number) => `${n} more`,
  who: (habit: string) => `Who takes part: ${habit}`,
  title: 'Habits',
  lead: (stopper: string) => `The days each habit buys in this stay, where ${stopper} stops you.`,
  leadNone: 'The days each habit buys in this stay.',
  needs: 'Needs',
  haveIt: 'We have it',
  needsRule: (rule: string) => `Needs a rule of the land: ${rule.toLowerCase()}.`,
  needsGear: (gear: string) => `Needs ${gear}.`,
  record: 'Record the rule',
  touches: 'less liquid on the solids',
  effects: 'What it does',
  cautions: 'Mind',
  own: 'A habit of our own',
  add: 'Add a habit of our own',
  name: 'Habit',
  note: 'In a few words',
  bother: 'Bother, 0 to 5',
  addEffect: 'Add an effect',
  effect: 'Effect',
  activity: 'On',
  amount: 'Amount',
  remove: (name: string) => `Remove ${name}`,
  edit: (name: string) => `Change ${name}`,
  permission: 'Needs a rule',
  none: 'nothing',
  gear: 'Needs gear',
  kinds: {
    rate: 'fewer or more uses, ×',
    volume: 'less or more water, ×',
    replace: 'water per use becomes',
    redirect: 'this share to the ground',
  },
  missing: (n: number) => `Add ${n} from the catalogue`,
  floorField: 'Keep per solid use',
  catalogue: 'All habits, most days for the bother first',
  from: 'From',
  to: 'To',
  inPlaceOf: (name: string) => `In place of “${name}”.`,
  overLand: (most: string, allowed: string) =>
    `What you do under this rule puts ${most} on the ground in one day; the land allows ${allowed}. Carry the rest out.`,
  never: {
    daylight: 'Never in this stay: none of its hours is light for long enough.',
    warmth: 'Never in this stay: no day is warm enough.',
  },
  pushes: (container: string, days: string) => `Brings ${container} ${days} days nearer its limit.`,
  company: (alone: string, now: string, last: string) =>
    `Days to plan on: alone ${alone}, now ${now}, added last ${last}.`,
})

export const reach = /* @__PURE__ */ group('reach', {
  closed: (nights: string, plan: string | null) =>
    `${nights} planned${plan === null ? '' : `, ${plan} to plan on`}: ask which habits make them`,
  title: 'Reach your nights with the least bother',
  fewer: 'One night less',
  more: 'One night more',
  confidence: 'It must hold in',
  times: (n: string) => `${n} of 100`,
  go: 'Find the least bother',
  stop: 'Stop the search',
  working: (n: number) =>
    n === 0 ? 'Trying sets of habits on 500 trips…' : `Trying sets of habits on 500 trips: ${n} kept so far…`,
  stopped: 'Stopped. Below is what was found so far.',
  failed: 'The search failed. Try it again.',
  gone: 'The stay or its habits have changed, so the last answer is out of date. Search again.',
  found: (nights: string, bother: string, chance: string) =>
    `${nights} for a bother of ${bother} a day. On ten thousand trips it holds in ${chance}.`,
  already: (nights: string) => `${nights} hold as you live, with no habit at all.`,
  none: (nights: string, days: string, stopper: string) =>
    `Habits alone do not reach ${nights}: the best is ${days} days, ${stopper} still stops you. A run would do it.`,
  noneAtAll: (nights: string, days: string, stopper: string) =>
    `Neither habits nor one run reach ${nights}: the best of habits is ${days} days, ${stopper} still stops you.`,
  errand: (run: string, where: string, chance: string) => `${run}: ${where}. Then it holds in ${chance}.`,
  beside: (habits: string, bother: string) => `With it: ${habits}, bother ${bother} a day.`,
  errandSet: (run: string) => `Set: ${run}, with what belongs to it.`,
  days: 'Days',
  bother: 'Bother a day',
  slide: 'Slide to weigh bother against days',
  table: 'The sets as a list',
  point: (bother: string, days: string) => `Bother ${bother}: ${days} days`,
  set: (bother: string, days: string) => `Bother ${bother}, ${days} days to plan on`,
  nothing: 'No habit: live as usual.',
  isOn: '(on)',
  refuse: 'Not us',
  refuseThis: (name: string) => `${name}: not us, search without it`,
  goesOff: (names: string) => `Goes off: ${names}.`,
  held: {
    school: (now: string, other: string) => `${now} while you flush plenty; ${other} if you save there too.`,
    floor: (now: string, other: string) =>
      `${now} while you keep your floor of liquid on the solids; ${other} below it, and more rounds of rinsing.`,
    refused: (now: string, other: string) => `${now} without what is not for you; ${other} with it.`,
  },
  heldDays: (days: string) => `${days} days`,
  heldBother: (bother: string) => `a bother of ${bother}`,
  heldNone: 'not reached',
  heldTitle: 'What you ruled out',
  allowHold: { school: 'Save there too', floor: 'Go below the floor', refused: 'Allow it again' },
  keepFloor: 'Keep to the floor again',
  belowFloor: 'Sets may go below your floor of liquid on the solids.',
  take: 'Take these habits',
  taken: 'These are on',
  without: 'Left out:',
  allow: (name: string) => `${name} after all`,
})

export const flush = /* @__PURE__ */ group('flush', {
  short: (liquid: string, school: string) => `${liquid} of liquid per solid use; ${school}`,
  title: 'Plenty of flush water, or little',
  now: 'As it is now',
  school: 'You prefer',
  schools: { plenty: 'plenty every time', little: 'little, and rinse hard' },
  why: {
    plenty:
      'This is the default. You never save in the toilet, so no mound builds up and the tank rinses easily. Habits that leave less liquid are not advised.',
    little:
      'You flush as little as your floor allows, and rinse more rounds at the dump. Both answers are meant to avoid a mound.',
  },
  over: (low: string, high: string, kept: string) =>
    `${low} to ${high} of liquid on each solid use; you keep ${kept}.`,
  under: (low: string, high: string, kept: string) =>
    `▲ Only ${low} to ${high} of liquid on each solid use; you keep ${kept}.`,
  way: 'How you flush',
  liquid: 'Liquid per solid use',
  price: 'At the dump',
  rinses: (n: string) => `${n} rinses`,
  mound: (chance: string) => `a mound in ${chance}`,
  noMound: 'no mound',
  plenty: 'Plenty is',
  rinsesAtFloor: 'Rinses at the floor',
  rinsesAtPlenty: 'Rinses at plenty',
  moundAnswer: 'under your floor it mounds',
  plentyAnswer: 'plenty',
  axis: (unit: string) => `liquid per solid use, ${unit}`,
  reading:
    'The line: days until the toilet stops you, average use. The band: what eight trips in ten leave on the solids. The dot: now.',
})
