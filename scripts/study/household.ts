import { randomLogNormal, randomPoisson } from 'd3-random'
import { mersenne } from 'pure-rand/generator/mersenne'
import { ledger } from '@/core/count'
import type { Evidence, PanelRead } from '@/core/learn'
import { effectsOf } from '@/core/learn/effects'
import { compile, compileChances, type Model } from '@/core/compile'
import { sideOf, sparesOf, type Activity, type StayCase } from '@/core/model'
import { owned } from '@/core/quantities'

/** How a household lives with its log and its panel. */
export interface Habits {
  /** Share of its activities that it counts; the others stay expected. */
  counted: number
  /** Which it counts, where it chooses; null: any. */
  choose: ((activity: Activity) => boolean) | null
  /** Coefficient of variation of the crew's own levels, truly. */
  ownSpread: number
  /** Probability of a wrong reading, truly. */
  wrong: number
  /** Probability that one probe is stuck from some time of the first days on. */
  stuck: number
  /** Whether the levels at the start are known, or were read off the panel. */
  knownStart: boolean
  /** Whether it stands at a hookup: what is nearly full is emptied, what is nearly dry is filled, and both are logged. */
  hookup: boolean
  /** Whether its showers are metered. */
  metered: boolean
}

/** What is true of it, and what it wrote down. */
export interface Household {
  stayCase: StayCase
  model: Model
  counted: Set<string>
  evidence: Evidence[]
  own: number[]
  rates: number[]
  capacities: number[]
  /** True levels at each part's start, and at the end of the last: container × (count + 1) + part. */
  levels: Float64Array
  /** Parts it lived through until a tank was full or dry; its evidence ends there. */
  parts: number
  /** Container with a stuck probe, and since when, days. */
  stuck: { container: number; since: number } | null
}

const STEPS = { thirds: [0, 1 / 3, 2 / 3, 1], quarters: [0, 0.25, 0.5, 0.75, 1] }

export type Luck = ReturnType<typeof luckOf>

export function luckOf(seed: number) {
  const generator = mersenne(seed)
  const uniform = () => ((generator.next() >>> 0) + 0.5) / 2 ** 32
  return {
    uniform,
    lognormal: (mean: number, cv: number) => {
      const sigma = Math.sqrt(Math.log(1 + cv * cv))
      return cv === 0 ? mean : randomLogNormal.source(uniform)(Math.log(mean) - sigma ** 2 / 2, sigma)()
    },
    poisson: (mean: number) => (mean <= 0 ? 0 : randomPoisson.source(uniform)(mean)()),
  }
}

/** A household lives through its stay, use by use. @param days how long it keeps its log */
export function household(of: StayCase, habits: Habits, days: number, seed: number): Household {
  const luck = luckOf(seed)
  const people = crewOf(of, habits.ownSpread, luck)
  const stayCase = habits.knownStart ? people : readAtStart(people)
  const model = compile(stayCase, { horizonDays: days })
  const { activities } = stayCase.crew
  const own = activities.map(({ levelSpread }) => luck.lognormal(1, levelSpread.value))
  const isCounted = activities.map((activity) =>
    habits.choose ? habits.choose(activity) : luck.uniform() < habits.counted,
  )
  const rates = activities.map(() => luck.lognormal(1, 0.15))
  const chances = compileChances(stayCase, model)
  const capacities = chances.containers.map(({ spread }) => luck.lognormal(1, spread))
  const truth = { own, rates, capacities }
  const evidence: Evidence[] = []
  const levels = lived(stayCase, model, truth, evidence, isCounted, habits, luck)
  const tanks = model.containers.flatMap(({ side, unit }, c) =>
    side !== 'carrier' && unit === 'L' ? [c] : [],
  )
  const stuck =
    luck.uniform() < habits.stuck
      ? { container: tanks[Math.floor(luck.uniform() * tanks.length)]!, since: 0.4 + luck.uniform() * 2 }
      : null
  readings(model, { levels, capacities, stuck }, tanks, habits, luck, evidence)
  const counted = new Set(activities.filter((_, a) => isCounted[a]).map(({ id }) => id))
  const parts = partsLived(model, levels, capacities)
  const end = model.grid.edges[parts]!
  const seen = evidence.filter(({ at }) => at <= end + 1e-5)
  return { stayCase, model, counted, evidence: seen, ...truth, levels, parts, stuck }
}

