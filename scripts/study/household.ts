import { randomLogNormal, randomNormal, randomPoisson } from 'd3-random'
import { mersenne } from 'pure-rand/generator/mersenne'
import { ledger } from '@/core/count'
import type { Evidence } from '@/core/learn'
import { effectsOf } from '@/core/learn/effects'
import { compile, compileChances, heaterOf, type Model } from '@/core/compile'
import { fillOf, sparesOf, type Activity, type StayCase } from '@/core/domain'
import { owned } from '@/core/quantities'

/** How a household lives with its log and its panel. */
export interface Habits {
  /** Share of its activities whose uses it counts and logs; of the others it logs nothing, or what `logged.ts` says. */
  counted: number
  /** Which it counts, where it chooses; null: any. */
  choose: ((activity: Activity) => boolean) | null
  /** Coefficient of variation of the crew's own factors, truly. */
  ownSpread: number
  /** Probability of a wrong reading, truly. */
  wrong: number
  /** Probability that one probe is stuck from some time of the first days on, and how: at what it showed then, or never below it. */
  stuck: number
  stuckAs: 'frozen' | 'dirty'
  /** Whether fresh was filled to the brim and waste emptied before it began, or levels were read off the panel. */
  knownStart: boolean
  /** What its panels have; null: thirds or quarters, as it comes. */
  panel: keyof typeof STEPS | null
  /** How often a day the levels are read. */
  readings: 2 | 8
  /** Whether they are read in litres by a stick, and typed. */
  typed: boolean
  /** Whether somebody more is there for a day, and nobody says so. */
  guest: boolean
  /** Whether it stands at a hookup: what is nearly full is emptied, what is nearly dry is filled, and both are logged. */
  hookup: boolean
  /** Which uses are metered. */
  metered: 'none' | 'showers' | 'all'
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
  /** The same in the middle of each part: container × count + part. */
  halves: Float64Array
  /** Parts it lived through until a tank was full or dry; its evidence ends there. */
  parts: number
  /** Container with a stuck probe, and since when, days. */
  stuck: { container: number; since: number } | null
}

const STEPS = {
  thirds: [0, 1 / 3, 2 / 3, 1],
  quarters: [0, 0.25, 0.5, 0.75, 1],
  tens: Array.from({ length: 11 }, (_, k) => k / 10),
}
/** What a household's meter is off by, a share of what it tells. */
const METER = 0.03
/** How well a stick is read, a share of the full tank: what the form takes it for. */
const STICK = 0.02

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
  const begun = habits.knownStart ? knownAtStart(people) : readAtStart(people)
  const model = compile(begun, { horizonDays: days })
  const { activities } = begun.crew
  const own = activities.map(({ levelSpread }) => luck.lognormal(1, levelSpread.value))
  const isCounted = activities.map((activity) =>
    habits.choose ? habits.choose(activity) : luck.uniform() < habits.counted,
  )
  const counted = activities.filter((_, a) => isCounted[a]).map(({ id }) => id)
  const stayCase = withCounted(begun, counted)
  const rates = activities.map(() => luck.lognormal(1, 0.15))
  const chances = compileChances(stayCase, model)
  const capacities = chances.containers.map(({ spread }) => luck.lognormal(1, spread))
  const truth = { own, rates, capacities }
  const evidence: Evidence[] = []
  const { levels, halves } = lived(stayCase, model, truth, evidence, habits, luck)
  const tanks = model.containers.flatMap(({ side, unit }, c) =>
    side !== 'carrier' && unit === 'L' ? [c] : [],
  )
  const stuck =
    luck.uniform() < habits.stuck
      ? { container: tanks[Math.floor(luck.uniform() * tanks.length)]!, since: 0.4 + luck.uniform() * 2 }
      : null
  const looks = { levels, halves, capacities, stuck }
  readings(stayCase, model, looks, tanks, habits, luck, evidence)
  const parts = partsLived(model, levels, capacities)
  const end = model.grid.edges[parts]!
  const seen = evidence.filter(({ at }) => at <= end + 1e-5)
  return {
    stayCase,
    model,
    counted: new Set(counted),
    evidence: seen,
    ...truth,
    levels,
    halves,
    parts,
    stuck,
  }
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

function withCounted(of: StayCase, ids: readonly string[]): StayCase {
  const counted = ids.map((activity) => ({ activity, from: of.stay.start, until: null }))
  return { ...of, stay: { ...of.stay, counted } }
}

/** Fresh filled until it ran over, waste emptied: the levels that somebody puts in then. */
function knownAtStart(of: StayCase): StayCase {
  const levels = of.stay.levels.map((entry) => {
    const tank = of.rig.containers.find(({ id }) => id === entry.container)!
    if (tank.kind === 'solids') return entry
    const full = (1 + sparesOf(tank)) * tank.capacity.value
    const level = owned(fillOf(tank.kind) === 'supply' ? full : 0)
    return { ...entry, level, error: { shape: 'even' as const, size: owned(0) } }
  })
  return { ...of, stay: { ...of.stay, levels } }
}

