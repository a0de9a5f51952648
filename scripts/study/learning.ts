import { randomNormal } from 'd3-random'
import { addWallDays } from '@/core/calendar'
import { compile, compileChances } from '@/core/compile'
import { caseOf, type Now, type StayCase } from '@/core/model'
import { effectsOf } from '@/core/learn/effects'
import { PLAN_ON, quantileSorted, riskTables, sampleTrips, samplerOf } from '@/core/risk'
import { ledger } from '@/core/count'
import { jointDraws, LEARNED, learn, type Learned, type Evidence, type PanelRead } from '@/core/learn'
import { takeIn } from '@/core/learn/filter'
import { trailerDemo } from '../demo/trailer'
import { truckDemo } from '../demo/truck'
import { vanDemo } from '../demo/van'
import { breachedAt } from './ends'
import { household, luckOf, stepOf, type Habits, type Household } from './household'

const CASES: StayCase[] = [trailerDemo(), vanDemo(), truckDemo()].map((document) => {
  const stayCase = caseOf(document, document.stays[0]!.id)
  return { ...stayCase, stay: { ...stayCase.stay, habits: [] } }
})

const USUAL: Habits = {
  counted: 0.5,
  choose: null,
  ownSpread: 0.2,
  wrong: 0.08,
  stuck: 0.1,
  knownStart: false,
  hookup: false,
  metered: false,
}

export interface Figures {
  activities: number
  learnedOnes: number
  total: number
  levels: number
  /** Error of the day's total over the prior's. */
  totalError: number
  levelError: number
  /** Root mean square error of the own level over the prior's, of counted showers and liquid flushes. */
  shower: number
  liquid: number
  caught: number
  falseAlarms: number
}

/** What a day takes in this rig, litres of fresh water, at given own levels and rates. */
function dayTotal({ stayCase, model }: Household, own: readonly number[], rates: readonly number[]): number {
  return stayCase.crew.activities.reduce((sum, _, a) => {
    let litres = 0
    for (let i = 0; i < model.grid.count; i++)
      litres += model.uses[a * model.grid.count + i]! * model.volume[a * model.grid.count + i]!
    return sum + litres * own[a]! * rates[a]!
  }, 0)
}

export function figures(habits: Partial<Habits>, households: number, days: number, seed: number): Figures {
  const all = { ...USUAL, ...habits }
  const seen = { activities: [0, 0], learned: [0, 0], total: [0, 0], levels: [0, 0] }
  const hit = (key: keyof typeof seen, inside: boolean) => {
    seen[key][0]! += inside ? 1 : 0
    seen[key][1]! += 1
  }
  let [totalError, priorTotal, levelError, countError] = [0, 0, 0, 0]
  const own2: Record<string, [number, number]> = {}
  let [stuckStays, caught, soundStays, falseAlarms] = [0, 0, 0, 0]
  for (let k = 0; k < households; k++) {
    const home = household(CASES[k % CASES.length]!, all, days, seed + k)
    const { model, stayCase, evidence, counted, own, rates, levels } = home
    const { parts } = home
    const until = model.grid.edges[parts]! + 1e-5
    const learned = learn(stayCase, model, evidence, { counted, until })
    const { activities } = stayCase.crew
    activities.forEach(({ levelSpread, kind }, a) => {
      if (levelSpread.value === 0) return
      const { posterior, prior, cut, factor } = learned.activities[a]!
      if (posterior.high80 === 0) return
      const truth = own[a]! * (prior.median * Math.sqrt(1 + levelSpread.value ** 2))
      const inside = truth >= posterior.low80 && truth <= posterior.high80
      hit('activities', inside)
      if (cut >= LEARNED) hit('learned', inside)
      if (counted.has(activities[a]!.id)) {
        const sums = (own2[kind] ??= [0, 0])
        sums[0] += (factor - own[a]!) ** 2
        sums[1] += (1 - own[a]!) ** 2
      }
    })
    const { state } = learned.filter
    const m = activities.map((_, a) => state.mean[a]!)
    const r = activities.map((_, a) => state.mean[activities.length + a]!)
    const truth = dayTotal(home, own, rates)
    const ones = activities.map(() => 1)
    totalError += Math.abs(dayTotal(home, m, r) - truth)
    priorTotal += Math.abs(dayTotal(home, ones, ones) - truth)
    hit('total', totalInside(home, state.covariance, state.size, m, r, truth))
    const played = ledger(model)
    model.containers.forEach(({ unit, side, capacity }, c) => {
      if (unit !== 'L' || side === 'carrier') return
      const at = levels[c * (model.grid.count + 1) + parts]!
      const now = learned.levels[c]!
      hit('levels', at >= now.low80 - 1e-9 && at <= now.high80 + 1e-9)
      levelError += Math.abs(now.mean - at) / capacity
      const alone = played.levels[c * model.grid.count + parts - 1]!
      countError += Math.abs(alone - at) / capacity
    })
    if (home.stuck) {
      const third = contradictions(home)[2]
      if (third !== undefined) {
        stuckStays += 1
        caught += learn(stayCase, model, evidence, { counted, until: third + 1e-9 }).isSuspect[
          home.stuck.container
        ]
          ? 1
          : 0
      }
    } else {
      soundStays += 1
      falseAlarms += learned.isSuspect.some(Boolean) ? 1 : 0
    }
  }
  const better = (sums: [number, number] | undefined) => (sums ? Math.sqrt(sums[0] / sums[1]) : 1)
  const share = ([inside, n]: readonly number[]) => inside! / Math.max(1, n!)
  return {
    activities: share(seen.activities),
    learnedOnes: share(seen.learned),
    total: share(seen.total),
    levels: share(seen.levels),
    totalError: totalError / priorTotal,
    levelError: levelError / countError,
    shower: better(own2.shower),
    liquid: better(own2['liquid-use']),
    caught: caught / Math.max(1, stuckStays),
    falseAlarms: falseAlarms / Math.max(1, soundStays),
  }
}

