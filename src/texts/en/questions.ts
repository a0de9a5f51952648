import type { Question, QUESTIONS } from '@/core/domain'
import { plural } from '../plural'
import { group } from '../group'

interface QuestionText {
  ask: string
  /** Why the default is the default. */
  why: string
  /** What the choice changes. */
  changes: string
}
type AnswerTexts<Q extends Question> = Record<(typeof QUESTIONS)[Q][number], { name: string; reason: string }>

/** Where good practitioners disagree: both sides, with their reasons. */
export const questions = /* @__PURE__ */ group('questions', {
  title: 'Your way of doing it',
  lead: 'Experienced campers disagree here. Choose once: the numbers and the cards follow your choice.',
  isDefault: 'default',
  /** @param cards their names, listed */
  changes: (what: string, cards: string, n: number) => {
    const those = n === 0 ? '' : `the ${plural(n, 'card', 'cards')} ${cards}.`
    if (what === '') return `It changes ${those}`
    return those === '' ? `It changes ${what}` : `It changes ${what} It also changes ${those}`
  },
  why: (what: string) => `Why the default: ${what}`,
  answer: (own: number, all: number) =>
    own === 0 ? `${all} questions, all at their defaults` : `${all} questions, ${own} of them your own way`,
  numbers: 'The numbers that go with them',
  numbersAnswer: (threshold: string, rounds: string, reserve: string) =>
    `Black from ${threshold}, ${rounds} rounds of rinsing, ${reserve} for the road`,
  number: {
    smallCharge: 'A small charge',
    largeCharge: 'A large charge',
    chargeShare: 'A fifth is',
    blackThreshold: 'Black is dumped from',
    topUpTo: 'Black is topped up to',
    roadReserve: 'Fresh kept for the road',
    hoseGray: 'Gray to wash the hose',
    rinseTo: 'A round of rinsing fills',
    rinseRounds: 'Rounds of rinsing',
    hoseFlow: 'The hose gives, a minute',
  },
  groups: {
    dump: 'Dumping and rinsing',
    road: 'On the road, and leaving',
    toilet: 'The toilet',
    care: 'Treatment and care',
  },
  shut: (when: string, litres: string) =>
    `To have ${litres} for the hose at the next dump, shut gray ${when}.`,
  flush: {
    ask: 'How much flush water?',
    plenty: { name: 'Plenty every time', reason: 'Solids must float: never save in the toilet.' },
    little: {
      name: 'As little as possible',
      reason: 'Water and space are precious; rinse hard at the dump.',
    },
    why: 'A mound of solids is what both sides fear.',
    changes: 'how much a flush takes, until you put in your own.',
  },
})

