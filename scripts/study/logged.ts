import { addWallDays, wallDaysBetween, wallTimeAt, wallMinutes, type WallTime } from '@/core/calendar'
import { compile, compileChances } from '@/core/compile'
import type { Evidence, PanelRead, Used } from '@/core/learn'
import type { LogEntry } from '@/core/log'
import { caseOf, type StayCase } from '@/core/model'
import {
  chanceToLast,
  PLAN_ON,
  quantileSorted,
  riskTables,
  sampleTrips,
  samplerOf,
  type RiskTables,
} from '@/core/risk'
import { caseNow, learnStay, type StayLearned } from '@/core/underway'
import { trailerDemo } from '../demo/trailer'
import { truckDemo } from '../demo/truck'
import { vanDemo } from '../demo/van'
import { breachedAt } from './ends'
import { household, luckOf, type Habits, type Household } from './household'

/** How a crew keeps its log: of an ordinary stay nothing is set to counted, and all goes the way of the application. */
export const LOGGING = ['each', 'half', 'stops', 'none'] as const
export type Logging = (typeof LOGGING)[number]

export const CASES: StayCase[] = [trailerDemo(), vanDemo(), truckDemo()].map((document) => {
  const stayCase = caseOf(document, document.stays[0]!.id)
  return { ...stayCase, stay: { ...stayCase.stay, habits: [], counted: [], runs: [] } }
})
const USUAL: Habits = {
  counted: 1,
  choose: null,
  ownSpread: 0.2,
  wrong: 0.08,
  stuck: 0,
  knownStart: false,
  hookup: false,
  metered: false,
}
/** Those who stop log for so long. */
const STOPS_AFTER_D = 1
const TRIPS = 500

export interface LoggedFigures {
  /** Share of levels that lie in their interval of 80 %. */
  levels: number
  /** Share of households whose 'plan on' from then held. */
  holds: number
  households: number
}

/** Levels and days left after some days of keeping a log in one way, with the panel read morning and evening. */
export function loggedFigures(
  logging: Logging,
  households: number,
  days: number,
  seed: number,
): LoggedFigures {
  const tables = riskTables()
  const seen = { levels: 0, all: 0, held: 0, households: 0 }
  for (let k = 0; k < households; k++) {
    const home = household(CASES[k % CASES.length]!, USUAL, 20, seed + k)
    const { grid, containers } = home.model
    const part = grid.edges.findIndex((edge, i) => i > 0 && edge >= days && grid.part[i - 1]! % 2 === 0)
    if (part > home.parts) continue
    const at = addWallDays(home.model.start, grid.edges[part]!)
    const learned = learnedOf(home, logging, at, luckOf(seed + k))
    containers.forEach(({ unit, side, capacity }, c) => {
      if (unit !== 'L' || side === 'carrier') return
      const truth = home.levels[c * (grid.count + 1) + part]!
      const { low80, high80 } = learned.levels[c]!
      seen.all += 1
      if (truth >= low80 - 1e-6 * capacity && truth <= high80 + 1e-6 * capacity) seen.levels += 1
    })
    const plan = planOnOf(caseNow(home.stayCase, learned), tables)
    seen.held += breachedAt(home, part) >= plan ? 1 : 0
    seen.households += 1
  }
  return {
    levels: seen.levels / seen.all,
    holds: seen.held / seen.households,
    households: seen.households,
  }
}

function learnedOf(
  home: Household,
  logging: Logging,
  at: WallTime,
  luck: ReturnType<typeof luckOf>,
): StayLearned {
  const log = entriesOf(home, logging, luck).filter((entry) => entry.at <= at)
  return learnStay({ stayCase: home.stayCase, log, earlier: [], at, seed: 1 })
}

/** What is written down: uses as that crew writes them, and every reading of the panel. */
export function entriesOf(home: Household, logging: Logging, luck: ReturnType<typeof luckOf>): LogEntry[] {
  const { stayCase, model } = home
  return home.evidence.flatMap((one, k): LogEntry[] => {
    const at = wallTimeAt(Math.floor(wallMinutes(model.start) + one.at * 1440 + 1e-6))
    const head = headOf(stayCase, at, k)
    if (one.kind === 'panel')
      return [{ ...head, kind: 'reading', ...readingOf(home, one), isOffLevel: false }]
    if (one.kind !== 'used' || !isLogged(one, logging, luck)) return []
    return [useEntry(stayCase, one, head)]
  })
}