/** Levels at the start read off a panel in quarters: fresh the topmost but full, waste the lowest. */
function readAtStart(of: StayCase): StayCase {
  const levels = of.stay.levels.map((entry) => {
    const tank = of.rig.containers.find(({ id }) => id === entry.container)!
    const capacity = (1 + sparesOf(tank)) * tank.capacity.value
    if (tank.kind === 'solids') return entry
    const share = fillOf(tank.kind) === 'supply' ? 7 / 8 : 1 / 8
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
  habits: Habits,
  luck: Luck,
): { levels: Float64Array; halves: Float64Array } {
  const { grid, containers, volume } = model
  const { drawn, fixed, width } = effectsOf(model, ledger(model))
  const levels = new Float64Array(containers.length * (grid.count + 1))
  const halves = new Float64Array(containers.length * grid.count)
  const now = containers.map((container, c) => {
    const isFull = container.side === 'supply'
    if (container.unit !== 'L') return container.start
    if (habits.knownStart) return isFull ? capacities[c]! * container.capacity : container.start
    return (luck.uniform() / 4 + (isFull ? 0.75 : 0)) * capacities[c]! * container.capacity
  })
  const put = (part: number) => now.forEach((level, c) => (levels[c * (grid.count + 1) + part] = level))
  put(0)
  const meter = luck.lognormal(1, METER)
  const made = madeUses(crew.activities, withGuest(model, crew, habits, luck), rates, luck)
  for (let i = 0; i < grid.count; i++) {
    const half = [...now]
    crew.activities.forEach((activity, a) => {
      const row = a * grid.count + i
      for (let n = made[row]!; n > 0; n--) {
        const litres = luck.lognormal(1, activity.spread.value) * own[a]!
        const when = luck.uniform()
        const at = grid.edges[i]! + (grid.edges[i + 1]! - grid.edges[i]!) * when
        for (let j = 0; j < width; j++) {
          const moved = drawn[row * width + j]! * litres + fixed[row * width + j]!
          now[j]! += moved
          if (when < 0.5) half[j]! += moved
        }
        const isMetered =
          habits.metered === 'all' || (habits.metered === 'showers' && activity.kind === 'shower')
        const metered = isMetered ? meter * litres * volume[row]! : null
        evidence.push({ kind: 'used', at, activity: a, n: 1, litres: metered, isExtra: false })
      }
    })
    half.forEach((level, c) => (halves[c * grid.count + i] = level))
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
  return { levels, halves }
}

/** Somebody more for a day of the first two: what each person does is done once more. */
function withGuest(
  model: Model,
  { activities, persons }: StayCase['crew'],
  { guest }: Habits,
  luck: Luck,
): Model {
  if (!guest) return model
  const { grid } = model
  const day = luck.uniform() < 0.5 ? 0 : 1
  const uses = model.uses.slice()
  activities.forEach(({ per }, a) => {
    if (per !== 'person') return
    for (let i = 0; i < grid.count; i++)
      if (grid.day[i] === day) uses[a * grid.count + i]! *= 1 + 1 / persons.length
  })
  return { ...model, uses }
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

/** Tanks are looked at morning and evening, or eight times a day. */
function readings(
  { rig }: StayCase,
  { grid, containers }: Model,
  { levels, halves, capacities, stuck }: Pick<Household, 'levels' | 'halves' | 'capacities' | 'stuck'>,
  tanks: readonly number[],
  { wrong, panel, readings: perDay, typed, stuckAs }: Habits,
  luck: Luck,
  evidence: Evidence[],
): void {
  const edges = STEPS[panel ?? (luck.uniform() < 0.5 ? 'thirds' : 'quarters')]
  const normal = randomNormal.source(luck.uniform)(0, 1)
  let hangs: number | null = null
  const look = (container: number, total: number, at: number) => {
    const { members } = containers[container]!
    const tank = rig.containers.find(({ id }) => id === members[0])!
    // Of several cassettes the one aboard is looked at; those that are full stand aside.
    const pieces = 1 + sparesOf(tank)
    const heater = heaterOf(rig, members[0]!)
    const room = containers[container]!.capacity - heater
    const full = (room * capacities[container]!) / pieces
    const each = pieces > 1 && 'safeFill' in tank ? tank.safeFill.value * full : full
    const inTank = total - heater
    const level = inTank - Math.min(pieces - 1, Math.max(0, Math.floor(inTank / each))) * each
    if (typed) {
      // Of tanks that stand open to each other one is looked at.
      const alike = tank.capacity.value / (room / pieces)
      const deviation = STICK * tank.capacity.value
      const read = Math.max(0, level * alike + deviation * normal())
      evidence.push({ kind: 'measured', at, container, level: read, deviation })
      return
    }
    let step = stepOf(edges, level / full)
    if (stuck?.container === container && at >= stuck.since) {
      hangs ??= step
      step = stuckAs === 'frozen' ? hangs : Math.max(step, hangs)
    } else if (luck.uniform() < wrong) step = wrongStep(edges.length, step, luck)
    evidence.push({ kind: 'panel', at, container, edges, step })
  }
  for (let i = 1; i <= grid.count; i++) {
    const [from, to] = [grid.edges[i - 1]!, grid.edges[i]!]
    for (const container of tanks) {
      if (perDay === 8) look(container, halves[container * grid.count + i - 1]!, (from + to) / 2 + 2e-6)
      if (perDay === 2 && grid.part[i - 1]! % 2 === 1 && i < grid.count) continue
      look(container, levels[container * (grid.count + 1) + i]!, to + 2e-6)
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