export const questionTexts: Record<Question, QuestionText> = /* @__PURE__ */ group('questionTexts', {
  'valve-first': {
    ask: 'Which valve first?',
    why: 'It is short, and gray washes the hose after black.',
    changes: 'the order of the steps of a dump.',
  },
  'dump-black': {
    ask: 'When is black dumped?',
    why: 'A fuller tank empties cleaner.',
    changes: 'top-up before a dump, and when a dump is warned of.',
  },
  'gray-at-hookup': {
    ask: 'Gray valve at a hookup?',
    why: 'There is gray to wash the hose with.',
    changes: 'whether gray fills while you are at a hookup.',
  },
  paper: { ask: 'Which paper?', why: 'It falls apart and costs little.', changes: '' },
  'paper-mixed': { ask: 'Paper, all alike?', why: 'It is the simplest to keep to.', changes: '' },
  treatment: {
    ask: 'Which treatment?',
    why: 'Most are made for septic systems: the label says which, and the place has the last word.',
    changes: '',
  },
  'treatment-rhythm': { ask: 'How often is it treated?', why: 'The dose goes with the charge.', changes: '' },
  'gray-treated': {
    ask: 'Is gray treated?',
    why: 'Gray smells when it stays in the tank for days.',
    changes: '',
  },
  'rinse-way': {
    ask: 'How is the tank rinsed?',
    why: 'With the valve open, what runs in runs out again.',
    changes: '',
  },
  'rinse-when': {
    ask: 'When is the tank rinsed?',
    why: 'Residue that dries is hard to get out.',
    changes: 'water and minutes of rinsing in a run.',
  },
  'rinse-water': { ask: 'When is the rinse water on?', why: 'The tank is empty, so it rinses.', changes: '' },
  'on-the-road': {
    ask: 'Waste tanks while driving?',
    why: 'Less weight saves fuel.',
    changes: 'what stays in gray after the last dump.',
  },
  charge: {
    ask: 'Starting liquid after a dump?',
    why: 'Solids never land on a dry bottom, and little room is lost.',
    changes: 'what every emptied black tank holds at once.',
  },
  'first-connection': {
    ask: 'Which end of the hose first?',
    why: 'A hose that is fixed first spills nothing.',
    changes: '',
  },
  'hose-wash': { ask: 'What washes the waste hose?', why: 'Gray is there anyway.', changes: '' },
  'solids-aboard': { ask: 'Solids aboard?', why: 'The toilet is there for it.', changes: '' },
  'fresh-left': {
    ask: 'Fresh water left at the end?',
    why: 'Light on the road.',
    changes: 'the steps of the last dump.',
  },
  'fresh-driving': {
    ask: 'Fresh water while driving?',
    why: 'The toilet and sink work, and little weight is moved.',
    changes: 'whether the last dump drains fresh.',
  },
  'cassette-uses': {
    ask: 'What goes into the cassette?',
    why: 'It is the toilet you have.',
    changes: '',
  },
  'cassette-when': {
    ask: 'When is the cassette emptied?',
    why: 'A heavy cassette hurts your back.',
    changes: 'whether a heavy cassette is refused or only said.',
  },
  'cassette-rinse': { ask: 'How is the cassette rinsed?', why: 'Little water does it.', changes: '' },
  'cassette-flush': { ask: 'Flush water of the cassette?', why: 'Plain water is never wrong.', changes: '' },
  'cassette-dose': { ask: 'Dose for the cassette?', why: 'A measured dose fits any size.', changes: '' },
  seals: { ask: 'What goes on the seals?', why: 'Other oils spoil rubber.', changes: '' },
  'bowl-water': { ask: 'Water in the bowl?', why: 'It keeps the smell below.', changes: '' },
  bowl: { ask: 'Cleaning the bowl?', why: 'Quick and dry; binned, never flushed.', changes: '' },
  vent: { ask: 'Fan of a composting toilet?', why: 'It carries damp and smell away.', changes: '' },
  outdoors: {
    ask: 'Urine and gray outdoors?',
    why: 'Until a rule is recorded it is not allowed.',
    changes: 'no number: the rules of the land decide.',
  },
})

