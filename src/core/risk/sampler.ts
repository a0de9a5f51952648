import { amountsBeforeReuse, ledger as play, type Ledger } from '../count'
import { heatStepsAt, type ActivityChance, type Chances, type Model, type UseLine } from '../model'
import { accountsOf, type Accounts, type Entries } from './accounts'
import { blocksOf } from './trips'
import { COMPOUND_SLICES, compoundTables } from './compound'
import { poissonTables, type PoissonTables } from './poisson'
import { edgesOf, lognormalSlices, normalSlices, type Slices } from './slices'

/** Slices of the litres of n uses together; of what is drawn once a trip; of a day's heat. */
export const SUM_SLICES = 512
export const TRIP_SLICES = 2048
const HEAT_SLICES = 16
/** Up to so many uses in a part the sum of their litres has a table of its own; above it is normal. */
export const SUM_ROWS = 64

/** One activity, ready to be drawn. */
export interface ActivitySampler {
  index: number
  /** How its many uses are drawn: not at all, exactly, their litres only, or their number and then their litres. */
  many: 'none' | 'exact' | 'litres' | 'uses'
  /** CV of one use's litres. */
  spread: number
  /** The crew's own level; mean 1. */
  level: Slices
  /** Litres of n uses over those of one: row n − 1. */
  sums: Float32Array
  /** The parts in which it may fall, whatever the habits, and where each block's begin among them. */
  parts: Int32Array
  blockAt: Int32Array
  /** By place in `parts`: mean uses that a trip starts from, L of one use, uses that a step of heat adds. */
  uses: Float64Array
  perUse: Float64Array
  perStep: Float64Array
  /** How many heats make a difference to it: all of the weather's, or 1. */
  heats: number
  /** Place × heats + heat: a Poisson table's number, or where the litres' slices begin in `slices`. */
  tables: Int32Array
  slices: Float32Array
  /** Cumulated uses of those who do it at most once: unit, then day × heats + heat, then the four parts. */
  once: Float64Array[]
  viaStreams: boolean
}

export interface ContainerSampler {
  capacity: Slices
  spread: number
  starts: Chances['containers'][0]['starts']
  heater: number
}

/**
 * A stay made ready for sampling: tables built, coefficients merged. Draws are deviations from the ledger, so that
 * without any spread every trip is the ledger to the last bit.
 */
export interface Sampler {
  model: Model
  ledger: Ledger
  accounts: Accounts
  /** An activity's entries where they are the same in every part, else null. */
  entriesOf: (Entries | null)[]
  /** First part of each block of days, and the end. */
  blocks: Int32Array
  /** Which way each container's level moves to its limit: 1 up, −1 down, 0 for one without. */
  signs: Int8Array
  /** Those that differ from trip to trip. */
  activities: ActivitySampler[]
  /** The crew's own level of every activity, drawn whether or not it is needed. */
  levels: Slices[]
  containers: ContainerSampler[]
  poisson: PoissonTables
  /** Standard normal slices. */
  normal: Slices
  normalSums: Slices
  /** Different heats of a day: 1 where the weather is taken as it stands. */
  heats: number
  /** Steps of heat less those of the ledger: day × heats + heat. */
  heatChange: Float64Array
  /** Amounts before reuse, for the streams of activities that a vessel touches. */
  beforeReuse: Float64Array
  reusing: number[]
}

/**
 * @param base the ledger of the model, where it is already played
 * @param withFlush also adds up the liquid and the solids of every container that solids reach
 */
