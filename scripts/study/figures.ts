import { addWallDays, type WallTime } from '@/core/calendar'
import { compile, compileChances } from '@/core/compile'
import { count, ledger } from '@/core/count'
import { effectsOf, LEARNED } from '@/core/learn'
import type { LogEntry } from '@/core/log'
import { caseOf, type StayCase } from '@/core/domain'
import { PLAN_ON, quantileSorted, riskTables, sampleTrips, samplerOf, type RiskTables } from '@/core/risk'
import { caseNow, learnStay, type StayLearned } from '@/core/underway'
import { trailerDemo } from '../demo/trailer'
import { truckDemo } from '../demo/truck'
import { vanDemo } from '../demo/van'
import { breachedAt } from './ends'
import { entriesOf, type Logging } from './entries'
import { household, luckOf, type Habits, type Household } from './household'

export const CASES: StayCase[] = [trailerDemo(), vanDemo(), truckDemo()].map((document) => {
  const stayCase = caseOf(document, document.stays[0]!.id)
  return { ...stayCase, stay: { ...stayCase.stay, habits: [], counted: [], runs: [] } }
})

/** An ordinary stay: nothing is counted, tanks are looked at morning and evening. */
export const USUAL: Habits = {
  counted: 0,
  choose: null,
  ownSpread: 0.2,
  wrong: 0.08,
  stuck: 0,
  stuckAs: 'frozen',
  knownStart: false,
  panel: null,
  readings: 2,
  typed: false,
  guest: false,
  hookup: false,
  metered: 'none',
}
const TRIPS = 500

/** A share of so many. */
export interface Count {
  inside: number
  of: number
}

export interface Figures {
  /** Of intervals of 80 %, those that hold the truth. */
  activities: Count
  learnedOnes: Count
  total: Count
  levels: Count
  supplies: Count
  wastes: Count
  /** Households whose 'plan on' from then held. */
  holds: Count
  planOn: number
  /** Error of the day's total over the assumption's. */
  totalError: number
  /** Mean error of the levels over that of the count alone. */
  levelError: number
  /** Root mean square error of the own factor over the assumption's, of what was logged of it. */
  shower: number
  liquid: number
  /** Mean error of the days left where up to four are, that of the count alone, and where more are, as a share of them. */
  near: number
  nearAlone: number
  far: number
  /** Stays in which a sound probe was called stuck. */
  falseAlarms: Count
}

export interface Asked {
  habits?: Partial<Habits>
  logging?: Logging
  households: number
  /** When it is looked at, days from the start; never later than the stay lasted. */
  days: number
  seed: number
  /** Whether what is left is played to its end; it takes most of the time. */
  ends?: boolean
}

