/** What the cards themselves say besides their steps: names, cautions, mishaps, laws, where numbers come from. */
import type {
  CardCaution,
  Law,
  QuantityId,
  QuantityUnit,
  SafeStep,
  Term,
  Thing,
  WhyTerm,
  Mishap,
} from '@/core/cards'
import type { CardKind, PlaceRule } from '@/core/domain'
import { plural } from '../plural'
import { group } from '../group'

export const cardNames = /* @__PURE__ */ group('cardNames', {
  dump: 'Dump',
  'top-up': 'Top up before a dump',
  rinse: 'Rinse',
  charge: 'Charge and treat',
  'gray-to-black': 'Gray to black',
  'gray-only': 'Gray only',
  cassette: 'Cassette',
  urine: 'Urine jug',
  solids: 'Solids and medium',
  fresh: 'Fresh water',
  tote: 'Tote',
  macerator: 'Macerator',
  'road-day': 'Road day',
  arrival: 'Arrival',
  aboard: 'Aboard',
  shakedown: 'Shakedown start',
  sanitize: 'Sanitize the fresh system',
  'lay-up': 'Lay up',
  frost: 'Frost',
  probes: 'Probes',
  seals: 'Seals',
  'bucket-test': 'Bucket test',
  'metered-fill': 'Metered fill',
  'by-hand': 'By hand',
} satisfies Record<CardKind, string>)

export const cardFor = /* @__PURE__ */ group('cardFor', {
  dump: 'Black, a rinse, then gray',
  'top-up': 'A tank that is nearly empty does not empty cleanly',
  rinse: 'A rinse that was owed or put off',
  charge: 'Water and treatment after an emptying',
  'gray-to-black': 'Room in gray, without going anywhere',
  'gray-only': 'A drain that takes gray and nothing else',
  cassette: 'Out, poured, rinsed, back',
  urine: 'Every day to three days',
  solids: 'Every few weeks',
  fresh: 'Tap, hose or jugs',
  tote: 'Carry it, and stay parked',
  macerator: 'Pump it uphill or far',
  'road-day': 'Before you drive',
  arrival: 'When you have parked',
  aboard: 'What everybody aboard should know; to hang up',
  shakedown: 'Count at a hookup what each use costs you',
  sanitize: 'Before the season, and after long disuse',
  'lay-up': 'Between trips',
  frost: 'A night below freezing',
  probes: 'A panel that says full and is not',
  seals: 'Keeps water in the bowl and the smell out',
  'bucket-test': 'How fast does this tap run?',
  'metered-fill': 'How much does this tank hold?',
  'by-hand': 'What else this run moves',
} satisfies Record<CardKind, string>)

export const cardCautions = /* @__PURE__ */ group('cardCautions', {
  gas: 'Gas from an open tank can burn. In a closed room it is poisonous.',
  eyes: 'Cover your eyes.',
  valves: 'A valve that looks shut may not be. Push it, and look.',
  stay: 'Stay here until it is off.',
  backflow: 'Never rinse without a vacuum breaker: waste must not be sucked back into a tap.',
  'two-hoses': 'Never use the drinking hose here. Never put this hose on the fresh inlet.',
  'no-mix': 'Never mix bleach with urine, ammonia, acid or another cleaner.',
  'no-bleach': 'No bleach, no acid, no ammonia.',
  lift: 'Lift with your legs. More than you can lift safely needs wheels or two people.',
  potable: 'A tap at a dump station is not drinking water unless it is marked as that.',
  'never-poke': 'Never poke into a valve. Shut it, put water in, let it soak.',
  tilt: 'A rig that is not level reads wrong and drains wrong.',
  'local-rule':
    'Only where the local written rule allows it. Never into a ditch, a storm drain or near water.',
  'not-compost': 'Weeks do not kill everything in it. It is not compost.',
  'open-bed': 'On an open bed, strapped down, never with people.',
  'walking-pace': 'Walking pace. Cap and vent are shut.',
  'vent-room': 'Nobody inside, a window open.',
  'no-flame': 'Never a flame near a tank.',
  antifreeze: 'It is non-toxic and made for drinking-water lines.',
  label: 'The label comes before this card.',
  'drinking-hose': 'Only the drinking hose, and never one that was near waste.',
  'open-slowly': 'Slowly: what is behind the cap comes out at you.',
  'black-first': 'Shut black first.',
  'button-last': 'Spout first, then the button. The other way around it comes out at you.',
  septic: 'The wrong product harms a septic tank. Ask.',
} satisfies Record<CardCaution, string>)