export const answerTexts: { [Q in Question]: AnswerTexts<Q> } = /* @__PURE__ */ group('answerTexts', {
  'valve-first': {
    black: { name: 'Black, then gray', reason: 'Gray washes the hose.' },
    'gray-pulse': { name: 'A gray pulse first', reason: 'A leak shows with gray, not with black.' },
  },
  'dump-black': {
    'two-thirds': { name: 'From two thirds', reason: 'Enough weight to carry solids out.' },
    full: { name: 'Only when full', reason: 'Fewest dumps, strongest flow.' },
    'every-move': { name: 'Before every move', reason: 'No weight, no slosh, no worry.' },
  },
  'gray-at-hookup': {
    shut: { name: 'Shut until the dump', reason: 'Gray for the hose, no flies, no smell.' },
    open: { name: 'Open', reason: 'It never fills.' },
  },
  paper: {
    thin: { name: 'Any thin single ply', reason: 'Try it in a jar: it falls apart.' },
    dissolving: { name: 'Quick-dissolving', reason: 'Made for it.' },
    any: { name: 'Any, with plenty of water', reason: 'Water does the work.' },
    none: { name: 'None in the tank', reason: 'Lidded bin: nothing to clog.' },
  },
  'paper-mixed': {
    'all-alike': { name: 'All the same way', reason: 'Nobody has to remember.' },
    'first-flushed': { name: 'First wipe flushed, rest binned', reason: 'Less paper in the tank.' },
  },
  treatment: {
    biological: { name: 'Enzymes or bacteria', reason: 'Digests, spares septic systems. Never with bleach.' },
    chemical: { name: 'Chemical', reason: 'Works in heat. Not for septic points.' },
    household: { name: 'Household mixture', reason: 'Cheap. Never bleach with acid, ammonia or urine.' },
    none: { name: 'None', reason: 'Water and a short stay are enough.' },
  },
  'treatment-rhythm': {
    emptying: { name: 'After every emptying', reason: 'With the charge.' },
    weekly: { name: 'Weekly, by the number of people', reason: 'For tanks that are seldom emptied.' },
  },
  'gray-treated': {
    standing: { name: 'Before it stays in the tank for days', reason: 'When it smells.' },
    always: { name: 'Every time', reason: 'Grease smells too.' },
    never: { name: 'Never', reason: 'It is only soap.' },
  },
  'rinse-way': {
    open: { name: 'Valve open', reason: 'Cannot overfill.' },
    metered: { name: 'Shut, metered or timed', reason: 'Fills, lifts and lets go. Never unattended.' },
    'back-fill': { name: 'Back-fill behind an end valve', reason: 'Without a rinse inlet.' },
  },
  'rinse-when': {
    'every-dump': { name: 'At every dump', reason: 'Nothing dries on.' },
    'every-move': { name: 'Before every move', reason: 'Where water and time are at hand.' },
    convenient: { name: 'When convenient', reason: 'Others wait. Rounds owed grow.' },
  },
  'rinse-water': {
    after: { name: 'After it drained', reason: 'Rinses what is left.' },
    before: { name: 'Before the valve opens', reason: 'Stirs it up.' },
    'with-gray': { name: 'While the gray runs', reason: 'Saves time.' },
  },
  'on-the-road': {
    dry: { name: 'Dry', reason: 'Light.' },
    cleaner: { name: 'Some cleaner to slosh', reason: 'The road washes the tank.' },
  },
  charge: {
    small: { name: 'A little', reason: 'Covers the floor.' },
    none: { name: 'None', reason: 'Space is precious.' },
    large: { name: 'A lot', reason: 'Solids float from the start.' },
    fifth: { name: 'A fifth of the tank', reason: 'As the makers say.' },
  },
  'first-connection': {
    ground: { name: 'The ground end', reason: 'It is held before anything comes.' },
    rig: { name: 'The rig end', reason: 'No open hose in the hand.' },
  },
  'hose-wash': {
    gray: { name: 'Gray only', reason: 'Costs no water.' },
    fresh: { name: 'Fresh after it', reason: 'Cleaner to store.' },
    soap: { name: 'Soap through it', reason: 'No smell in the locker.' },
  },
  'solids-aboard': {
    any: { name: 'Yes, as at home', reason: 'It is a toilet.' },
    never: { name: 'Never', reason: 'Nothing to mound, nothing to clog.' },
  },
  'fresh-left': {
    drained: { name: 'Drained', reason: 'Light on the road.' },
    'into-black': { name: 'Into black', reason: 'A full tank empties clean.' },
  },
  'fresh-driving': {
    reserve: { name: 'A small reserve', reason: 'Weight is fuel.' },
    full: { name: 'Full, if weight allows', reason: 'You can stop anywhere.' },
  },
  'cassette-uses': {
    all: { name: 'All uses', reason: 'Day and night.' },
    liquids: { name: 'Liquids only', reason: 'Longer, lighter, cleaner.' },
  },
  'cassette-when': {
    weight: { name: 'Early, by weight', reason: 'Your lift limit decides.' },
    light: { name: 'At the light', reason: 'Fewest walks.' },
  },
  'cassette-rinse': {
    twice: { name: 'Twice a little', reason: 'Shaken hard, little water.' },
    soaked: { name: 'Once nearly full', reason: 'Soaked and tilted: spares the float. Heavy.' },
  },
  'cassette-flush': {
    plain: { name: 'Plain', reason: 'Always where it is drawn from fresh.' },
    product: { name: 'With a rinse product', reason: 'Only in a tank of its own.' },
  },
  'cassette-dose': {
    liquid: { name: 'Liquid, measured', reason: 'Fits any size.' },
    sachet: { name: 'Sachet', reason: 'No spills.' },
  },
  seals: {
    lubricant: { name: 'The maker’s lubricant', reason: 'Made for the rubber.' },
    'olive-oil': { name: 'Plain olive oil in a pinch', reason: 'No other kitchen oil.' },
  },
  'bowl-water': {
    some: { name: 'Some, as a seal', reason: 'Keeps the smell below.' },
    none: { name: 'None', reason: 'Cassettes, and while driving.' },
  },
  bowl: {
    wipes: { name: 'Disinfecting wipes, binned', reason: 'Quick.' },
    vinegar: { name: 'Vinegar spray', reason: 'Never with bleach.' },
    brush: { name: 'Mild cleaner and brush', reason: 'As at home.' },
  },
  vent: {
    always: { name: 'Always on', reason: 'Dry and no smell.' },
    aired: { name: 'None in a dry climate', reason: 'Aired when wet, nobody inside.' },
  },
  outdoors: {
    never: { name: 'Never', reason: 'Packing out is always right.' },
    allowed: { name: 'Where the written rules allow', reason: 'Record the rule with its source first.' },
  },
})
