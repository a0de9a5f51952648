import { plural } from '../plural'
import { group } from '../group'

/** A bad trip, told. */
export const story = /* @__PURE__ */ group('story', {
  title: 'What a bad trip looks like',
  stop: (container: string, day: string, part: string, days: string) =>
    `${container} stops you ${day}, ${part}, after ${days} days.`,
  none: 'Nine trips in ten last longer than Dry Count looks ahead, so there is no bad trip to show.',
  because: {
    more: (activity: string, uses: string, usual: string) =>
      `${activity} ${uses} times where ${usual} are usual`,
    both: (activity: string, uses: string, usual: string, percent: string) =>
      `${activity} ${uses} times where ${usual} are usual, ${percent} % more each`,
    fewer: (activity: string, percent: string) => `${activity} takes ${percent} % more each time`,
    start: 'The tanks began worse than they were read',
    capacity: 'The tank holds less than its label says',
  },
  hot: (days: number, given: number) =>
    `${plural(days, 'One hot day', `${days} hot days`)}, ${given === 0 ? 'none' : plural(given, 'one', String(given))} expected.`,
})
