import type { Activity } from '@/core/model'
import type { Habits } from './household'
import { daysFigures, figures, type DaysFigures } from './learning'
import { dayFigures, LOGGING, loggedFigures, type Logging } from './logged'

/** One promise about what is learned: what it is, its figure, and the bounds within which it must lie. */
export interface Line {
  what: string
  figure: number
  least: number
  most: number
}

const LARGE: readonly Activity['kind'][] = [
  'shower',
  'dishes',
  'hand-wash',
  'drinking',
  'liquid-use',
  'solid-use',
]

/** Every figure of the study. @param households for each of them */
export function studyOf(households: number, seed: number): { group: string; lines: Line[] }[] {
  const line = (what: string, figure: number, least: number, most: number): Line => ({
    what,
    figure,
    least,
    most,
  })
  const shakedown = { hookup: true, knownStart: true }
  const large: Partial<Habits> = { choose: ({ kind }) => LARGE.includes(kind) }
  const lived = figures({}, households, 3, seed)
  const long = figures({}, households, 5, seed + 1000)
  const shaken = figures({ ...shakedown, ...large }, households, 5, seed + 2000)
  const far = figures({ ...shakedown, ...large, ownSpread: 0.4 }, households, 5, seed + 3000)
  const metered = figures(
    { ...shakedown, metered: true, choose: ({ kind }) => kind === 'shower' },
    households,
    5,
    seed + 4000,
  )
  const dirty = figures({ wrong: 0.25 }, households, 3, seed + 5000)
  const calibrated = figures({ knownStart: true, ownSpread: 0.07 }, households, 3, seed + 6000)
  const days = mean([2, 3, 4].map((at) => daysFigures(households, at, seed + 7000 + 1000 * at)))
  return [
    {
      group: 'Intervals of 80 %, share that covered the truth',
      lines: [
        line('litres per use, all activities', lived.activities, 0.75, 0.88),
        line('litres per use, those that were learned', lived.learnedOnes, 0.7, 0.88),
        line('the day’s total', lived.total, 0.72, 0.88),
        line('level now', lived.levels, 0.75, 0.88),
        line('litres per use, a quarter of the readings wrong', dirty.activities, 0.7, 1),
        line('the day’s total, a quarter wrong', dirty.total, 0.7, 1),
        line('level now, a quarter wrong', dirty.levels, 0.7, 1),
      ],
    },
    {
      group: 'After a shakedown of five days, error over that of the assumption',
      lines: [
        line('the day’s total', shaken.totalError, 0, 0.85),
        line(
          'the day’s total, the large uses counted, a crew far from what is assumed',
          far.totalError,
          0,
          0.6,
        ),
        line('own level of counted showers', shaken.shower, 0, 0.9),
        line('own level of counted liquid flushes', shaken.liquid, 0, 0.85),
        line('own level of metered showers', metered.shower, 0, 0.65),
      ],
    },
    {
      group: 'Level now, mean error over that of the count alone',
      lines: [
        line('levels at the start read off the panel', lived.levelError, 0, 0.75),
        line('a crew that is known, from a known start', calibrated.levelError, 0, 0.85),
      ],
    },
    {
      group: 'Days left, on the second, third and fourth day of a stay',
      lines: [
        line('error in days where up to four are left', days.near, 0, 0.5),
        line('the same over that of the count alone', days.near / days.nearAlone, 0, 0.75),
        line('error as a share where more are left', days.far, 0, 0.2),
        line('share in which ‘plan on’ held', days.holds, 0.87, 0.93),
        line('‘plan on’ with the panel over that without', days.planOn / days.blind, 1.1, 9),
      ],
    },
    ...loggedGroups(Math.round(households * LOGGED_SHARE), seed + 9000),
    {
      group: 'A stuck probe',
      lines: [
        line('called by the third reading that contradicts', long.caught, 0.88, 1),
        line('false alarms, share of stays', long.falseAlarms, 0, 0.04),
      ],
    },
  ]
}

/** Of the households, so many keep a log in each way: each is played to its end on trips of its own. */
const LOGGED_SHARE = 0.72
const WAYS: Record<Logging, string> = {
  each: 'log each use',
  half: 'log every second use',
  stops: 'stop logging after a day',
  none: 'log nothing',
}

/** How an ordinary log is taken: nothing is counted, and what is not in it is estimated. */
function loggedGroups(households: number, seed: number): { group: string; lines: Line[] }[] {
  const days = dayFigures(households, seed)
  const all = LOGGING.map((logging) => ({ logging, ...loggedFigures(logging, households, 2.5, seed + 500) }))
  return [
    {
      group: 'An ordinary day on which each use is logged, against the same day with nothing logged',
      lines: [
        { what: 'chance to make all nights, mean change', figure: days.mean, least: -0.03, most: 0.03 },
        {
          what: 'levels towards their limits, share of the capacity',
          figure: days.levels,
          least: -0.03,
          most: 0.03,
        },
      ],
    },
    {
      group: 'Crews that keep their log in different ways, levels in their interval of 80 %',
      lines: all.map(({ logging, levels }) => ({
        what: WAYS[logging],
        figure: levels,
        least: 0.75,
        most: 0.85,
      })),
    },
    {
      group: 'The same, share in which ‘plan on’ held',
      lines: all.map(({ logging, holds }) => ({
        what: WAYS[logging],
        figure: holds,
        least: 0.88,
        most: 0.94,
      })),
    },
  ]
}

function mean(all: readonly DaysFigures[]): DaysFigures {
  const of = (key: keyof DaysFigures) => all.reduce((sum, one) => sum + one[key], 0) / all.length
  return {
    near: of('near'),
    nearAlone: of('nearAlone'),
    far: of('far'),
    holds: of('holds'),
    planOn: of('planOn'),
    blind: of('blind'),
  }
}