const SPILL = 'Clean up what fell with gloves, paper, water and soap. Tell the host.'

export const mishaps = /* @__PURE__ */ group('mishaps', {
  leaks: {
    ask: 'It leaks',
    do: [
      'Shut the tank valve, then the end valve.',
      'Lift the hose, and let it run empty into the drain.',
      'Look at the gasket, and put it in again. Replace a split hose; do not mend it.',
      'Rinse what fell into the drain. Tell the host.',
    ],
  },
  'no-flow': {
    ask: 'It will not drain',
    do: [
      'Shut the valve. Never poke.',
      'Is there room in the tank? Then put a large jug of water in. No room? Leave it as it is.',
      'Let it soak for an hour, or drive with it.',
      'Open it again. Still nothing? Ask a workshop.',
    ],
  },
  'tote-leaks': {
    ask: 'It leaks',
    do: [
      'Shut the tank valve, then the end valve.',
      'Lift the hose, and let it drain into the tote.',
      'Look at the gasket, and put it in again. Replace a split hose; do not mend it.',
      SPILL,
    ],
  },
  'tote-jumps': {
    ask: 'The hose jumps',
    do: ['Shut the tote.', 'Put a weight or a foot on the hose.', 'Open the tote again, halfway.'],
  },
  'tote-overflows': {
    ask: 'The tote is full too soon',
    do: [
      'Shut the tank valve, then the end valve.',
      'Lift the hose. Let it drain into the tote only if there is room.',
      SPILL,
      'This load is smaller than expected. Tow it, then go on.',
    ],
  },
  'pump-leaks': {
    ask: 'It leaks',
    do: [
      'Pump off, power off.',
      'Shut the tank valve, then the end valve.',
      'Lift the hose, and let it run empty. Look at the clamp and the gasket.',
      SPILL,
    ],
  },
  jumps: {
    ask: 'The hose jumps',
    do: ['Shut the tank valve.', 'Put a weight or a foot on the hose.', 'Open the valve again, halfway.'],
  },
  overflows: {
    ask: 'It overflows',
    do: [
      'Tap off.',
      'Open the tank valve, if the hose is on and leads to the drain.',
      'Nobody uses the toilet. Keep children and pets away.',
      'Clean up with gloves and paper, then water and soap. No bleach.',
    ],
  },
  stuck: {
    ask: 'It sticks',
    do: [
      'Do not force it.',
      'Is the blade open? Shut it from inside.',
      'Push it back in, and pull again, straight.',
    ],
  },
  'too-much-in-pipe': {
    ask: 'More comes out',
    do: [
      'Put the cap back on, now.',
      'Push every valve fully shut once more.',
      'Does one stay open? Put the hose on first, and dump by that valve alone.',
    ],
  },
  'never-clear': {
    ask: 'It never runs clear',
    do: [
      'Two rounds more than usual are enough.',
      'Put water in, shut it, and drive on with it.',
      'Rinse it again at the next place: a rinse is owed.',
    ],
  },
  'air-lock': {
    ask: 'It spits back early',
    do: [
      'Tap off, wait a minute: air is in the way.',
      'Put the hose a hand deep in, not deeper.',
      'Go slower.',
    ],
  },
  'called-away': {
    ask: 'I am called away',
    do: ['Tap off first.', 'Note what the meter or the clock says.', 'Go on from there, not from 0.'],
  },
  'level-wrong': {
    ask: 'A level was wrong',
    do: [
      'Shut black, then gray.',
      'Wait, and read both again.',
      'Lower than you thought? Only pulses of a few seconds from here on.',
    ],
  },
  'late-jug': {
    ask: 'It ran over',
    do: [
      'It ran into the solids. Add dry medium, more than usual.',
      'Open the hatch, fan on, nobody inside.',
      'Empty it earlier: plan it on the board.',
    ],
  },
  'too-wet': {
    ask: 'It is too wet',
    do: [
      'Add dry medium, and turn it.',
      'Fan on, hatch open, nobody inside, a window open.',
      'See that liquids go where they should.',
    ],
  },
  heavy: {
    ask: 'It is too heavy',
    do: ['Do not carry it alone.', 'Use wheels, a board or a second person.', 'Next time, go earlier.'],
  },
  races: {
    ask: 'The pump speeds up',
    do: [
      'Switch it off: it runs dry.',
      'Is the valve open? Is the hose kinked? Look before you start it again.',
    ],
  },
  smells: {
    ask: 'It smells',
    do: [
      'Water over the blade, lid down.',
      'Look at the seal and the vent.',
      'Do not cover it with a scent. Find where it comes from.',
    ],
  },
  'panel-lies': {
    ask: 'The panel says something else',
    do: [
      'Is the rig level?',
      'You saw it run out: then the probe is marked as suspect.',
      'The card “Probes” cleans it.',
    ],
  },
} satisfies Record<Mishap, { ask: string; do: string[] }>)

