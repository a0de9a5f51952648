import { plural } from '../plural'
import { group } from '../group'

/** Today: what may be used, what helps most, what moved since yesterday. */

const times = (n: number) => plural(n, 'one', n === 2 ? 'two' : n === 3 ? 'three' : String(n))

export const budget = /* @__PURE__ */ group('budget', {
  title: 'Budget',
  lead: 'What you may use so that the tanks last to a night you choose.',
  left: (goal: string) => `Left today, to last to ${goal}`,
  planned: (goal: string) => `For one day, to last to ${goal}`,
  link: 'Budget',
  leftToday: 'Left today',
  noMore: (names: string) => `No more today: ${names}.`,
  working: 'Working it out…',
  failed: 'What is left today cannot be worked out here.',
  none: 'none left today',
  nextTomorrow: 'the next tomorrow',
  notBefore: (day: string) => `not before ${day}`,
  noneBefore: (goal: string) => `none before ${goal}`,
  of: (spent: string, allowed: string) => `${spent} of ${allowed} used`,
  ofUsual: (spent: string, usual: string) => `${spent} used, ${usual} are usual`,
  partLeft: (n: string) => `${n} left, a whole one tomorrow`,
  usualDays: (chance: string, goal: string) =>
    `With usual days you last to ${goal} in ${chance.replace(' in 100', ' of 100')} trips.`,
  oneRun: (run: string, when: string, chance: string) =>
    `With the run “${run}” on ${when}, ${chance} trips make all nights.`,
  notMoved: (goal: string) => `With your runs it may last to ${goal}.`,
  notYet: 'none used yet',
  aDay: (n: string) => `${n} a day`,
  inAll: (n: string) => `${n} in all`,
  each: (name: string, n: number) => `${name} ${n}`,
  short: (tank: string, goal: string) =>
    `Saving on showers and dishes alone does not reach ${goal}: ${tank} is full or empty before.`,
  reaches: (night: string) => `It reaches ${night}.`,
  take: (night: string) => `Budget to ${night}`,
  free: (goal: string) => `Nothing needs saving to ${goal}.`,
  usual: (goal: string) => `Usual days last to ${goal}.`,
  times: (percent: string) => `${percent} of the usual`,
  more: (percent: string) => `${percent} of the usual: usual days need no saving`,
  past: 'The night of this budget is over.',
  nothing: 'There is nothing in this crew’s days that a budget can save on.',
  sure: (hundred: string, asUsual: string) => `Holds in ${hundred} of 100 trips; as usual in ${asUsual}.`,
  certain: 'By the average: nothing here is uncertain.',
  binds: (tank: string) => `${tank} sets this budget.`,
  goalTitle: 'To last through the night of',
  lastNight: (day: string) => `${day} (the last)`,
  confidence: 'How sure',
  ofStay: (percent: string) => `${percent}, as on Stay`,
  percent: (n: number) => `${n} of 100 trips`,
  swapTitle: 'Swap',
  swapHint:
    'Drag one use onto another, or choose two. You see what one less of the first buys of the second today.',
  swapLess: 'One less of',
  swapMore: 'More of',
  swapAsk: 'What does it buy?',
  swapBuys: (by: number, less: string, plus: number, more: string) =>
    `${less}, ${times(by)} less: that buys ${times(plus)} more of ${more.toLowerCase()} today.`,
  swapHeld: (tank: string) => `No more than that, or ${tank} would not last.`,
  swapTake: 'Swap',
  swapDrop: 'Undo today’s swaps',
  swapTaken: (by: string, less: string, plus: string, more: string) =>
    `Swapped today: ${by} ${less.toLowerCase()} for ${plus} ${more.toLowerCase()}.`,
  swapNo: {
    'none-left': (by: number, less: string, more: string) =>
      by <= 1
        ? `No ${less.toLowerCase()} is left today to give.`
        : `One more of ${more.toLowerCase()} takes ${times(by)} of ${less.toLowerCase()}: not so many are left today.`,
    'no-help': (less: string, tank: string) =>
      `${less} puts nothing into ${tank}, which sets this budget. Giving it up buys nothing.`,
    forbidden: (more: string, tank: string) =>
      `Not even one more of ${more.toLowerCase()}: with it ${tank} would not last to the night you chose.`,
  },
  apartTitle: 'Set somebody apart',
  apartHint: 'They keep this many a day, no matter what the others save. The others share what is left.',
  apartOff: 'shared',
  apartNone: 'Nobody is set apart',
  apartOf: (n: number) => plural(n, 'One share is set apart', `${n} shares are set apart`),
  apartDay: (name: string, activity: string) => `${name}, ${activity.toLowerCase()} a day`,
  savesTitle: 'Your own uses that may be saved on',
  keptTitle: 'Never saved on',
  kept: (names: string) => `${names}: never rationed.`,
  keptWhy:
    'A budget never saves on drinking, cooking, washing hands, teeth, the toilet or water for animals. Drink when you are thirsty. Wash your hands after the toilet, after a dump and before you eat.',
  how: 'Everything that can be saved on is changed by the same share, so that the tanks just last. The chances come from the same trips as the count. What is left today is counted as if you used it at once. What you do not log is used up hour by hour.',
})