export function samplerOf(
  model: Model,
  chances: Chances,
  { base = play(model), withFlush = false }: { base?: Ledger; withFlush?: boolean } = {},
): Sampler {
  const tables = tablesOf()
  const weather = weatherOf(chances)
  const poisson = poissonTables()
  const viaStreams = touchedByVessels(model)
  const isBase = chances.activities.map(({ exact }, a) => exact || viaStreams[a]!)
  const accounts = accountsOf(model, base, { viaStreams, isBase, withFlush })
  const blocks = blocksOf(model.grid.day)
  const activities = chances.activities.flatMap((chance, index) => {
    const needsUses = viaStreams[index]! || model.grid.day.some((_, i) => accounts.entries(index, i).perUse.some((each) => each !== 0))
    const many = manyOf(chance, weather, needsUses)
    if (many === 'none' && chance.once.length === 0) return []
    const parts = Int32Array.from([...model.grid.part.keys()].filter((i) => chance.falls[model.grid.part[i]!]))
    const at = (row: Float64Array) => Float64Array.from(parts, (i) => row[index * model.grid.count + i]!)
    const ownHeats = [chance.many, ...chance.once].some((line) => line.perStep.some((rate) => rate > 0)) ? weather.heats : 1
    const means = many === 'litres' || many === 'uses' ? meansOf(chance.many, parts, model, weather, ownHeats) : []
    return [{
      index,
      many,
      spread: chance.spread,
      level: tables.trip(chance.levelSpread),
      sums: tables.sums(chance.spread),
      parts,
      blockAt: Int32Array.from(blocks, (first) => countBelow(parts, first)),
      uses: isBase[index]! ? at(model.uses) : new Float64Array(parts.length),
      perUse: at(model.volume),
      heats: ownHeats,
      perStep: Float64Array.from(parts, (i) => chance.many.perStep[i]!),
      ...(many === 'litres' ? laidOut(means, tables.compound(chance.spread)) : { tables: Int32Array.from(means, (mean) => poisson.add(mean)), slices: new Float32Array(0) }),
      once: chance.once.map((line) => dayTables(line, model, weather, ownHeats)),
      viaStreams: viaStreams[index]!,
    }]
  }) // prettier-ignore
  return {
    model,
    ledger: base,
    accounts,
    levels: chances.activities.map(({ levelSpread }) => tables.trip(levelSpread)),
    entriesOf: model.activities.map((_, a) => {
      const first = accounts.entries(a, 0)
      const isSame = model.grid.day.every((_, i) => accounts.entries(a, i) === first)
      return isSame ? first : null
    }),
    signs: Int8Array.from(model.containers, ({ limit, side }) => (limit === null ? 0 : side === 'supply' ? -1 : 1)),
    blocks,
    activities,
    containers: chances.containers.map(({ spread, starts, heater }) => ({ capacity: tables.trip(spread), spread, starts, heater })),
    poisson: poisson.build(),
    normal: tables.normal,
    normalSums: tables.normalSums,
    heats: weather.heats,
    heatChange: weather.change,
    beforeReuse: model.vessels.length > 0 ? amountsBeforeReuse(model) : new Float64Array(0),
    reusing: model.streams.flatMap(({ activity }, s) => (viaStreams[activity] ? [s] : [])),
  }
} // prettier-ignore

/** An exact activity needs no draw where neither its litres nor the heat vary. */
function manyOf(
  chance: ActivityChance,
  { heats }: WeatherTables,
  needsUses: boolean,
): ActivitySampler['many'] {
  if (!chance.exact) return !chance.isMany ? 'none' : needsUses ? 'uses' : 'litres'
  const heated = heats > 1 && chance.many.perStep.some((rate) => rate > 0)
  return chance.spread > 0 || chance.levelSpread > 0 || heated ? 'exact' : 'none'
}

function countBelow(parts: Int32Array, first: number): number {
  return parts.findIndex((i) => i >= first) < 0 ? parts.length : parts.findIndex((i) => i >= first)
}

/** The tables of many means, each once, one behind the other. */
function laidOut(means: readonly number[], tableOf: (mean: number) => Slices) {
  const distinct = [...new Set(means)]
  const slices = new Float32Array(distinct.length * COMPOUND_SLICES)
  distinct.forEach((mean, k) => slices.set(tableOf(mean), k * COMPOUND_SLICES))
  const at = new Map(distinct.map((mean, k) => [mean, k * COMPOUND_SLICES]))
  return { tables: Int32Array.from(means, (mean) => at.get(mean)!), slices }
}

