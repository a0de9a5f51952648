import type { StarterNames, StarterTexts } from '@/document/starters'
import { plural } from '../plural'
import { group } from '../group'

export const starters: StarterTexts = /* @__PURE__ */ group('starters', {
  activities: {
    shower: 'Shower',
    'hand-wash': 'Washing hands',
    teeth: 'Teeth',
    dishes: 'Dishes',
    cooking: 'Cooking',
    drinking: 'Drinking',
    'liquid-use': 'Toilet, liquid',
    'solid-use': 'Toilet, solid',
    'bowl-seal': 'Water left in the bowl',
    cleaning: 'Wiping and cleaning',
    laundry: 'Laundry',
    pet: 'Dog or cat',
  },
  habits: {
    'wet-soap-rinse': {
      name: 'Wet, soap, rinse',
      note: 'Water off while you soap. A full shut-off stops the trickle.',
    },
    'full-shut-off': {
      name: 'Shut the shower right off',
      note: 'A full shut-off at the head: no trickle while you soap. If you never pause, it saves nothing.',
    },
    'one-hair-rinse': { name: 'Rinse hair once', note: 'Skip the second lather and its rinse.' },
    'leave-in-conditioner': {
      name: 'Leave-in conditioner',
      note: 'One rinse of long hair less. Choose for whom it fits.',
    },
    'shower-every-other': {
      name: 'Half the showers',
      note: 'Wipes on the days between; bag and bin them, never the toilet.',
    },
    'shower-bag': {
      name: 'Shower from a hand-pumped vessel',
      note: 'Filled from jugs, with water warmed in an open pot.',
    },
    'sun-bag': {
      name: 'Shower from a bag warmed by the sun',
      note: 'Filled from jugs in the morning, hung up in the afternoon. It needs a warm, bright day.',
    },
    'low-flow-head': {
      name: 'A shower head with less flow',
      note: 'More pressure, less water. It saves most where the water is not paused.',
    },
    'outdoor-shower': {
      name: 'Shower outdoors',
      note: 'On mild days, in daylight, where the land allows it.',
    },
    'screened-shower': {
      name: 'Shower behind a screen',
      note: 'Outdoors behind a screen or the doors of your vehicle, on warm days while it is light. All of it runs outside.',
    },
    'shower-carried-out': {
      name: 'Carry the shower out',
      note: 'Stand in a basin, scoop it into the pail; only as much as the rule allows.',
    },
    'shower-basin': {
      name: 'Scoop the shower for flushing',
      note: 'Stand in a basin; its water flushes until next morning.',
    },
    'catch-run-up': {
      name: 'Catch the cold run-up',
      note: 'A jug under the head until it runs warm; for cooking, cleaning and the dog.',
    },
    'basin-dishes': {
      name: 'Wash dishes in a basin',
      note: 'Wipe plates with paper first; one basin to wash, a cup to rinse.',
    },
    'wipe-first': { name: 'Wipe plates first', note: 'With paper, before any water.' },
    'paper-plates': { name: 'Paper plates', note: 'Half the dishes go into the trash bag.' },
    'dish-water-flush': {
      name: 'Dish water flushes',
      note: 'Keep the basin in a lidded pail, for the toilet only.',
    },
    'dish-water-outdoors': {
      name: 'Dish water outdoors',
      note: 'Strained and scattered, only where the land allows it.',
    },
    'meals-out': { name: 'A meal out each day', note: 'Less cooking, fewer dishes, some toilet uses too.' },
    'spare-liquid-flush': {
      name: 'Small flush for liquids',
      note: 'A cup is enough for the bowl. Solids still get their full flush.',
    },
    'no-liquid-flush': {
      name: 'No flush for liquids',
      note: 'No flush between solids. The water in the line still runs out.',
    },
    'spray-bottle': {
      name: 'Spray bottle at the bowl',
      note: 'A quick spray in place of a long rinse. Keep water on the solids.',
    },
    'bowl-liners': {
      name: 'Two crossed strips of paper in the bowl',
      note: 'Thin paper, laid crosswise. It takes the solids along: a shorter flush is enough, for a little more paper.',
    },
    'paper-bin': {
      name: 'Paper into a lidded can',
      note: 'A small can for the bathroom, with bags of another color than the kitchen’s. Carry the bags out.',
    },
    'dry-bowl': {
      name: 'Leave no water in the bowl',
      note: 'For the road and in a cassette; a dry seal lets the smell up.',
    },
    'jug-flush': {
      name: 'Flush from a jug',
      note: 'While the plumbing is drained against frost, or to spare the tank.',
    },
    'toilets-away': { name: 'Toilets at the site by day', note: 'While it is light.' },
    'toilets-in-town': { name: 'Toilets in town', note: 'On errands at midday: half of those uses.' },
    'liquids-only': { name: 'Liquids only', note: 'Solids go elsewhere; a cassette lasts far longer.' },
    'urine-outdoors': {
      name: 'Liquids outdoors by day',
      note: 'Only where the land allows it. Choose who does, and at which hours.',
    },
    'urine-apart': {
      name: 'Liquids into the jug',
      note: 'A separator or a bottle, emptied with the urine jug: no flush.',
    },
    'night-cup': {
      name: 'A cup at night',
      note: 'Carried to the site toilet in the morning: no flush.',
    },
    'cup-poured-out': {
      name: 'A cup, poured out at a set place',
      note: 'Day and night, where the rule allows it: one place, away from water, that everybody knows. No flush.',
    },
    'pump-off': {
      name: 'Pump off between uses',
      note: 'Nothing drips, and you think before you open a tap.',
    },
    'line-cup': {
      name: 'A cup under the tap',
      note: 'Catches the water from the line before you wash your hands.',
    },
    'tooth-cup': { name: 'A cup for teeth', note: 'Fill it once, tap off.' },
    'damp-cloth': { name: 'Damp cloth cleaning', note: 'Spray and wipe, no bucket.' },
    'wipe-wet-room': {
      name: 'Wipe the wet room down after a shower',
      note: 'Five to seven minutes with a cloth, window and fan open. Less to scrub with water later.',
    },
  },
})

export const starterNames: StarterNames = /* @__PURE__ */ group('starterNames', {
  rigs: {
    'small-van': 'Small van',
    van: 'Van',
    'light-trailer': 'Light trailer',
    'family-trailer': 'Family trailer',
    'large-trailer': 'Large trailer',
  },
  crew: (persons) => plural(persons, 'Just me', `The ${persons} of us`),
  stay: 'My stay',
  person: (n) => `Person ${n}`,
  layout: {
    tanks: {
      fresh: 'Fresh',
      gray: 'Gray',
      black: 'Black',
      grayKitchen: 'Gray, kitchen',
      grayBath: 'Gray, bath',
      black2: 'Black, rear',
      blackAsGray: 'Old black tank',
      flush: 'Flush water',
      cassette: 'Cassette',
      portable: 'Portable toilet',
      urine: 'Urine jug',
      solids: 'Solids bin',
    },
    fixtures: {
      kitchen: 'Kitchen sink',
      basin: 'Bathroom basin',
      shower: 'Shower',
      toilet: 'Toilet',
      basin2: 'Rear basin',
      toilet2: 'Rear toilet',
    },
    outlet: 'Outlet',
    outlet2: 'Rear outlet',
  },
})
