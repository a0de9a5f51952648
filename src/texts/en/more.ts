import { plural } from '../plural'
import { group } from '../group'

/** What stands behind More. */
export const more = /* @__PURE__ */ group('more', {
  systems: { metric: 'Metric', us: 'US units', imperial: 'Imperial' },
  mixed: (system: string, others: string) => `${system}, with ${others}`,
  kept: { demo: 'the demo is on the screen', mine: 'your own data, in this browser' },
  settings: (units: string, look: string, kept: string) => `${units}; look: ${look.toLowerCase()}; ${kept}`,
  rig: (name: string, tanks: string) => `${name}: ${tanks}`,
  noRig: 'None yet',
  habits: (on: number) => (on === 0 ? 'None is on' : plural(on, 'One is on', `${on} are on`)),
  start: 'Set up another stay',
  startAnswer: 'The guide: rig, people, dates, in two minutes',
  switch: 'Another stay, crew or rig',
  switchAnswer: (stay: string, stays: number) =>
    plural(stays, `Now: ${stay}`, `Now: ${stay}, one of ${stays}`),
})