/** Activities whose water a vessel catches or gives. */
function touchedByVessels({ activities, streams, vessels }: Model): boolean[] {
  const touched = activities.map(() => false)
  for (const { donors, recipients } of vessels)
    for (const { stream } of [...donors, ...recipients]) touched[streams[stream]!.activity] = true
  return touched
}

interface WeatherTables {
  heats: number
  /** Steps of heat, day × heats + heat, and less those of the day as given. */
  steps: Float64Array
  change: Float64Array
}

/** A day's warmest is normal about what is given, in slices; where no slice of any day is hot there is one heat. */
function weatherOf({ warmest, warmestSpread, heatAbove }: Chances): WeatherTables {
  const slices = normalSlices(edgesOf(warmestSpread > 0 ? HEAT_SLICES : 1))
  const given = warmest.map((celsius) => heatStepsAt(celsius, heatAbove))
  const steps = Float64Array.from(
    [...warmest].flatMap((celsius) =>
      [...slices].map((z) => heatStepsAt(celsius + z * warmestSpread, heatAbove)),
    ),
  )
  const change = steps.map((step, k) => step - given[Math.floor(k / slices.length)]!)
  return { heats: slices.length, steps, change }
}

/** Mean uses by place and heat. */
function meansOf(
  line: UseLine,
  parts: Int32Array,
  { grid }: Model,
  { heats, steps }: WeatherTables,
  ownHeats: number,
): number[] {
  return [...parts].flatMap((i) =>
    Array.from(
      { length: ownHeats },
      (_, heat) => line.cool[i]! + line.perStep[i]! * steps[grid.day[i]! * heats + heat]!,
    ),
  )
}

/** Uses of one unit cumulated over the four parts of each day and heat; parts outside the grid have none. */
function dayTables(
  { cool, perStep }: UseLine,
  { grid }: Model,
  { heats, steps }: WeatherTables,
  ownHeats: number,
): Float64Array {
  const days = grid.day[grid.count - 1]! + 1
  const table = new Float64Array(days * ownHeats * 4)
  for (let i = 0; i < grid.count; i++)
    for (let heat = 0; heat < ownHeats; heat++) {
      const k = grid.day[i]! * ownHeats + heat
      table[k * 4 + grid.part[i]!] = cool[i]! + perStep[i]! * steps[grid.day[i]! * heats + heat]!
    }
  for (let k = 0; k < table.length; k++) if (k % 4 > 0) table[k]! += table[k - 1]!
  return table
}

/** Slices by coefficient of variation, each built once. */
function tablesOf() {
  const [tripEdges, sumEdges] = [edgesOf(TRIP_SLICES), edgesOf(SUM_SLICES)]
  const once = <T>(build: (cv: number) => T) => {
    const known = new Map<number, T>()
    return (cv: number): T => {
      if (!known.has(cv)) known.set(cv, build(cv))
      return known.get(cv)!
    }
  }
  return {
    normal: normalSlices(tripEdges),
    normalSums: normalSlices(sumEdges),
    compound: once(compoundTables),
    trip: once((cv) => lognormalSlices(1, cv, tripEdges)),
    /**
     * The litres of n uses over the mean of one: lognormal with the mean n and the CV cv/√n of the sum. Mean and variance
     * are exact, the skewness within 2 % at a CV of 0.35.
     */
    sums: once((cv) => {
      const rows = new Float32Array(SUM_ROWS * SUM_SLICES)
      for (let n = 1; n <= SUM_ROWS; n++)
        rows.set(lognormalSlices(n, cv / Math.sqrt(n), sumEdges), (n - 1) * SUM_SLICES)
      return rows
    }),
  }
}
