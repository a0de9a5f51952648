import { plural } from '../plural'
import { group } from '../group'

/** Camp. */

export const camp = /* @__PURE__ */ group('camp', {
  oneMore: 'One more night?',
  oneLess: 'One less',
  planOnBought: 'Days to plan on; below them the average',
  heldBought: 'Days to plan on with your runs; below them the average',
  habitsFolded: (most: string) => `Habits add ${most} d at most`,
  title: 'Camp',
  levels: 'Levels at the start',
  levelsHint: 'Drag a level to what your panel or stick says.',
  levelsPassed: 'The stay before this one leaves these levels. Once this stay starts, they are its own.',
  habits: 'What would change it',
  allHabits: 'All habits, and what they need',
  bother: (amount: string) => `Bother ${amount} of 5`,
  others: (n: number, stopper: string) => `${n} more that save another tank, not ${stopper}`,
  atStop: (amount: string) => `${amount} when it stops`,
  leftAtStop: (amount: string) => `${amount} left at the stop`,
  atLeast: (days: string) => `${days} or more`,
  setup: 'This stay',
  people: (n: number) => plural(n, '1 person', `${n} people`),
  nights: (n: number) => plural(n, '1 night', `${n} nights`),
  change: (what: string) => `Change ${what}`,
  rig: 'Rig',
  crew: 'Crew',
  stay: 'Stay',
  empty: 'No stay yet',
  emptyText: 'Tell Dry Count what you have, who comes and when. It answers as you type.',
  startOwn: 'Set up my rig',
  startDemo: 'Look around the demo',
  open: 'Open a file',
})

/** A habit wherever it stands in a list. */
export const habitRow = /* @__PURE__ */ group('habitRow', {
  blocked: 'blocked',
  daylight: 'in daylight',
  lowest: (temperature: string) => `from ${temperature}`,
  average: (days: string) => `average ${days}`,
  why: (habit: string) => `What “${habit}” buys`,
})
