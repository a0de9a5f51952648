import { group } from '../group'

/** The levels, drawn. */
export const chart = /* @__PURE__ */ group('chart', {
  title: 'Levels and their ranges',
  show: 'Draw the levels',
  hide: 'Hide the chart',
  table: 'The same as a table',
  day: 'Day',
  loading: 'Drawing…',
  failed: 'The chart could not be drawn; the table has the same numbers.',
  sentence: (name: string, when: string, others: string) =>
    `On average ${name} reaches its limit first, ${when}${others === '' ? '' : `; then ${others}`}.`,
  sentenceNone: (horizon: string) => `No tank reaches its limit within ${horizon} days.`,
  reading: 'The line is the average. The band holds eight trips in ten. The dots are the limit.',
  range: (low: string, high: string) => `${low} to ${high}`,
  after: (name: string, days: string) => `${name} after ${days} days`,
})
