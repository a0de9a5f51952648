import { plural } from '../plural'
import { group } from '../group'

/** The guided start. */

export const start = /* @__PURE__ */ group('start', {
  title: 'Set up',
  steps: ['Your rig', 'Who comes', 'When'],
  stepOf: (n: number) => `Step ${n} of 3`,
  rigLead: 'Pick what comes closest, then put in your own tanks. You can change everything later.',
  crewLead: 'What a day takes comes from public figures until you know your own.',
  stayLead: 'How long, and what is in the tanks when you arrive.',
  panel: 'Your panel reads in',
  noPanel: 'no panel',
  onArrival: 'On arrival',
  justFilled: 'just filled',
  justEmptied: 'just emptied',
  fullAndEmpty: 'Fresh is full and waste is empty. If not, drag the gauges later.',
  preset: 'A rig like mine',
  people: 'People',
  fewer: 'One person less',
  more: 'One person more',
  pet: 'A dog or a cat comes too',
  systems: 'You measure in',
  system: { metric: 'liters and meters', us: 'US gallons', imperial: 'imperial gallons' },
  rinseInlet: 'Rinse inlet for the toilet tank: a hose fitting outside that sprays into it',
  rinseInlets: { no: 'None, or I do not know', yes: 'Yes, it has one' },
  spares: 'Spare cassettes or jugs',
  spareCount: (n: number) => (n === 0 ? 'no spare' : plural(n, '1 spare', `${n} spares`)),
  fewerSpares: 'One spare less',
  moreSpares: 'One spare more',
  styles: 'How you use water',
  style: { careful: 'Careful', usual: 'As most campers', 'as-at-home': 'As at home' },
  amountMeans: {
    careful: (day: string) =>
      `About ${day} per person and day, the toilet apart: a short shower every third day, dishes once a day, taps off in between. Basic needs are a little less (Sphere Handbook).`,
    usual: (day: string) =>
      `About ${day} per person and day, the toilet apart: a short shower every other day, dishes twice a day. Assumed, until you know your own.`,
    'as-at-home': (day: string) =>
      `About ${day} per person and day, the toilet apart: five-minute showers at full flow (US EPA WaterSense), taps running. Few tanks last long with that.`,
  },
  next: 'Next',
  back: 'Back',
  finish: 'Show me the count',
  skip: 'Skip the rest',
  cancel: 'Leave without it',
  live: 'So far',
  example: 'An example, until you put in your own.',
})
