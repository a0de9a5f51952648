import type { Activity } from '@/core/domain'
import { dayFigures } from './day'
import { figures, shareOf, type Asked, type Count, type Figures } from './figures'
import type { Habits } from './household'
import { stuckFigures } from './stuck'

/** One promise about what is learned: what it is, its figure, and the bounds within which it must lie. */
export interface Line {
  what: string
  figure: number
  least: number
  most: number
  /** Of a share: how many it is of. */
  of?: number
}

export interface Group {
  group: string
  lines: Line[]
}

/** The settings in which households live, and what of them differs from an ordinary stay. */
const SETTINGS: { what: string; asked: Pick<Asked, 'habits' | 'logging'> }[] = [
  { what: 'an ordinary stay, nothing logged', asked: {} },
  { what: 'each use logged', asked: { logging: 'each' } },
  { what: 'every second use logged', asked: { logging: 'half' } },
  { what: 'logging stops after a day', asked: { logging: 'stops' } },
  { what: 'half of the activities counted', asked: { habits: { counted: 0.5 } } },
  { what: 'fresh full and waste empty at the start', asked: { habits: { knownStart: true } } },
  { what: 'the same, a crew that is known', asked: { habits: { knownStart: true, ownSpread: 0.07 } } },
  { what: 'a panel with ten marks', asked: { habits: { panel: 'tens' } } },
  { what: 'litres read by a stick and typed', asked: { habits: { typed: true } } },
  { what: 'eight looks a day', asked: { habits: { readings: 8 } } },
  { what: 'a guest for a day whom nobody logged', asked: { habits: { guest: true } } },
  { what: 'every use metered', asked: { habits: { metered: 'all' }, logging: 'each' } },
  { what: 'a quarter of the looks wrong', asked: { habits: { wrong: 0.25 } } },
]
/** A log that tells much, or stops, leaves intervals that are a little wide: 80 % of them hold more. */
const WIDE: readonly string[] = ['each use logged', 'logging stops after a day', 'every use metered']
const mostOf = (what: string) => (WIDE.includes(what) ? 0.9 : 0.86)
/** Of three hundred, 94 % may come out as so much. */
const HOLDS_AT_MOST = 0.97
/** Where a quarter of the looks is wrong, and three times as often as is assumed, less is promised. */
const isWild = (what: string) => what === 'a quarter of the looks wrong'

const LARGE: readonly Activity['kind'][] = [
  'shower',
  'dishes',
  'hand-wash',
  'drinking',
  'liquid-use',
  'solid-use',
]
/** When a stay under way is looked at, days. */
const LOOKED_AT_D = 2.5

/** Every figure of the study. @param households for each of them */
export function studyOf(households: number, seed: number): Group[] {
  const all = SETTINGS.map(({ what, asked }, k) => ({
    what,
    told: figures({ ...asked, households, days: LOOKED_AT_D, seed: seed + 1000 * k, ends: true }),
  }))
  const share = (what: string, count: Count, least: number, most: number): Line => ({
    what,
    figure: shareOf(count),
    least,
    most,
    of: count.of,
  })
  const of = (what: string) => all.find((one) => one.what === what)!.told
  const [ordinary, known] = [of('an ordinary stay, nothing logged'), of('the same, a crew that is known')]
  return [
    {
      group: 'Levels now, share that lies in its interval of 80 %',
      lines: all.map(({ what, told }) => share(what, told.levels, isWild(what) ? 0.7 : 0.75, mostOf(what))),
    },
    {
      group: 'Litres per use, share that lies in its interval of 80 %',
      lines: all.map(({ what, told }) => share(what, told.activities, 0.75, 0.85)),
    },
    {
      group: 'The day’s total, share that lies in its interval of 80 %',
      lines: all.map(({ what, told }) => share(what, told.total, 0.7, 0.92)),
    },
    {
      group: '‘Plan on’ from then, share in which it held',
      lines: all.map(({ what, told }) => share(what, told.holds, isWild(what) ? 0.84 : 0.88, HOLDS_AT_MOST)),
    },
    shakedowns(households, seed + 20_000),
    {
      group: 'Beside the count alone',
      lines: [
        bound('error of the levels, an ordinary stay', ordinary.levelError, 0, 0.75),
        bound('error of the levels, a crew that is known from a known start', known.levelError, 0, 0.85),
        bound('error of the days left, days, where up to four are', ordinary.near, 0, 0.6),
        bound('the same over that of the count alone', ordinary.near / ordinary.nearAlone, 0, 0.8),
        bound('error of the days left as a share, where more are', ordinary.far, 0, 0.25),
      ],
    },
    daysLogged(households, seed + 30_000),
    stuckProbes(households, seed + 40_000),
  ]
}

const bound = (what: string, figure: number, least: number, most: number): Line => ({
  what,
  figure,
  least,
  most,
})

/** Five days at a hookup, counting the large uses. */
function shakedowns(households: number, seed: number): Group {
  const large: Partial<Habits> = {
    hookup: true,
    knownStart: true,
    choose: ({ kind }) => LARGE.includes(kind),
  }
  const ask = (habits: Partial<Habits>, k: number): Figures =>
    figures({ habits: { ...large, ...habits }, households, days: 5, seed: seed + 1000 * k })
  const shaken = ask({}, 0)
  const far = ask({ ownSpread: 0.4 }, 1)
  const metered = ask({ metered: 'showers', choose: ({ kind }) => kind === 'shower' }, 2)
  return {
    group: 'After a shakedown of five days, error over that of the assumption',
    lines: [
      bound('the day’s total', shaken.totalError, 0, 0.85),
      bound('the day’s total, a crew far from what is assumed', far.totalError, 0, 0.6),
      bound('own factor of counted showers', shaken.shower, 0, 0.9),
      bound('own factor of counted liquid flushes', shaken.liquid, 0, 0.85),
      bound('own factor of metered showers', metered.shower, 0, 0.72),
    ],
  }
}

function daysLogged(households: number, seed: number): Group {
  const days = dayFigures(households, seed)
  return {
    group: 'An ordinary day on which each use is logged, against the same day with nothing logged',
    lines: [
      bound('chance to make all nights, mean change', days.mean, -0.03, 0.03),
      bound('levels towards their limits, share of the capacity', days.levels, -0.03, 0.03),
    ],
  }
}

/** Of a stay of six days with emptying and filling on the way. */
function stuckProbes(households: number, seed: number): Group {
  const [dirty, frozen] = [
    stuckFigures('dirty', households, seed),
    stuckFigures('frozen', households, seed + 500_000),
  ]
  const share = (what: string, count: Count, least: number, most: number): Line => ({
    what,
    figure: shareOf(count),
    least,
    most,
    of: count.of,
  })
  return {
    group: 'Stuck probes',
    lines: [
      share('dirty ones, called by the third contradiction that can be seen', dirty.caught, 0.9, 1),
      share('frozen ones', frozen.caught, 0.9, 1),
      share(
        'false alarms at any time, share of the stays whose probes are sound',
        dirty.falseAlarms,
        0,
        0.02,
      ),
      share('the same, other stays', frozen.falseAlarms, 0, 0.02),
    ],
  }
}
