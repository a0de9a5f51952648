/** What the cards themselves say besides their steps: names, cautions, mishaps, laws, where numbers come from. */
import type { Care, Law, QuantityUnit, SafeStep, Term, WhyTerm, Wrong } from '@/core/cards'
import type { CardKind, PlaceRule } from '@/core/model'

export const cardNames = {
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
} satisfies Record<CardKind, string>

export const cardFor = {
  dump: 'Black, a rinse, then gray',
  'top-up': 'A tank that is nearly empty does not rinse itself',
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
  'road-day': 'Before the wheels turn',
  arrival: 'When they stand still',
  aboard: 'What everybody aboard is told; to hang up',
  shakedown: 'Count at a hookup what each use costs you',
  sanitize: 'Before the season, and after long disuse',
  'lay-up': 'Between trips',
  frost: 'A night below freezing',
  probes: 'A panel that says full and is not',
  seals: 'Keeps water in the bowl, and smell out',
  'bucket-test': 'How fast does this tap run?',
  'metered-fill': 'How much does this tank hold?',
  'by-hand': 'What else this run moves',
} satisfies Record<CardKind, string>

export const cares = {
  gas: 'Gas from an open tank burns, and is poisonous in a closed room.',
  eyes: 'Cover your eyes.',
  valves: 'A valve that looks shut may not be. Push it, and look.',
  stay: 'Stay here until it is off.',
  backflow: 'No vacuum breaker, no rinsing: waste must never be sucked back into a tap.',
  'two-hoses': 'Never the drinking hose, and this one never on the drinking inlet.',
  'no-mix': 'Never bleach with urine, ammonia, acid or another cleaner.',
  'no-bleach': 'No bleach, no acid, no ammonia.',
  lift: 'Lift with your legs. Too heavy is too heavy.',
  potable: 'A tap at a dump station is not drinking water unless it is marked so.',
  'never-poke': 'Never poke into a valve: shut, water in, let it soak.',
  tilt: 'A rig that is not level reads wrong and drains wrong.',
  'local-rule': 'Only where the local written rule allows it. Never a ditch, a storm drain or near water.',
  'not-compost': 'Weeks do not kill everything that lives in it. It is not compost.',
  'open-bed': 'An open bed, strapped, never with people.',
  'walking-pace': 'Walking pace, cap and vent shut.',
  'vent-room': 'Nobody inside, a window open.',
  'no-flame': 'No flame near a tank, ever.',
  antifreeze: 'Non-toxic, made for drinking-water lines.',
  label: 'What the label says stands over this card.',
  'drinking-hose': 'Only the drinking hose, and never one that was near waste.',
  'open-slowly': 'Slowly: what waits behind it comes out on you.',
  'black-first': 'Black is the first one shut.',
  'button-last': 'Spout first, button after. The other way round it comes out at you.',
  septic: 'The wrong product kills a septic tank: ask.',
} satisfies Record<Care, string>