export const next = /* @__PURE__ */ group('next', {
  title: 'First',
  none: 'Nothing needs doing today.',
  working: 'Looking for what helps most…',
  gain: (days: string) => `${days} d`,
  gainWords: (days: string) => `${days} days on average before something stops you`,
  /** Chances to make all nights, without it and with it. */
  chances: (before: string, after: string) => `All nights: ${before} → ${after} in 100.`,
  spares: (tank: string) => `It spares ${tank}, which stops you first.`,
  thenStops: (tank: string) => `After it ${tank} does.`,
  reaches: (goal: string) => `With it you reach ${goal}.`,
  pushes: (tanks: string) => `It brings ${tanks} nearer the limit.`,
  asksLess: 'It asks less of you than what comes after it.',
  runAt: (run: string, where: string) => `${run}: ${where}`,
  botherADay: (n: string) => `bother ${n} a day`,
  noBother: 'no bother',
  didOn: (habit: string) => `Switched on: ${habit}.`,
  didOff: (habit: string) => `${habit}: done.`,
  off: (habit: string) => `Leave off: ${habit}`,
  doIt: 'Do it',
  setRun: 'Set this run',
  switchOn: 'Switch it on',
  leaveOff: 'Leave it off',
  notUs: 'Not this',
  more: (n: number) => plural(n, 'One more that helps', `${n} more that help`),
  declined: (n: number) =>
    plural(
      n,
      'You said “not this” to one suggestion on this stay.',
      `You said “not this” to ${n} suggestions on this stay.`,
    ),
  hearAgain: 'Show them again',
})

export const since = /* @__PURE__ */ group('since', {
  less: (days: string) => `${days} less than yesterday said`,
  more: (days: string) => `${days} more than yesterday said`,
  same: 'As yesterday said',
  sinceStart: {
    less: (days: string) => `${days} less than at the start`,
    more: (days: string) => `${days} more than at the start`,
    same: 'As at the start',
  },
  ahead: (days: string) => `${days} ahead of the plan`,
  behind: (days: string) => `${days} behind the plan`,
  onPlan: 'as planned',
  why: 'Why?',
  title: 'What moved since yesterday',
  explained: (then: string, from: string) =>
    `At ${from} you could plan on ${then} days. One day has passed. The rest of the difference comes from this:`,
  total: 'Together',
  cause: {
    hot: (degrees: string) => `a warm day, ${degrees}`,
    day: 'the day as it was expected',
    leap: 'a day less for the runs that are set to come in time',
    rest: 'smaller things',
    usesMore: (n: string, name: string) => `${name.toLowerCase()} ${n} more than expected`,
    usesLess: (n: string, name: string) => `${name.toLowerCase()} ${n} fewer than expected`,
    runs: 'what was emptied or filled',
    read: 'what the panel said',
    unread: 'levels that are now known better',
    learned: 'what a use costs, now known better',
    plan: 'what you changed today',
  },
})