export const safeSteps = /* @__PURE__ */ group('safeSteps', {
  'water-off': 'Water off.',
  'pump-off': 'Pump off, power off.',
  'shut-tank': (tank: string) => `Shut ${tank}.`,
  'shut-end': 'Then shut the end valve.',
  'spout-up': 'Cassette upright, spout up, cap on.',
  'shut-tote': 'Shut the tote.',
  'lift-hose-tote': 'Lift the hose, and let it drain into the tote.',
  'lift-hose': 'Lift the hose, and let it run empty into the drain. Leave it there with a weight on it.',
  cap: 'Take the hose off the rig only when it is empty. Cap on.',
  vent: 'Shut the vent and the cap of the tote.',
  hands: 'Gloves off, hands washed.',
} satisfies Record<SafeStep['safe'], unknown>)

export const things = /* @__PURE__ */ group('things', {
  'drinking-hose': 'drinking hose',
  'tap-wipes': 'disinfectant for the tap',
  'waste-hose': 'waste hose',
  'gray-hose': 'gray hose',
  adaptor: 'adaptor for this drain',
  gasket: 'spare gasket',
  elbow: 'clear elbow',
  weight: 'something heavy',
  'cap-bucket': 'bucket for under the cap',
  'spare-cap': 'spare cap',
  'rinse-hose': 'rinse hose',
  breaker: 'vacuum breaker',
  'clean-bucket': 'clean bucket',
  tote: 'tote',
  straps: 'straps',
  pump: 'pump, clamp and power',
  jugs: 'jugs',
  product: 'treatment',
  medium: 'new medium',
  bags: 'two bags',
  lubricant: 'lubricant',
  bleach: 'plain bleach and a jug',
  'meter-bucket': 'bucket with a mark, or a meter',
  'spare-gloves': 'two pairs of gloves',
  'eye-cover': 'eye cover',
  wipes: 'wipes and paper',
} satisfies Record<Thing, string>)

export const laws = /* @__PURE__ */ group('laws', {
  'fresh-before-waste': 'Fresh water comes before waste.',
  'all-home-before-cap': 'Every valve is fully shut before a cap is opened.',
  'connected-before-open': 'The hose is on at both ends before a valve opens.',
  'end-first-opening-last-closing': 'The end valve opens first and shuts last.',
  'black-first-between-tanks': 'Between the tanks black is shut first, with the end valve shut.',
  'never-a-hose-into-a-shut-tank-unattended':
    'A hose never runs into a shut tank without somebody there and a number to stop at.',
  'others-shut-while-filling-shut': 'While a shut tank is filled the others are shut.',
  'content-at-its-upper-bound': 'Before a shut tank is filled, its content is taken at the upper end.',
  'rinse-hose-and-breaker': 'A rinse hose has its own rinse inlet and a vacuum breaker.',
  'blade-before-pulling': 'The blade is shut before a cassette is pulled.',
  'spout-before-button': 'The spout points down before the button is pressed.',
  'cap-before-tilt': 'The blade is shut and the cap is on before a cassette is tilted.',
  'no-chlorine-on-urine': 'Chlorine never meets urine: waste tanks are emptied and rinsed before.',
  'gloves-before-waste': 'Gloves come before waste.',
  'toilet-shut-before-waste': 'The toilet is shut before a tank is opened.',
  'hands-last': 'Hands are washed at the end.',
  'clean-hands': 'What is clean, or goes indoors, is touched with clean hands only.',
  'load-by-load': 'A tote is emptied before its next load.',
  'all-shut-at-the-end':
    'At the end everything is shut and capped, except tanks that are open to each other.',
  'potable-before-fresh': 'A tap is known to be for drinking before it fills fresh.',
  'hose-fixed-before-power': 'The hose is fixed before the pump has power.',
  'vent-shut-before-moving': 'A tote moves with its vent shut.',
  'cautions-stand': 'A caution is shown where its danger is.',
  'valves-that-there-are': 'Only valves of this rig appear.',
  'no-number-lacks': 'Every number is there.',
  'held-where-it-matters': 'Steps with a valve or a caution need a hold.',
} satisfies Record<Law, string>)