export const wrongs = {
  leaks: {
    ask: 'It leaks',
    do: [
      'Tank valve shut, then the end valve.',
      'Lift the hose, drain it into the inlet.',
      'Look at the gasket, seat it anew. A split hose is not mended, it is replaced.',
      'What fell is rinsed into the inlet. Tell the host.',
    ],
  },
  'no-flow': {
    ask: 'It will not drain',
    do: [
      'Shut the valve. Never poke.',
      'Is there room in the tank? Then a large jug of water in. None? Leave it as it is.',
      'Let it soak for an hour, or drive it about.',
      'Open it again. Still nothing: a workshop, not a wire.',
    ],
  },
  'tote-leaks': {
    ask: 'It leaks',
    do: [
      'Tank valve shut, then the end valve.',
      'Lift the hose, drain it into the tote.',
      'Look at the gasket, put it in again. A split hose is not mended, it is replaced.',
      'What fell on the ground: gloves, paper, water and soap. Tell the host.',
    ],
  },
  'tote-jumps': {
    ask: 'The hose jumps',
    do: ['Shut the tote.', 'Weight on the hose, or a foot.', 'Open it again, halfway.'],
  },
  'tote-overflows': {
    ask: 'The tote is full too soon',
    do: [
      'Tank valve shut, then the end valve.',
      'Lift the hose, drain what is in it into the tote only if there is room.',
      'What fell on the ground: gloves, paper, water and soap. Tell the host.',
      'This load is smaller than expected: tow it, then go on.',
    ],
  },
  'pump-leaks': {
    ask: 'It leaks',
    do: [
      'Pump off, power off.',
      'Tank valve shut, then the end valve.',
      'Lift the hose and let it run empty. Look at the clamp and the gasket.',
      'What fell on the ground: gloves, paper, water and soap. Tell the host.',
    ],
  },
  jumps: {
    ask: 'The hose jumps',
    do: ['Tank valve shut.', 'Weight on it, or a foot.', 'Open it again, halfway.'],
  },
  overflows: {
    ask: 'It overflows',
    do: [
      'Tap off.',
      'Tank valve open, if the hose is on.',
      'Nobody uses the toilet. Keep children and pets away.',
      'Gloves, paper, then water and soap. Not bleach.',
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
      'Cap back on, now.',
      'Push every valve again, all the way.',
      'One stays open? Hose on first, and dump by that valve alone.',
    ],
  },
  'never-clear': {
    ask: 'It never runs clear',
    do: [
      'Two rounds over the usual is enough.',
      'Water in, shut, and drive on with it.',
      'Come back to it at the next place: it is owed.',
    ],
  },
  'air-lock': {
    ask: 'It spits back early',
    do: ['Tap off, wait a minute: air is in the way.', 'Hose a hand’s breadth in, not deeper.', 'Slower.'],
  },
  'called-away': {
    ask: 'I am called away',
    do: [
      'Tap off first, whoever calls.',
      'Note what the meter or the clock says.',
      'Begin from there, not from nought.',
    ],
  },
  'level-wrong': {
    ask: 'A level was wrong',
    do: [
      'Black shut, then gray.',
      'Wait, read both again.',
      'Lower than gray? Pulses of a few seconds from here on.',
    ],
  },
  'late-jug': {
    ask: 'It ran over',
    do: [
      'It ran into the solids: dry medium in, more than usual.',
      'Hatch open, fan on, nobody inside.',
      'Empty it earlier: put it on the board.',
    ],
  },
  'too-wet': {
    ask: 'It is too wet',
    do: [
      'Dry medium in, turn it.',
      'Fan on, hatch open, nobody inside, a window open.',
      'Look whether liquids go the right way.',
    ],
  },
  heavy: {
    ask: 'It is too heavy',
    do: ['Do not carry it alone.', 'Wheels, a board, a second pair of hands.', 'Earlier next time.'],
  },
  races: {
    ask: 'The pump races',
    do: ['Off: it runs dry.', 'Valve open? Hose kinked? Look before you start it again.'],
  },
  smells: {
    ask: 'It smells',
    do: [
      'Water over the blade, lid down.',
      'Look at the seal and the vent.',
      'Never a scent over it: find where it comes from.',
    ],
  },
  'panel-lies': {
    ask: 'The panel says otherwise',
    do: [
      'Is the rig level?',
      'You saw it run out: the probe is suspect, and noted as that.',
      'The card “Probes” cleans it.',
    ],
  },
} satisfies Record<Wrong, { ask: string; do: string[] }>