/** Whether the day's total lies in its interval: a linear look at own levels and rates. */
function totalInside(
  home: Household,
  covariance: Float64Array,
  size: number,
  m: number[],
  r: number[],
  truth: number,
): boolean {
  const n = m.length
  const total = dayTotal(home, m, r)
  const grad = new Float64Array(size)
  for (let a = 0; a < n; a++) {
    const bump = m.map((x, k) => (k === a ? x + 1e-4 : x))
    grad[a] = (dayTotal(home, bump, r) - total) / 1e-4
    const rate = r.map((x, k) => (k === a ? x + 1e-4 : x))
    grad[n + a] = (dayTotal(home, m, rate) - total) / 1e-4
  }
  let variance = 0
  for (let i = 0; i < 2 * n; i++)
    for (let j = 0; j < 2 * n; j++) variance += grad[i]! * grad[j]! * covariance[i * size + j]!
  return Math.abs(truth - total) <= 1.2816 * Math.sqrt(variance)
}

/** When the stuck probe showed another step than the true one, where a false one is seen at p < 0.05: days. */
function contradictions(home: Household): number[] {
  const { evidence, stuck, levels, model, capacities, stayCase, counted } = home
  const { container, since } = stuck!
  const isStuck = (one: Evidence): one is PanelRead =>
    one.kind === 'panel' && one.container === container && one.at >= since
  const others = evidence.filter((one) => !isStuck(one))
  return evidence.filter(isStuck).flatMap((one) => {
    const part = model.grid.edges.findIndex((edge) => Math.abs(edge - one.at) < 1e-4)
    const level = levels[container * (model.grid.count + 1) + part]!
    if (
      stepOf(one.edges, level / (model.containers[container]!.capacity * capacities[container]!)) === one.step
    )
      return []
    const { ground, filter } = learn(stayCase, model, others, { counted, until: one.at })
    return Math.exp(takeIn(ground, filter, one)) < 0.05 ? [one.at] : []
  })
}

export interface DaysFigures {
  /** Mean error of the days left, days: learned, and by the count alone. */
  near: number
  nearAlone: number
  /** Where more than four are left: as a share of them. */
  far: number
  /** Share of households whose 'plan on' from now held. */
  holds: number
  /** Its mean, and without the panel. */
  planOn: number
  blind: number
}