export const cardTerms = /* @__PURE__ */ group('cardTerms', {
  capacity: 'holds',
  content: 'in it, likely',
  'content-high': 'in it, at most',
  'safe-fill': 'filled up to',
  threshold: 'dumped from',
  target: 'up to',
  flow: 'flow',
  bore: 'bore',
  'pipe-length': 'pipe behind the cap',
  'rounds-usual': 'usually',
  skipped: 'rinses skipped since',
  'lift-limit': 'you lift',
  shell: 'empty shell',
  'label-dose': 'dose on the label',
  'label-litres': 'for',
  charge: 'charge',
  reserve: 'kept for the road',
  'per-litre': 'each',
  heater: 'water heater',
  lines: 'lines',
  chlorine: 'chlorine in the bleach',
  wanted: 'wanted in the water',
  tote: 'one holds',
  'head-of-water': 'water stands',
  stock: 'in stock',
  'gray-a-day': 'gray a day',
  'hose-gray': 'to wash the hose',
  moved: 'this errand moves',
  'of-thumb': 'rule of thumb',
  'solid-flush': 'a flush',
  'each-use': 'each',
  'a-day': 'a day',
  timed: 'times by the clock',
} satisfies Record<Term, string>)

export const cardOrigins = /* @__PURE__ */ group('cardOrigins', {
  rig: 'your rig',
  crew: 'your choice',
  place: 'bucket test here',
  level: 'the count',
  record: 'your log',
  label: 'the label',
  rule: 'rule of thumb',
  assumed: 'assumed',
  errand: 'this errand',
} satisfies Record<WhyTerm['from'], string>)

/** What is counted, with its noun. */
export const cardCounts = /* @__PURE__ */ group('cardCounts', {
  rounds: (n: string) => plural(n, '1\u00a0round', `${n}\u00a0rounds`),
  'rounds-stop': (n: string) => plural(n, '1\u00a0round', `${n}\u00a0rounds`),
  'cassette-rounds': (n: string) => plural(n, '1\u00a0round', `${n}\u00a0rounds`),
  bricks: (n: string) => plural(n, '1\u00a0brick', `${n}\u00a0bricks`),
  'jug-loads': (n: string) => plural(n, '1\u00a0jug', `${n}\u00a0jugs`),
  'tote-loads': (n: string) => plural(n, '1\u00a0load', `${n}\u00a0loads`),
  stages: (n: string) => plural(n, '1\u00a0stage', `${n}\u00a0stages`),
} satisfies Partial<Record<QuantityId, (n: string) => string>>)

export const cardUnits = /* @__PURE__ */ group('cardUnits', {
  seconds: (n: string) => `${n}\u00a0s`,
  minutes: (n: string) => `${n}\u00a0min`,
  hours: (n: string) => `${n}\u00a0hours`,
  days: (n: string) => plural(n, '1\u00a0day', `${n}\u00a0days`),
  count: (n: string) => n,
  percent: (n: string) => `${n}\u00a0%`,
  uses: (n: string) => `${n}\u00a0uses`,
  millilitres: (n: string) => `${n}\u00a0mL`,
  'grams-per-litre': (n: string, volume: string) => `${n}\u00a0g/${volume}`,
  flow: (amount: string) => `${amount} a minute`,
} satisfies Partial<
  Record<QuantityUnit | 'uses' | 'flow' | 'grams-per-litre', (n: string, volume: string) => string>
>)

export const placeRules = /* @__PURE__ */ group('placeRules', {
  unknown: 'not known',
  any: 'any product',
  'septic-safe': 'septic-safe only',
  nothing: 'no product at all',
} satisfies Record<PlaceRule, string>)
