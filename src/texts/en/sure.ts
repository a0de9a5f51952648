import { group } from '../group'

/** How sure each number is. */

export const sure = /* @__PURE__ */ group('sure', {
  title: 'What to measure first',
  lead: 'How many days each assumption is worth. One number is set to its lowest and to its highest likely value; all others stay as they are.',
  working: 'Counting…',
  failed: 'This could not be worked out in this browser. The averages are still right.',
  none: 'Every number here counts as certain.',
  swing: (low: string, high: string) => `${low} to ${high} d`,
  measureFirst: (what: string) => `Measure “${what}” first.`,
  activity: (name: string) => `${name}: water per use`,
  capacity: (name: string) => `${name}: what it holds`,
  level: (name: string) => `${name}: level at the start`,
  weather: 'How warm it gets',
  how: {
    activity:
      'Do a shakedown: at a hookup, start with an empty tank and count every use until it is full. Divide what the tank holds by the uses.',
    capacity: 'Fill it once through a flow meter, or with a bucket of known size, and put in what went in.',
    level: 'Read it with a stick or a scale, not from the panel.',
    weather: 'Look at a forecast shortly before you leave.',
  },
  ends: (low: string, high: string) => `${low} gives fewer days, ${high} gives more`,
  all: (n: number) => `${n} more that matter less`,
  middle: (days: string) => `The dashed line is the average count, ${days} days.`,
  capacityOff: 'May be off by',
  metered: 'Metered',
  isMetered: 'It was metered',
  volumeVaries: 'One use varies by',
  levelOff: 'Our average may be off by',
  exact: 'Always the same number of uses',
  levelAs: 'How it was read',
  readEven: 'from a panel or by eye',
  readNormal: 'measured',
  levelSize: { even: 'Somewhere in a span of', normal: 'Give or take' },
  weatherOff: (unit: string) => `Days may differ by, ${unit}`,
  levels: 'How sure are these levels',
})