/** How well a setting is learned, by the application's own ways from log and panel to levels, litres and days left. */
export function figures({
  habits = {},
  logging = 'none',
  households,
  days,
  seed,
  ends = false,
}: Asked): Figures {
  const all = { ...USUAL, ...habits }
  const tables = riskTables()
  const seen = countsOf([
    'activities',
    'learnedOnes',
    'total',
    'levels',
    'supplies',
    'wastes',
    'holds',
    'falseAlarms',
  ])
  const sums = { totalError: 0, priorTotal: 0, levelError: 0, countError: 0, planOn: 0 }
  const near = { error: 0, alone: 0, n: 0, far: 0, nFar: 0 }
  const own2 = new Map<string, [number, number]>()
  for (let k = 0; k < households; k++) {
    const home = household(CASES[k % CASES.length]!, all, ends ? 20 : days, seed + k)
    const part = ends ? partAt(home, days) : home.parts
    if (part > home.parts) continue
    const { model, levels } = home
    const at = addWallDays(model.start, model.grid.edges[part]!)
    const learned = learnedOf(home, logging, at, seed + k)
    litresOf(home, learned, own2, seen)
    totalOf(home, learned, sums, seen.total!)
    const played = ledger(model)
    model.containers.forEach(({ unit, side, capacity }, c) => {
      if (unit !== 'L' || side === 'carrier') return
      const truth = levels[c * (model.grid.count + 1) + part]!
      const { low80, high80, mean } = learned.levels[c]!
      const slack = 1e-6 * capacity
      const isInside = truth >= low80 - slack && truth <= high80 + slack
      hit(seen.levels!, isInside)
      hit(side === 'supply' ? seen.supplies! : seen.wastes!, isInside)
      sums.levelError += Math.abs(mean - truth) / capacity
      sums.countError += Math.abs(played.levels[c * model.grid.count + part - 1]! - truth) / capacity
    })
    hit(seen.falseAlarms!, learned.isSuspect.some(Boolean))
    if (!ends) continue
    const now = caseNow(home.stayCase, learned)
    const plan = planOnOf(now, tables)
    hit(seen.holds!, breachedAt(home, part) >= plan)
    sums.planOn += plan
    leftOf(home, now, part, near)
  }
  const better = (kind: string) => {
    const pair = own2.get(kind)
    return pair ? Math.sqrt(pair[0] / pair[1]) : 1
  }
  return {
    ...(seen as Record<
      'activities' | 'learnedOnes' | 'total' | 'levels' | 'supplies' | 'wastes' | 'holds' | 'falseAlarms',
      Count
    >),
    planOn: sums.planOn / Math.max(1, seen.holds!.of),
    totalError: sums.totalError / sums.priorTotal,
    levelError: sums.levelError / sums.countError,
    shower: better('shower'),
    liquid: better('liquid-use'),
    near: near.error / Math.max(1, near.n),
    nearAlone: near.alone / Math.max(1, near.n),
    far: near.far / Math.max(1, near.nFar),
  }
}

const countsOf = (keys: readonly string[]): Record<string, Count> =>
  Object.fromEntries(keys.map((key) => [key, { inside: 0, of: 0 }]))

export function hit(count: Count, isInside: boolean): void {
  count.of += 1
  if (isInside) count.inside += 1
}

export const shareOf = ({ inside, of }: Count) => inside / Math.max(1, of)

export function learnedOf(home: Household, logging: Logging, at: WallTime, seed: number): StayLearned {
  const log = entriesOf(home, logging, luckOf(seed)).filter((entry) => entry.at <= at)
  return learnedFrom(home, log, at)
}

export const learnedFrom = (home: Household, log: readonly LogEntry[], at: WallTime): StayLearned =>
  learnStay({ stayCase: home.stayCase, log, earlier: [], at, seed: 1 })

const partAt = ({ model: { grid } }: Household, days: number) =>
  grid.edges.findIndex((edge, i) => i > 0 && edge >= days && grid.part[i - 1]! % 2 === 0)

/** Litres of a use: those that lie in their interval, and by how much nearer they are than the assumption. */
function litresOf(
  { stayCase, own, counted }: Household,
  learned: StayLearned,
  own2: Map<string, [number, number]>,
  seen: Record<string, Count>,
): void {
  stayCase.crew.activities.forEach(({ levelSpread, kind, id }, a) => {
    const { posterior, prior, cut, factor } = learned.activities[a]!
    if (levelSpread.value === 0 || posterior.high80 === 0) return
    const truth = own[a]! * prior.median * Math.sqrt(1 + levelSpread.value ** 2)
    const isInside = truth >= posterior.low80 && truth <= posterior.high80
    hit(seen.activities!, isInside)
    if (cut >= LEARNED) hit(seen.learnedOnes!, isInside)
    if (!counted.has(id)) return
    const sums = own2.get(kind) ?? [0, 0]
    own2.set(kind, [sums[0] + (factor - own[a]!) ** 2, sums[1] + (1 - own[a]!) ** 2])
  })
}

/** What a day takes, litres drawn, at factors over what was put in. */
function dayTotal({ stayCase, model }: Household, factors: readonly number[]): number {
  const { count: parts } = model.grid
  return stayCase.crew.activities.reduce((sum, _, a) => {
    let litres = 0
    for (let i = 0; i < parts; i++) litres += model.uses[a * parts + i]! * model.volume[a * parts + i]!
    return sum + litres * factors[a]!
  }, 0)
}

