import type { StarterNames, StarterTexts } from '@/document/starters'

export const starters: StarterTexts = {
  activities: {
    shower: 'Shower',
    'hand-wash': 'Washing hands',
    teeth: 'Teeth',
    dishes: 'Washing-up',
    cooking: 'Cooking',
    drinking: 'Drinking',
    'liquid-use': 'Toilet, liquid',
    'solid-use': 'Toilet, solid',
    cleaning: 'Wiping and cleaning',
    laundry: 'Laundry',
    pet: 'Dog or cat',
  },
  habits: {
    'wet-soap-rinse': {
      name: 'Wet, soap, rinse',
      note: 'Water off while you soap. A full shut-off stops the trickle.',
    },
    'one-hair-rinse': { name: 'Rinse hair once', note: 'Skip the second lather and its rinse.' },
    'shower-every-other': {
      name: 'Half the showers',
      note: 'Wipes on the days between; bag and bin them, never the toilet.',
    },
    'basin-dishes': {
      name: 'Wash up in a basin',
      note: 'Wipe plates with paper first; one basin to wash, a cup to rinse.',
    },
    'paper-plates': { name: 'Paper plates', note: 'Half the washing-up goes into the bin bag.' },
    'meals-out': { name: 'A meal out each day', note: 'Less cooking, fewer dishes.' },
    'spare-liquid-flush': {
      name: 'Small flush for liquids',
      note: 'A cup is enough for the bowl. Solids still get their full flush.',
    },
    'spray-bottle': {
      name: 'Spray bottle at the bowl',
      note: 'A quick spray in place of a long rinse. Keep water on the solids.',
    },
    'toilets-away': { name: 'Toilets elsewhere by day', note: 'At the site, the trailhead or in town.' },
    'tooth-cup': { name: 'A cup for teeth', note: 'Fill it once, tap off.' },
    'damp-cloth': { name: 'Damp cloth cleaning', note: 'Spray and wipe, no bucket.' },
  },
}

export const starterNames: StarterNames = {
  rigs: {
    'small-van': 'Small van',
    van: 'Van',
    'light-trailer': 'Light trailer',
    'family-trailer': 'Family trailer',
    'large-trailer': 'Large trailer',
  },
  crew: (persons) => (persons === 1 ? 'Just me' : `The ${persons} of us`),
  stay: 'My stay',
  person: (n) => `Person ${n}`,
  tanks: { fresh: 'Fresh', gray: 'Gray', black: 'Black' },
  fixtures: { kitchen: 'Kitchen sink', basin: 'Bathroom basin', shower: 'Shower', toilet: 'Toilet' },
}
