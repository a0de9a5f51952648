import { plural } from '../plural'
import { group } from '../group'

/** Chores of a rig, and the review of stays. */

export const chores = /* @__PURE__ */ group('chores', {
  title: 'Chores',
  lead: 'What has to be done on the rig again and again.',
  due: (name: string) => `Due: ${name}`,
  none: 'Nothing is due.',
  noneYet: 'No chores are listed for this rig.',
  usual: 'Take the usual ones',
  add: 'A chore of your own',
  done: 'Done',
  snooze: 'Remind me in a week',
  change: 'Change',
  remove: 'Remove',
  close: 'Close',
  unsaved: { ask: 'This is not kept yet.', goOn: 'Go on with it', discard: 'Discard it' },
  save: 'Keep',
  name: 'What is to be done',
  about: 'About',
  rig: 'The whole rig',
  rhythm: 'Due by',
  lastDone: 'Last done',
  neverDone: 'No record of when it was last done',
  on: (day: string) => `due ${day}`,
  isDue: 'due now',
  putOff: (day: string) => `put off until ${day}`,
  noDate: 'due by use',
  turn: {
    days: (had: number | null, n: number) => (had === null ? `every ${n} days` : `${had} of ${n} days`),
    'days-of-use': (had: number | null, n: number) => `${had ?? 0} of ${n} days of use`,
    trips: (had: number | null, n: number) => `${had ?? 0} of ${plural(n, '1 trip', `${n} trips`)}`,
    emptyings: (had: number | null, n: number) => `${had ?? 0} of ${n} emptyings`,
    idle: (had: number | null, n: number) =>
      had === null ? `after ${n} days unused` : `${had} of ${n} days unused`,
  },
  every: {
    days: 'days',
    'days-of-use': 'days of use',
    trips: 'trips',
    emptyings: 'emptyings',
    idle: 'days unused',
  },
  kind: {
    sanitize: 'Sanitize the fresh system',
    seals: 'Lubricate the seals',
    probes: 'Clean the probes',
    'wash-cassette': 'Wash out and air the cassette',
    'change-medium': 'Air or change the medium',
    treat: 'Treat the waste tank',
    'lay-up': 'Lay up: treated or dry, never half used',
    own: 'Of your own',
  },
  how: {
    sanitize: 'The card has the amount for your volume, the hold time and the flushing.',
    seals: 'Valves and the cassette’s lip seal, with the product you chose.',
    probes: 'A warm part-fill and a drive often do; the card says how.',
    'wash-cassette': 'Mild cleaner, rinse, leave it open in the air.',
    'change-medium':
      'Solids are not safe compost: bag and bin them, or as local rules say. Gloves, and wash your hands.',
    treat: 'By the label; never two products at once.',
    'lay-up': 'Drain what can freeze, empty the waste, leave nothing half full.',
    own: '',
  },
  card: 'The card',
  cards: {
    sanitize: '/cards/sanitize',
    seals: '/cards/seals',
    probes: '/cards/probes',
    'wash-cassette': null,
    'change-medium': null,
    treat: null,
    'lay-up': null,
    own: null,
  },
  stock: 'What is left',
  stockDoses: (left: string, times: number) => `${left} left, ${plural(times, 'one dose', `${times} doses`)}`,
  stockLeft: (left: string) => `${left} left`,
  medium: 'Medium for the bin',
  mediumLeft: (n: number) => plural(n, 'one change left', `${n} changes left`),
  mediumBought: 'Changes bought',
  low: 'low',
  calendar: 'Into your calendar (.ics)',
  calendarHint: 'A file with a day for each chore that has one. Your calendar program opens it.',
  said: (name: string) => `${name}: done, and in the log.`,
  nothingToSay: 'None of them has a day yet.',
  answer: (due: number, soon: string | null) =>
    due > 0
      ? plural(due, 'One is due', `${due} are due`)
      : soon === null
        ? 'Nothing is due'
        : `Next: ${soon}`,
  atLeastOne: 'Choose what makes it due.',
})