function partsLived(
  { grid, containers }: Model,
  levels: Float64Array,
  capacities: readonly number[],
): number {
  const isOver = (part: number) =>
    containers.some(({ side, capacity }, c) => {
      const level = levels[c * (grid.count + 1) + part]!
      return side === 'supply' ? level < 0 : side === 'waste' && level > capacity * capacities[c]!
    })
  for (let part = 1; part <= grid.count; part++) if (isOver(part)) return Math.max(1, part - 1)
  return grid.count
}

/** The demo's people, who shower as often as they do or up to twice as often, and differ by so much from what is assumed. */
function crewOf(of: StayCase, spread: number, luck: Luck): StayCase {
  const crew = structuredClone(of.crew)
  const often = 1 + luck.uniform()
  for (const activity of crew.activities) {
    if (activity.dispersion === 1) activity.levelSpread = { value: spread, by: 'owner' }
    if (activity.kind === 'shower')
      activity.rate = { value: Math.min(1, often * activity.rate.value), by: 'owner' }
  }
  return { ...of, crew }
}

/** Levels at the start read off a panel in quarters: fresh the topmost but full, waste the lowest. */
function readAtStart(of: StayCase): StayCase {
  const levels = of.stay.levels.map((entry) => {
    const tank = of.rig.containers.find(({ id }) => id === entry.container)!
    const capacity = (1 + sparesOf(tank)) * tank.capacity.value
    if (tank.kind === 'solids') return entry
    const share = sideOf(tank.kind) === 'supply' ? 7 / 8 : 1 / 8
    return {
      ...entry,
      level: owned(share * capacity),
      error: { shape: 'even' as const, size: owned(capacity / 4) },
    }
  })
  return { ...of, stay: { ...of.stay, levels } }
}

interface Truth {
  own: number[]
  rates: number[]
  capacities: number[]
}

function lived(
  { crew }: StayCase,
  model: Model,
  { own, rates, capacities }: Truth,
  evidence: Evidence[],
  isCounted: boolean[],
  habits: Habits,
  luck: Luck,
): Float64Array {
  const { grid, containers, volume } = model
  const { drawn, fixed, width } = effectsOf(model, ledger(model))
  const levels = new Float64Array(containers.length * (grid.count + 1))
  const now = containers.map((container, c) => {
    const isFull = container.side === 'supply'
    if (habits.knownStart) {
      evidence.push({ kind: 'known', at: 0, container: c, level: isFull ? 'full' : 0 })
      return isFull ? capacities[c]! * container.capacity : 0
    }
    if (container.unit !== 'L') return container.start
    return (luck.uniform() / 4 + (isFull ? 0.75 : 0)) * capacities[c]! * container.capacity
  })
  const put = (part: number) => now.forEach((level, c) => (levels[c * (grid.count + 1) + part] = level))
  put(0)
  const made = madeUses(crew.activities, model, rates, luck)
  for (let i = 0; i < grid.count; i++) {
    crew.activities.forEach((activity, a) => {
      const row = a * grid.count + i
      for (let n = made[row]!; n > 0; n--) {
        const litres = luck.lognormal(1, activity.spread.value) * own[a]!
        const at = grid.edges[i]! + (grid.edges[i + 1]! - grid.edges[i]!) * luck.uniform()
        for (let j = 0; j < width; j++) now[j]! += drawn[row * width + j]! * litres + fixed[row * width + j]!
        if (isCounted[a]) {
          const isMetered = habits.metered && activity.kind === 'shower'
          evidence.push({
            kind: 'used',
            at,
            activity: a,
            n: 1,
            litres: isMetered ? litres * volume[row]! : null,
            isExtra: false,
          })
        }
      }
    })
    put(i + 1)
    if (!habits.hookup) continue
    containers.forEach(({ side, capacity }, c) => {
      const full = capacity * capacities[c]!
      if (side === 'supply' ? now[c]! > 0.25 * full : side !== 'waste' || now[c]! < 0.75 * full) return
      // Done at the end of the part, before the panel is looked at again.
      const level = side === 'supply' ? 'full' : 0
      now[c] = level === 'full' ? full : 0
      evidence.push({ kind: 'known', at: grid.edges[i + 1]! + 1e-6, container: c, level })
      put(i + 1)
    })
  }
  return levels
}

