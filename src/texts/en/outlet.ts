import { group } from '../group'

/** The words of the picture of an outlet, and what it shows told in a sentence. */
export const outlet = /* @__PURE__ */ group('outlet', {
  open: 'open',
  shut: 'shut',
  end: 'end valve',
  cap: 'cap on',
  capOff: 'cap off',
  drain: 'drain',
  tote: 'tote',
  loose: 'loose end',
  rinse: 'rinse hose',
  pumpOn: 'pump on',
  pumpOff: 'pump off',
  tank: (name: string, isOpen: boolean) => `${name}: ${isOpen ? 'open' : 'shut'}.`,
  endIs: (isOpen: boolean) => `End valve: ${isOpen ? 'open' : 'shut'}.`,
  capIs: (isOn: boolean) => (isOn ? 'The cap is on.' : 'The cap is off.'),
  hoseTo: {
    drain: 'The hose leads to the drain.',
    tote: 'The hose leads into the tote.',
    none: 'The hose is on the rig, its other end is loose.',
  },
  water: (name: string) => `Water runs into ${name}.`,
  pumps: 'The pump runs.',
  runs: (names: string) => `${names} runs out.`,
  over: (from: string, to: string) => `${from} runs over into ${to}.`,
})

/** The words of the picture of a cassette. */
export const cassette = /* @__PURE__ */ group('cassette', {
  bladeShut: 'blade shut',
  bladeOpen: 'blade open',
  button: 'air button',
  pressed: 'pressed',
  float: 'float',
  capOn: 'cap on',
  capOff: 'cap off',
  spout: { in: 'spout turned in', out: 'spout turned out', down: 'spout down' },
  where: (name: string, isIn: boolean) => `${name}: ${isIn ? 'in the rig' : 'out of the rig'}.`,
  bladeIs: (isShut: boolean) => (isShut ? 'The blade is shut.' : 'The blade is open.'),
  spoutIs: {
    in: 'The spout is turned in.',
    out: 'The spout is turned out.',
    down: 'The spout points down into the drain.',
  },
  capIs: (isOn: boolean) => (isOn ? 'The cap is on the spout.' : 'The cap is off.'),
  buttonDown: 'The air button is pressed.',
  runs: 'It runs out of the spout.',
  holds: { waste: 'It holds waste.', water: 'It holds rinse water.', nothing: 'It is empty.' },
})
