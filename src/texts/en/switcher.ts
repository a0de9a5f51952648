import { group } from '../group'

/** Another stay, crew or rig. */
export const switcher = /* @__PURE__ */ group('switcher', {
  title: 'Which stay, crew and rig',
  stay: 'Stay',
  rig: 'Rig of this stay',
  crew: 'Crew of this stay',
  newStay: 'New stay',
  copy: (what: string) => `Copy ${what}`,
  remove: (what: string) => `Remove ${what}`,
  copyName: (name: string) => `${name}, copy`,
  inUse: 'A stay uses it.',
})
