import { group } from '../group'

/** How a level is read, wherever one is set. */
export const levels = /* @__PURE__ */ group('levels', {
  title: (tank: string) => `${tank}: what is in it?`,
  change: (tank: string) => `${tank}: how its level was read`,
  close: 'Close',
  done: 'Done',
  how: 'How did you read it?',
  methods: {
    panel: 'From the panel',
    about: 'As near as I can tell',
    measured: 'Stick or scale',
    known: 'I know it',
  },
  hints: {
    panel: 'A lit mark means anything from that mark to the next.',
    about: 'It may be this much more or less.',
    measured: 'Two of three readings are as close as this.',
    known: 'Just filled, just emptied, or through a meter.',
  },
  panel: 'Its panel reads in',
  panels: { thirds: 'thirds', quarters: 'quarters', own: 'marks of its own' },
  noPanel: 'Which panel has it?',
  marks: 'Marks, lowest first, in %',
  marksWrong: 'Marks rise from the lowest to the highest, for example 25 50 75 100.',
  lit: 'What is lit',
  none: 'nothing',
  full: 'full',
  step: (name: string, from: string, to: string) => `${name}: ${from} to ${to}`,
  level: 'In it',
  within: 'Within',
  deviation: 'Give or take',
  fullNow: 'Full',
  emptyNow: 'Empty',
  words: {
    panel: (from: string, to: string) => `by its panel, ${from} to ${to}`,
    about: (size: string) => `within ${size}`,
    measured: (size: string) => `measured, give or take ${size}`,
    known: 'known',
  },
})