export const safeSteps = {
  'water-off': 'Water off.',
  'pump-off': 'Pump off, power off.',
  'shut-tank': (tank: string) => `Shut ${tank}.`,
  'shut-end': 'Then the end valve.',
  'spout-up': 'Cassette upright, spout up, cap on.',
  'shut-tote': 'Shut the tote.',
  'lift-hose-tote': 'Lift the hose and let it drain into the tote.',
  'lift-hose': 'Lift the hose and let it drain into the inlet. Leave it there with a weight on it.',
  cap: 'Hose off the rig only when it is empty. Cap on.',
  vent: 'Vent and cap of the tote shut.',
  hands: 'Gloves off, hands washed.',
} satisfies Record<SafeStep['safe'], unknown>

export const laws = {
  'fresh-before-waste': 'Fresh water comes before waste.',
  'all-home-before-cap': 'Every valve is home before a cap is opened.',
  'connected-before-open': 'The hose is on at both ends before a valve opens.',
  'end-first-opening-last-closing': 'The end valve opens first and shuts last.',
  'black-first-between-tanks': 'Between the tanks black is shut first, with the end valve shut.',
  'never-a-hose-into-a-shut-tank-unattended':
    'A hose never runs into a shut tank without somebody there and a number to stop at.',
  'others-shut-while-filling-shut': 'While a shut tank is filled the others are shut.',
  'content-at-its-upper-bound': 'Before a shut tank is filled, its content is taken at the upper end.',
  'rinse-hose-and-breaker': 'A rinse hose has its own inlet and a vacuum breaker.',
  'blade-before-pulling': 'The blade is shut before a cassette is pulled.',
  'spout-before-button': 'The spout points down before the button is pressed.',
  'no-chlorine-on-urine': 'Chlorine never meets urine: waste tanks are emptied and rinsed before.',
  'gloves-before-waste': 'Gloves come before waste.',
  'toilet-shut-before-waste': 'The toilet is shut before a tank is opened.',
  'hands-last': 'Hands are washed after the last of it.',
  'clean-hands': 'What is clean, or goes indoors, is touched with clean hands only.',
  'load-by-load': 'A tote is emptied before its next load.',
  'all-shut-at-the-end':
    'At the end everything is shut and capped, but for tanks that stand open to each other.',
  'potable-before-fresh': 'A tap is known to be for drinking before it fills fresh.',
  'hose-fixed-before-power': 'The hose is fixed before the pump has power.',
  'vent-shut-before-moving': 'A tote moves with its vent shut.',
  'cautions-stand': 'A caution stands where its danger is.',
  'valves-that-there-are': 'Only valves that this rig has.',
  'no-number-lacks': 'No number is missing.',
  'held-where-it-matters': 'Valves and cautions want a hold.',
} satisfies Record<Law, string>

export const cardTerms = {
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
} satisfies Record<Term, string>

export const cardOrigins = {
  rig: 'your rig',
  crew: 'your side',
  place: 'bucket test here',
  level: 'the count',
  record: 'your log',
  label: 'the label',
  rule: 'rule of thumb',
  assumed: 'assumed',
  errand: 'this errand',
} satisfies Record<WhyTerm['from'], string>

export const cardUnits = {
  seconds: (n: string) => `${n}\u00a0s`,
  minutes: (n: string) => `${n}\u00a0min`,
  hours: (n: string) => `${n}\u00a0hours`,
  days: (n: string) => (n === '1' ? '1\u00a0day' : `${n}\u00a0days`),
  count: (n: string) => n,
  percent: (n: string) => `${n}\u00a0%`,
  uses: (n: string) => `${n}\u00a0uses`,
  millilitres: (n: string) => `${n}\u00a0mL`,
  'grams-per-litre': (n: string, volume: string) => `${n}\u00a0g/${volume}`,
  flow: (amount: string) => `${amount} a minute`,
} satisfies Partial<
  Record<QuantityUnit | 'uses' | 'flow' | 'grams-per-litre', (n: string, volume: string) => string>
>

export const placeRules = {
  unknown: 'not known',
  any: 'any product',
  'septic-safe': 'septic-safe only',
  nothing: 'no product at all',
} satisfies Record<PlaceRule, string>
