import { group } from '../group'

/** What stands on every screen. */

export const app = /* @__PURE__ */ group('app', {
  name: 'Dry Count',
  nav: {
    camp: 'Camp',
    stay: 'Stay',
    habits: 'Habits',
    runs: 'Runs',
    guide: 'Guide',
    rig: 'Rig',
    log: 'Log',
    settings: 'Settings',
    more: 'More',
    start: 'Set up',
    budget: 'Budget',
    chores: 'Chores',
    review: 'Review',
    shower: 'Shower timer',
  },
  skip: 'Skip to the content',
  saved: 'saved',
  saving: 'saving…',
  notSaved: 'not saved',
  notKept: 'not kept',
  demo: 'Demo',
  find: 'Find anything',
})

export const edits = /* @__PURE__ */ group('edits', {
  undo: 'Undo',
  redo: 'Redo',
  labels: {
    level: 'level',
    rig: 'rig',
    crew: 'crew',
    stay: 'stay',
    habit: 'habit',
    absence: 'absence',
    import: 'import',
    clear: 'clearing',
    start: 'new stay',
    'switch-stay': 'switch of stay',
    copy: 'copy',
    remove: 'removal',
    log: 'log entry',
    shakedown: 'shakedown',
    'take-over': 'numbers taken over',
    run: 'run',
    place: 'place',
    school: 'way of doing it',
    site: 'what there is at the site',
    card: 'run card',
    product: 'treatment',
    budget: 'budget',
    chore: 'chore',
  },
  undoOf: (what: string) => `Undo: ${what}`,
  redoOf: (what: string) => `Redo: ${what}`,
})

export const field = /* @__PURE__ */ group('field', {
  empty: 'Put in a number.',
  'not-a-number': (found: string) => `“${found}” is not a number Dry Count can read.`,
  'unknown-unit': (found: string) => `Dry Count does not know the unit “${found}”.`,
  'wrong-dimension': (found: string) => `“${found}” is not a unit that fits here.`,
  range: (min: string, max: string) => `Between ${min} and ${max}, please.`,
  atMost: (max: string) => `At most ${max}, please.`,
  aboveZero: (max: string) => `More than 0 and at most ${max}, please.`,
  counted: { number: '', uses: 'uses', minutes: 'min' },
  kept: (good: string) => `Still counting with ${good}.`,
})

export const states = /* @__PURE__ */ group('states', {
  oldTab: 'Dry Count was updated in another tab. Reload this one.',
  oldTabSaved: 'Everything is saved.',
  reload: 'Reload',
  loading: 'Reading your stay…',
  slow: 'Reading takes longer than it should. Other tabs of Dry Count may be in the way: close them.',
  volatile: 'This browser does not save anything for Dry Count. Export a file before you close the page.',
  tryAgain: 'Try again',
  inMemory: 'Go on without saving',
  counting: (percent: string) => `Counting a very large plan: ${percent} %…`,
  onMain: 'This browser cannot count in the background, so chances and advice take longer.',
})