function totalOf(
  home: Household,
  { factors, daySpread }: StayLearned,
  sums: { totalError: number; priorTotal: number },
  total: Count,
): void {
  const truth = dayTotal(
    home,
    home.own.map((own, a) => own * home.rates[a]!),
  )
  const told = dayTotal(home, factors)
  const assumed = dayTotal(
    home,
    factors.map(() => 1),
  )
  sums.totalError += Math.abs(told - truth)
  sums.priorTotal += Math.abs(assumed - truth)
  hit(total, Math.abs(truth - told) <= 1.2816 * daySpread * told)
}

function planOnOf(now: StayCase, tables: RiskTables): number {
  const { days, horizonDays } = tripsOf(now, tables)
  return Math.min(horizonDays, quantileSorted(days.sort(), PLAN_ON))
}

export function tripsOf(now: StayCase, tables: RiskTables) {
  const model = compile(now, { horizonDays: 20 })
  const sampler = samplerOf(model, compileChances(now, model), { tables })
  const { days } = sampleTrips(sampler, { seed: 1, from: 0, to: TRIPS, bandParts: 0 })
  return { days, horizonDays: model.horizonDays }
}

/** Days left at mean uses, as learned and by the count alone, beside what the true litres, rates and levels would give. */
function leftOf(
  home: Household,
  now: StayCase,
  part: number,
  near: { error: number; alone: number; n: number; far: number; nFar: number },
): void {
  const { model } = home
  const truth = daysLeft(home, part, {
    factors: home.own.map((own, a) => own * home.rates[a]!),
    capacities: home.capacities,
    levels: model.containers.map((_, c) => home.levels[c * (model.grid.count + 1) + part]!),
  })
  const played = ledger(model)
  const alone = daysLeft(home, part, {
    factors: home.own.map(() => 1),
    capacities: home.capacities.map(() => 1),
    levels: model.containers.map((_, c) => played.levels[c * model.grid.count + part - 1]!),
  })
  const compiled = compile(now, { horizonDays: 20 })
  const told = count(compiled).days ?? compiled.horizonDays
  if (truth <= 4) {
    near.error += Math.abs(told - truth)
    near.alone += Math.abs(alone - truth)
    near.n += 1
  } else {
    near.far += Math.abs(told - truth) / truth
    near.nFar += 1
  }
}

/** Days to the first limit from a part's start, at mean uses. */
function daysLeft(
  { model, stayCase }: Household,
  part: number,
  known: { factors: number[]; capacities: number[]; levels: number[] },
): number {
  const { grid, containers, uses } = model
  const { drawn, fixed, width } = effectsOf(model, ledger(model))
  const level = [...known.levels]
  const past = (c: number, at: number) => {
    const { side, limit } = containers[c]!
    if (limit === null) return -1
    return side === 'supply' ? limit - at : at - limit * known.capacities[c]!
  }
  if (containers.some((_, c) => past(c, level[c]!) > 0)) return 0
  for (let i = part; i < grid.count; i++) {
    const before = [...level]
    stayCase.crew.activities.forEach((_, a) => {
      const row = a * grid.count + i
      for (let j = 0; j < width; j++)
        level[j]! += uses[row]! * (drawn[row * width + j]! * known.factors[a]! + fixed[row * width + j]!)
    })
    const crossed = containers.flatMap((_, c) => {
      const [from, to] = [past(c, before[c]!), past(c, level[c]!)]
      return to > 0 ? [-from / (to - from)] : []
    })
    if (crossed.length > 0) {
      const length = grid.edges[i + 1]! - grid.edges[i]!
      return grid.edges[i]! + Math.min(...crossed) * length - grid.edges[part]!
    }
  }
  return grid.edges[grid.count]! - grid.edges[part]!
}