/** Uses in each part: Poisson, but for what a day has at most once. */
function madeUses(
  activities: readonly Activity[],
  { grid, uses }: Model,
  rates: number[],
  luck: Luck,
): Int32Array {
  const made = new Int32Array(activities.length * grid.count)
  activities.forEach((activity, a) => {
    const mean = (i: number) => uses[a * grid.count + i]! * rates[a]!
    if (activity.dispersion === 0 || activity.rate.value > 1) {
      for (let i = 0; i < grid.count; i++) made[a * grid.count + i] = luck.poisson(mean(i))
      return
    }
    // Each of k who do it at most once a day: k draws with equal shares of the day's mean.
    const k = Math.max(1, Math.round(dayMean(grid, uses, a) / activity.rate.value))
    for (let i = 0; i < grid.count;) {
      let end = i
      while (end < grid.count && grid.day[end] === grid.day[i]) end++
      for (let person = 0; person < k; person++) {
        let u = luck.uniform() * k
        for (let p = i; p < end; p++) {
          u -= mean(p)
          if (u < 0) {
            made[a * grid.count + p]! += 1
            break
          }
        }
      }
      i = end
    }
  })
  return made
}

function dayMean(grid: Model['grid'], uses: Float64Array, a: number): number {
  let most = 0
  let sum = 0
  for (let i = 0; i < grid.count; i++) {
    if (i > 0 && grid.day[i] !== grid.day[i - 1]) sum = 0
    sum += uses[a * grid.count + i]!
    most = Math.max(most, sum)
  }
  return most
}

/** The panel is read morning and evening. */
function readings(
  { grid, containers }: Model,
  { levels, capacities, stuck }: Pick<Household, 'levels' | 'capacities' | 'stuck'>,
  tanks: readonly number[],
  { wrong }: Habits,
  luck: Luck,
  evidence: Evidence[],
): void {
  const edges = luck.uniform() < 0.5 ? STEPS.thirds : STEPS.quarters
  let frozen: number | null = null
  for (let i = 1; i <= grid.count; i++) {
    const part = grid.part[i - 1]!
    if (part % 2 === 1 && i < grid.count) continue
    const at = grid.edges[i]!
    for (const container of tanks) {
      const share =
        levels[container * (grid.count + 1) + i]! / (containers[container]!.capacity * capacities[container]!)
      let step = stepOf(edges, share)
      if (stuck?.container === container && at >= stuck.since) step = frozen ??= step
      else if (luck.uniform() < wrong) step = wrongStep(edges.length, step, luck)
      evidence.push({ kind: 'panel', at: at + 2e-6, container, edges, step } satisfies PanelRead)
    }
  }
}

export function stepOf(edges: readonly number[], share: number): number {
  let step = 0
  while (step + 1 < edges.length && share >= edges[step + 1]!) step++
  return step
}

function wrongStep(states: number, step: number, luck: Luck): number {
  const [above, below] = [states - 1 - step, step]
  const isHigh = below === 0 || (above > 0 && luck.uniform() < 0.8)
  return isHigh ? step + 1 + Math.floor(luck.uniform() * above) : Math.floor(luck.uniform() * below)
}