type Head = ReturnType<typeof headOf>
function headOf({ stay, rig }: StayCase, at: WallTime, k: number) {
  const id = `entry-${String(k).padStart(6, '0')}`
  return { id, revision: 1, isRemoved: false, rig: rig.id, stay: stay.id, at, utc: `${at}:00.000Z`, note: '' }
}

function useEntry({ crew }: StayCase, { activity, n, litres }: Used, head: Head): LogEntry {
  const id = crew.activities[activity]!.id
  return { ...head, kind: 'use', activity: id, n, person: null, litres, minutes: null }
}

function readingOf({ model }: Household, { container, edges, step }: PanelRead) {
  return {
    container: model.containers[container]!.members[0]!,
    saw: { as: 'panel' as const, edges: [...edges], step },
  }
}

function isLogged({ at }: Evidence, logging: Logging, luck: ReturnType<typeof luckOf>): boolean {
  if (logging === 'half') return luck.uniform() < 0.5
  return logging === 'each' || (logging === 'stops' && at < STOPS_AFTER_D)
}

function planOnOf(stayCase: StayCase, tables: RiskTables): number {
  const { days, model } = tripsOf(stayCase, tables)
  return Math.min(model.horizonDays, quantileSorted(days.sort(), PLAN_ON))
}

function tripsOf(stayCase: StayCase, tables: RiskTables) {
  const model = compile(stayCase, { horizonDays: 20 })
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  return { model, ...sampleTrips(sampler, { seed: 1, from: 0, to: TRIPS, bandParts: 0 }) }
}

export interface DayFigures {
  /** Mean of what a day's log moves the chance to make all nights by, and of its size. */
  mean: number
  size: number
  /** The same of the levels, as a share of the capacity. */
  levels: number
  days: number
}

/** Days of a crew that lives as its model says, each use logged as it happens, beside the same days with nothing logged. */
export function dayFigures(days: number, seed: number): DayFigures {
  const tables = riskTables()
  const sum = { mean: 0, size: 0, levels: 0, tanks: 0, days: 0 }
  for (let k = 0; sum.days < days; k++) {
    const luck = luckOf(seed + k)
    const home = household(CASES[k % CASES.length]!, { ...USUAL, ownSpread: 0 }, 8, seed + k)
    const first = 1 + Math.floor(3 * luck.uniform())
    const [from, until] = [`${dayOf(home, first)}T05:00`, `${dayOf(home, first)}T${HOURS[k % HOURS.length]!}`]
    if (wallDaysBetween(home.model.start, until) > home.model.grid.edges[home.parts]!) continue
    const logged = entriesOf(home, 'each', luck).filter(
      (entry) => entry.kind === 'use' && entry.at >= from && entry.at <= until,
    )
    const chance = (log: LogEntry[]) => {
      const learned = learnStay({ stayCase: home.stayCase, log, earlier: [], at: until, seed: 1 })
      const now = caseNow(home.stayCase, learned)
      const left = wallDaysBetween(until, home.stayCase.stay.leaveAt)
      return { learned, chance: chanceToLast(tripsOf(now, tables).days, left / 2) }
    }
    const [without, withIt] = [chance([]), chance(logged)]
    sum.mean += withIt.chance - without.chance
    sum.size += Math.abs(withIt.chance - without.chance)
    withIt.learned.levels.forEach(({ mean }, c) => {
      const { capacity, side } = home.model.containers[c]!
      if (side === 'carrier') return
      const sign = side === 'supply' ? -1 : 1
      sum.levels += (sign * (mean - without.learned.levels[c]!.mean)) / capacity
      sum.tanks += 1
    })
    sum.days += 1
  }
  const { mean, size, levels, tanks } = sum
  return { mean: mean / days, size: size / days, levels: levels / tanks, days }
}

/** Midday, evening and the end of a day: a log is looked at at any hour. */
const HOURS = ['13:30', '18:00', '22:45'] as const
export const dayOf = ({ model }: Household, day: number) => addWallDays(model.start, day).slice(0, 10)