/** Days left of a stay under way, from its log and its panel, against what its true volumes and levels would give. */
export function daysFigures(households: number, at: number, seed: number): DaysFigures {
  const tables = riskTables()
  const sums = { near: 0, nearAlone: 0, n: 0, far: 0, nFar: 0, held: 0, planOn: 0, blind: 0, all: 0 }
  for (let k = 0; k < households; k++) {
    const home = household(CASES[k % CASES.length]!, USUAL, 20, seed + k)
    const { model, stayCase, evidence, counted } = home
    const part = partAtDays(home, at)
    const until = model.grid.edges[part]! + 1e-5
    if (part > home.parts) continue
    const seen = evidence.filter((one) => one.at <= until)
    const learned = learn(stayCase, model, seen, { counted, until })
    const blindly = learn(
      stayCase,
      model,
      seen.filter(({ kind }) => kind !== 'panel'),
      { counted, until },
    )
    const left = daysLeft(home, part, {
      own: home.own,
      rates: home.rates,
      capacities: home.capacities,
      levels: levelsAt(home, part),
    })
    const told = daysLeft(home, part, meansOf(learned))
    const ones = home.own.map(() => 1)
    const played = ledger(model)
    const alone = daysLeft(home, part, {
      own: ones,
      rates: ones,
      capacities: home.capacities.map(() => 1),
      levels: model.containers.map((_, c) => played.levels[c * model.grid.count + part - 1]!),
    })
    if (left <= 4) {
      sums.near += Math.abs(told - left)
      sums.nearAlone += Math.abs(alone - left)
      sums.n += 1
    } else {
      sums.far += Math.abs(told - left) / left
      sums.nFar += 1
    }
    const ended = breachedAt(home, part)
    const plan = planOnFrom(home, learned, part, tables)
    sums.held += ended >= plan ? 1 : 0
    sums.planOn += plan
    sums.blind += planOnFrom(home, blindly, part, tables)
    sums.all += 1
  }
  return {
    near: sums.near / sums.n,
    nearAlone: sums.nearAlone / sums.n,
    far: sums.far / Math.max(1, sums.nFar),
    holds: sums.held / sums.all,
    planOn: sums.planOn / sums.all,
    blind: sums.blind / sums.all,
  }
}

const partAtDays = ({ model: { grid } }: Household, days: number) =>
  grid.edges.findIndex((edge, i) => i > 0 && edge >= days && grid.part[i - 1]! % 2 === 0)

const levelsAt = ({ levels, model }: Household, part: number) =>
  model.containers.map((_, c) => levels[c * (model.grid.count + 1) + part]!)

interface Known {
  own: number[]
  rates: number[]
  capacities: number[]
  levels: number[]
}

function meansOf({ filter: { state }, ground }: Learned): Known {
  const [n, m] = [ground.activities.length, ground.containers.length]
  const mean = [...state.mean]
  return {
    own: mean.slice(0, n),
    rates: mean.slice(n, 2 * n),
    capacities: mean.slice(2 * n, 2 * n + m),
    levels: mean.slice(2 * n + m),
  }
}

/** Days to the first limit from a part's start, at mean uses. */
function daysLeft({ model, stayCase }: Household, part: number, known: Known): number {
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
      const n = uses[row]! * known.rates[a]!
      for (let j = 0; j < width; j++)
        level[j]! += n * (drawn[row * width + j]! * known.own[a]! + fixed[row * width + j]!)
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

function planOnFrom(
  home: Household,
  { ground, filter }: Learned,
  part: number,
  tables: ReturnType<typeof riskTables>,
): number {
  const { stayCase, model } = home
  const normal = randomNormal.source(luckOf(77).uniform)(0, 1)
  const { levels } = meansOf({ ground, filter } as Learned)
  const from: Now = {
    at: addWallDays(model.start, model.grid.edges[part]!),
    levels: model.containers.map(({ id }, c) => ({ container: id, level: levels[c]! })),
    vessels: [],
    onSolids: [],
    draws: jointDraws(ground, filter, 500, normal),
  }
  const now = compile(stayCase, { from, horizonDays: 20 })
  const sampler = samplerOf(now, compileChances(stayCase, now, from), { tables })
  const { days } = sampleTrips(sampler, { seed: 1, from: 0, to: 500, bandParts: 0 })
  return Math.min(20, quantileSorted(days.sort(), PLAN_ON))
}
