/** The guided start. */

export const start = {
  title: 'Set up',
  steps: ['Your rig', 'Who comes', 'When'],
  stepOf: (n: number) => `Step ${n} of 3`,
  rigLead: 'Pick what comes closest, then put in your own tanks. You can change everything later.',
  crewLead: 'The rest of a day is assumed from public figures until you know better.',
  stayLead: 'How long, and what is in the tanks when you arrive.',
  panel: 'Your panel reads in',
  noPanel: 'no panel',
  onArrival: 'On arrival',
  justFilled: 'just filled',
  justEmptied: 'just emptied',
  fullAndEmpty: 'Fresh full and waste empty; drag the gauges later if not.',
  preset: 'A rig like mine',
  people: 'People',
  fewer: 'One person less',
  more: 'One person more',
  pet: 'A dog or a cat comes too',
  systems: 'You measure in',
  system: { metric: 'litres and metres', us: 'US gallons', imperial: 'imperial gallons' },
  spares: 'Spare cassettes or jugs',
  spareCount: (n: number) => (n === 0 ? 'no spare' : n === 1 ? '1 spare' : `${n} spares`),
  fewerSpares: 'One spare less',
  moreSpares: 'One spare more',
  ways: 'How you use water',
  way: { careful: 'Careful', usual: 'As most campers', 'as-at-home': 'As at home' },
  wayMeans: {
    careful: (day: string) =>
      `About ${day} a person and day beside the toilet: a short shower every third day, one wash-up, taps off between. Basic needs are a little less (Sphere Handbook).`,
    usual: (day: string) =>
      `About ${day} a person and day beside the toilet: a short shower every other day, two wash-ups. Assumed, until you know your own.`,
    'as-at-home': (day: string) =>
      `About ${day} a person and day beside the toilet: five-minute showers at a full flow (US EPA WaterSense), taps running. Few tanks bear it long.`,
  },
  next: 'Next',
  back: 'Back',
  finish: 'Show me the count',
  skip: 'Skip the rest',
  cancel: 'Leave without it',
  live: 'So far',
}
