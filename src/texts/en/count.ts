import { spelled } from './numbers'
import { plural } from '../plural'
import { group } from '../group'

/** The answer, wherever it stands. */

export const count = /* @__PURE__ */ group('count', {
  onAverageYouHave: 'On average you have',
  explained: 'Dry days end when the first tank reaches its limit, if nobody dumps or refills.',
  explainedRuns: 'With your runs, your days end when the first tank reaches its limit.',
  planOnStrip: 'to plan on',
  averageStrip: (days: string) => `average ${days}`,
  dryDays: (days: string) => plural(days, 'dry day', 'dry days'),
  beyond: (horizon: string) => `beyond ${horizon}`,
  stops: (container: string) => `${container} stops you`,
  /** Of what to plan on: nine trips in ten last longer. */
  mayStop: (container: string) => `${container} may stop you from`,
  nothingStopsPlan: (horizon: string) => `Nothing stops you in the next ${horizon} days, in 9 of 10 trips.`,
  nothingStops: (horizon: string) => `Nothing stops you in the next ${horizon} days.`,
  startsPast: (container: string) => `${container} is past its limit before you start.`,
  short: (nights: number) => plural(nights, 'one night short', `${spelled(nights)} nights short`),
  enough: 'and that is after you leave',
  of: (nights: number) => plural(nights, 'of 1 night', `of ${nights} nights`),
  ofLeft: (nights: number) => plural(nights, 'of the one left', `of the ${nights} left`),
  moreDays: (days: string) => plural(days, 'more day', 'more days'),
  stripBeyond: (horizon: string) => `beyond ${horizon}`,
  days: 'days',
  covered: (nights: number) => plural(nights, 'your night covered', `all ${nights} nights covered`),
  tally: (nights: number, made: string) => `${nights} nights planned; ${made} of them made`,
  why: 'Why?',
  onAverage: 'On average',
  chanceWith: (runs: number) => plural(runs, 'With your run', `With your ${runs} runs`),
  makeAll: (nights: number, isLeft: boolean) => {
    if (nights === 0) return 'in 100 trips last to the end'
    if (nights === 1)
      return isLeft ? 'in 100 trips make the night that is left' : 'in 100 trips make the night'
    return isLeft ? `in 100 trips make all ${nights} nights left` : `in 100 trips make all ${nights} nights`
  },
  /** Whether the plan lasts. @param chance `12 in 100` */
  lastsIn: (chance: string, nights: number, isLeft: boolean) => {
    const trips = `${chance.charAt(0).toUpperCase()}${chance.slice(1)} trips`
    if (nights === 0) return `${trips} last to the end.`
    const all = nights === 1 ? 'the night' : `all ${nights} nights`
    return isLeft ? `${trips} make ${all} left.` : `${trips} make ${all}.`
  },
  planOnToo: (days: string) => `You can plan on ${days} ${plural(days, 'day', 'days')}.`,
  makeAllStrip: 'in 100 make it',
  comingFigure: '…',
  coming: 'Working out what you can plan on',
  averageWith: (runs: number) =>
    plural(runs, 'With your run you have on average', `With your ${runs} runs you have on average`),
  holds: (days: string) => plural(days, 'day', 'days'),
  withoutRuns: (runs: number, chance: string, days: string) =>
    `Without ${plural(runs, 'it', 'them')}: ${chance}, and ${days} ${plural(days, 'day', 'days')} to plan on.`,
  tooLate: (of100: string, container: string, side: string, run: string) =>
    `In ${of100} of 100 trips ${container} is ${side} before ${run}.`,
  sides: { supply: 'dry', waste: 'full', carrier: 'full' },
  runOn: (run: string, when: string) => `${run.charAt(0).toLowerCase()}${run.slice(1)} on ${when}`,
  earlier: (when: string, chance: string) => `Put it on ${when}: then ${chance}`,
})

export const risk = /* @__PURE__ */ group('risk', {
  short: (plan: string, stops: string | null) => `${plan} to plan on${stops === null ? '' : `, ${stops}`}`,
  stopsIn: (container: string, of100: string) => `${container} stops ${of100} trips in 100`,
  planOn: 'You can plan on',
  strip: (days: string) => `plan on ${days} days`,
  likely: 'likely',
  atBest: 'at best',
  plan: 'plan on',
  rest: (likely: string, best: string) => `on average; likely ${likely}, at best ${best}.`,
  nights: (nights: number, chance: string) =>
    nights === 0
      ? `To the end: ${chance}.`
      : plural(nights, `The night: ${chance}.`, `All ${nights} nights: ${chance}.`),
  of100: (n: number) => `${n} in 100`,
  under1: 'less than 1 in 100',
  over99: 'more than 99 in 100',
  title: 'How sure is that?',
  beyond: (days: string) => `beyond ${days}`,
  sentence: (plan: string, likely: string, best: string) =>
    `Nine trips in ten last at least ${plan} days, half of them ${likely}, one in ten ${best} or more.`,
  spread: 'Ten thousand trips by the days they last',
  stay: 'you leave',
  table: 'The chances as a table',
  lasts: 'Lasts',
  chance: 'Trips',
  days: (n: number) => plural(n, '1 day', `${n} days`),
  stoppers: 'What stops them',
  nothing: (horizon: string) => `Nothing in ${horizon} days`,
  share: (n: string) => `${n} of 100`,
  trips: (n: string, of: string) => `${n} of ${of} trips`,
  working: 'Counting trips…',
  stop: 'Stop',
  again: 'Count them again',
  stopped: 'Stopped: this is what the trips so far say.',
  failed: 'The chances could not be worked out in this browser. The average is still right.',
  stillDry: 'Still dry',
  ofTrips: 'of 100 trips',
  stillDryAt: (day: string, chance: string) => `${chance} trips are still dry at the end of ${day}`,
})

export const gauge = /* @__PURE__ */ group('gauge', {
  label: (name: string) => `${name}, starting level`,
  now: (name: string) => `${name}, level now`,
  value: (level: string, capacity: string) => `${level} of ${capacity}`,
  days: (days: string) => `${days}\u00a0d`,
  coming: '… d',
  toTheEnd: 'to the end',
  uses: (n: string) => plural(n, '1 use', `${n}\u00a0uses`),
  light: (uses: number) =>
    plural(uses, 'At the light: about 1 use left', `At the light: about ${uses} uses left`),
  lightOn: (uses: number) => plural(uses, 'Light on: about 1 use left', `Light on: about ${uses} uses left`),
  of: (capacity: string) => `of ${capacity}`,
  never: (horizon: string) => `over ${horizon} d`,
  why: (name: string) => `Why? ${name}`,
})
