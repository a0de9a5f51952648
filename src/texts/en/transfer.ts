import { group } from '../group'

/** Gray to black. */

export const transfer = /* @__PURE__ */ group('transfer', {
  setRun: 'Set it as a run',
  title: 'Gray to black',
  lead: 'Gray runs into a black tank that has more room, through their outlet, while the end valve is shut.',
  when: 'When',
  now: 'At the start',
  atDay: (days: string) => `After ${days} days`,
  amount: (litres: string) => `Up to ${litres} may go`,
  hold: (low: string, high: string) => `Hold the valve open ${low} to ${high}.`,
  seconds: (s: number) => (s < 90 ? `${Math.max(1, Math.round(s))} s` : `${Math.round(s / 6) / 10} min`),
  holdHow:
    'In the short time no more than that runs across. Shut the valves, read both tanks, and only then let the rest run.',
  buys: (days: string) => `That buys ${days} days.`,
  buysNone: 'That buys no days: something else stops you first.',
  from: 'Gray',
  to: 'Black',
  error: 'Readings may be off by',
  bound: {
    levels: 'Limited so that the two levels never become equal: eight tenths of the way.',
    gray: 'There is no more gray.',
    black: 'The black tank has no more room up to its safe fill.',
  },
  refused: {
    'wrong-direction':
      'Refused: it is not certain that gray is higher than black. It could run the other way, black into gray.',
    'gray-empty': 'Refused: with the reading as uncertain as this, the gray tank may be empty.',
    'black-full': 'Refused: the black tank has no room up to its safe fill.',
    'no-shared-outlet': 'Refused: these two tanks do not meet at an outlet.',
    'no-end-valve': 'Refused: their outlet has no end valve; opening both would run out at the cap.',
    joined: 'These tanks are open to each other already: they have one level.',
    'not-measured':
      'Put in the inside height of both tanks and where their bottoms are. Without that nobody knows which way it runs.',
  },
  steps: 'The order of the valves',
  step: [
    'End valve shut, cap on. Check both.',
    'Open gray.',
    'Open black and count.',
    'Close black first.',
    'Then close gray.',
  ],
  safety:
    'Gloves on, hands washed after. Never with a hose running into a shut tank, never with the cap off. Follow the rig’s own manual where it says otherwise.',
  after: 'after',
  before: 'now',
  picture: (gray: string, black: string, head: string) =>
    `Gray is ${gray} high, black ${black}; the difference is ${head}.`,
  back: 'Back to the rig',
  none: 'This rig has no gray and black tank.',
  measure: 'Measure them',
  head: 'm',
})