export const prepare = /* @__PURE__ */ group('prepare', {
  title: 'Before you go',
  short: {
    fill: (tank: string, amount: string) => `${tank} to ${amount}`,
    charge: (amount: string) => `${amount} of charge`,
    reserve: (amount: string) => `${amount} of drinking water apart`,
  },
  fill: (tank: string, amount: string) => `Fill ${tank} to ${amount}`,
  byWeight: 'More would be too heavy for the payload you put in.',
  fillNear: 'As near the site as you can: water is weight on the road.',
  dump: (tanks: string) => `Empty ${tanks} at the last stop`,
  dumpWhy: 'On the day you arrive, and not the day before: an errand day uses the tanks too.',
  charge: (tank: string, amount: string) => `Put ${amount} into ${tank} as a charge`,
  chargeWhy: 'That is the amount you chose. The treatment goes in with it.',
  road: (amount: string) => `Keep ${amount} of fresh for the road`,
  roadWhy: 'So that hands and toilet have water on the way.',
  reserve: (amount: string) => `Seal ${amount} of drinking water apart`,
  reserveWhy: (persons: number, days: number, each: string) =>
    `${persons} people, ${days} days, ${each} a day. It is in no tank and in no count.`,
  reserveHot: 'Heat included.',
  tap: 'Fill fresh even though a tap is promised',
  tapWhy: 'A tap can fail.',
  toilet: 'Choose the site with the toilet in mind',
  toiletSite: 'This site has toilets: near, but not too near.',
  toiletNone: 'Think of privacy, and of what the land allows.',
})

export const came = /* @__PURE__ */ group('came', {
  title: 'What it came to',
  nights: (lived: number, planned: number) =>
    lived === planned ? `${lived} nights, as planned` : `${lived} nights of ${planned} planned`,
  nearest: (tank: string, percent: string) => `${tank} came nearest, ${percent} of the way to its limit`,
  reached: (tank: string, day: string) => `${tank} was at its limit on ${day}`,
  each: (amount: string) => `${amount} drawn per person and day`,
  link: 'The whole review',
  working: 'Working out what it came to…',
})

export const showerTimer = /* @__PURE__ */ group('showerTimer', {
  title: 'Shower timer',
  time: 'Time a shower',
  lead: 'The water that runs, beside what is left for today.',
  start: 'Water on',
  pause: 'Tap anywhere to pause',
  resume: 'Tap anywhere when the water is on again',
  on: 'Water on',
  paused: 'Paused',
  end: 'Hold to end and log it',
  seconds: (on: string, waited: string) => `on ${on}, paused ${waited}`,
  usual: (amount: string) => `a usual one is ${amount}`,
  over: (amount: string) => `${amount} over a usual one`,
  budget: (amount: string) => `${amount} for showers in today’s budget`,
  overBudget: (amount: string) => `${amount} over today’s budget`,
  leftToday: (n: number) =>
    plural(
      n,
      'One shower is left today.',
      n === 0 ? 'No shower is left today.' : `${n} showers are left today.`,
    ),
  who: 'Who',
  anybody: 'Nobody in particular',
  flow: 'Flow',
  flowHint: 'How much runs in a minute with the water on: by a bucket and a watch.',
  assumed: 'assumed',
  logged: (name: string, amount: string) => `${name} logged: ${amount}.`,
  short: 'That was so short that a usual shower is still expected.',
  discard: 'Throw it away',
  forgotten: (minutes: number) =>
    `The clock ran for ${minutes < 90 ? `${minutes} minutes` : `${Math.round(minutes / 60)} hours`}. How long did the water run?`,
  minutes: (n: number) => plural(n, '1 minute', `${n} minutes`),
  keep: (amount: string) => `Log ${amount}`,
  awake: 'The screen stays on.',
  notAwake: 'Keep the screen lit yourself: this device does not let the page do it.',
  none: 'This crew has no shower among its uses.',
  notBegun: 'The stay is not under way: the timer runs, and nothing is logged.',
})