export const review = /* @__PURE__ */ group('review', {
  title: 'Review',
  lead: 'How a stay went, and what the next plan should take from it.',
  none: 'No stay has begun yet: there is nothing to look back on.',
  which: 'Stay',
  soFar: 'So far',
  planned: 'Planned',
  lived: 'Lived',
  nights: (n: number) => plural(n, '1 night', `${n} nights`),
  dryDays: (days: string, tank: string | null) =>
    tank === null ? `${days} dry days` : `${days} dry days, ${tank} first`,
  nearest: (tank: string, percent: string) => `${tank} came nearest: ${percent} of the way`,
  reached: (tank: string) => `${tank} reached its limit`,
  perTitle: 'Water per person and day',
  per: { drawn: 'drawn', gray: 'into gray', toilet: 'into the toilet’s tanks' },
  perSentence: (drawn: string, gray: string, toilet: string) =>
    `${drawn} drawn per person and day, ${gray} of it into gray; ${toilet} into black, cassette or jug.`,
  byUse: 'Where the water went',
  uses: 'uses',
  litres: 'drawn',
  most: (name: string, percent: string) => `Most went to ${name.toLowerCase()}: ${percent}.`,
  readings: 'Readings',
  readingsOk: (n: number) =>
    n === 0
      ? 'Nothing was read.'
      : plural(n, 'One reading, and it agreed.', `${n} readings, and all agreed.`),
  readingsLied: (lied: number, total: number) => `${lied} of ${total} did not agree.`,
  lied: (tank: string, at: string, read: string, counted: string) =>
    `${tank}, ${at}: showed ${read}, the count said ${counted}.`,
  leftOut: 'left out',
  learnedTitle: 'What a use costs',
  learned: (name: string, before: string, after: string) => `${name}: ${before} before, ${after} now`,
  learnedNone: 'Nothing new was learned.',
  runsTitle: 'Runs',
  runsNone: 'None was logged.',
  run: (name: string, at: string) => `${name}, ${at}`,
  what: { emptied: 'out of', filled: 'into', 'put-in': 'into', 'took-out': 'out of' },
  amount: (amount: string, what: string, tank: string) => `${amount} ${what} ${tank}`,
  took: (minutes: string | null, way: string | null, fee: string | null) =>
    [minutes, way, fee].filter((one) => one !== null).join(', '),
  minutes: (n: string) => `${n} min`,
  fee: (n: string) => `fee ${n}`,
  rounds: (n: number) => plural(n, 'clear after one round', `clear after ${n} rounds`),
  owed: (n: number) => `${n} owed`,
  aRun: 'A run',
  dumps: (n: number) => plural(n, 'One dump', n === 0 ? 'No dump' : `${n} dumps`),
  fees: (n: string) => `fees ${n}`,
  season: 'The season',
  seasonSentence: (nights: number, dumps: number, per: string | null) =>
    `${nights} dry nights with ${plural(dumps, 'one dump', `${dumps} dumps`)}${per === null ? '' : `, one in ${per} days`}.`,
  trendLess: (amount: string) => `${amount} less per person and day with each stay.`,
  trendMore: (amount: string) => `${amount} more per person and day with each stay.`,
  tooFew: 'A trend needs three stays.',
  take: 'Use this for the next plan',
  takeWhy: (n: number) =>
    n === 0
      ? 'Nothing new to take over.'
      : plural(
          n,
          'What one use takes becomes your crew’s own.',
          `What ${n} uses take becomes your crew’s own.`,
        ),
  taken: 'Taken over: the next plan starts from it.',
  csv: 'As a table (CSV)',
  print: 'Print on one page',
  printNow: 'Print',
  back: 'Back',
  working: 'Working it out…',
  failed: 'This stay cannot be worked out here.',
  table: 'The same as a table',
  stay: 'Stay',
})
