import { amountsBeforeReuse, ledger as play, type Ledger } from '../count'
import { heatStepsAt, type ActivityChance, type Chances, type Model, type UseLine } from '../model'
import { accountsOf, type Accounts, type Term } from './accounts'
import { riskTables, type RiskTables, type SumsTable } from './tables'
import type { CompoundTables } from './compound'
import { edgesOf, normalSlices, type Slices } from './slices'

/** Slices of a day's heat. */
const HEAT_SLICES = 16
const WHOLE = 2 ** 32
export const GUIDE_BITS = 6

/** One activity, ready to be drawn. */
export interface ActivitySampler {
  index: number
  /** How its many uses are drawn: not at all, exactly, or as a Poisson number. */
  many: 'none' | 'exact' | 'poisson'
  /** How many heats make a difference to it: all of the weather's, or 1. */
  heats: number
  compound: CompoundTables
  /** Part × heats + heat: how its mean is drawn from `compound`. */
  code: Int32Array
  scale: Float64Array
  /** Mean uses per part, and what a step of heat adds to them. */
  uses: Float64Array
  perStep: Float64Array
  /** Whether the base holds its mean uses: then a trip adds what differs. */
  isBase: boolean
  /** Whether anything counts its uses, and not its litres alone. */
  needsUses: boolean
  /** For each part of the day its place among the sixteen-bit draws of a day; −1 where it never falls, whatever the habits. */
  places: Int32Array
  /** Where its first unit of `once` stands among all. */
  firstOnce: number
  /** 1 in the parts in which nobody does it. */
  idle: Uint8Array
  /** Those who do it at most once a day. */
  once: OnceTable[]
  /** Litres of whole numbers of uses over those of one. */
  sums: SumsTable
  viaStreams: boolean
  /** Its one term, where its litres alone matter and do so in two accounts: then they go there at once. */
  through: Term | null
}

/** One who does something at most once a day. */
export interface OnceTable {
  /** Cumulated uses × 2^32: day × heats + heat, then the four parts. */
  upTo: Float64Array
  /** The part with which to begin to look, by day × heats + heat and the top bits of the draw. */
  guide: Uint8Array
}

export interface ContainerSampler {
  capacity: Slices
  starts: Chances['containers'][0]['starts']
  heater: number
}

/**
 * A stay made ready for sampling: coefficients merged, tables at hand. Without any spread nothing is drawn and every
 * trip is the ledger to the last bit.
 */
export interface Sampler {
  model: Model
  ledger: Ledger
  chances: Chances
  accounts: Accounts
  /** Random numbers of a day: one for its heat, one for each unit of `once`, then one for every two places. */
  wordsPerDay: number
  firstPlace: number
  /** Which way each container's level moves to its limit: 1 up, −1 down, 0 for one without. */
  signs: Int8Array
  /** Those that differ from trip to trip. */
  activities: ActivitySampler[]
  /** The crew's own level of every activity, drawn whether or not it is needed. */
  levels: Slices[]
  containers: ContainerSampler[]
  /** Standard normal slices. */
  normal: Slices
  /** Different heats of a day: 1 where the weather is taken as it stands. */
  heats: number
  /** Steps of heat less those of the ledger: day × heats + heat. */
  heatChange: Float64Array
  /** Amounts before reuse; empty without vessels. */
  beforeReuse: Float64Array
  /** Streams that a vessel takes from, gives to or is, and what a litre of each does to which accounts. */
  reusing: { stream: number; isTapped: boolean; effects: { account: number; sign: number }[] }[]
}

export interface SamplerOptions {
  /** Kept between stays, so that an edit builds no table anew. */
  tables?: RiskTables
  /** The ledger of the model, where it is already played. */
  base?: Ledger
  /** Also adds up the liquid and the solids of every container that solids reach. */
  withFlush?: boolean
  /** Draws every activity's uses, whether or not anything here counts them. */
  withDraws?: boolean
  /** Draws one activity alone, with the luck it has among all. */
  only?: number
}

export function samplerOf(model: Model, chances: Chances, options: SamplerOptions = {}): Sampler {
  const { tables = riskTables(), base = play(model), withFlush = false, withDraws = false, only } = options
  const weather = weatherOf(chances)
  const tapped = new Set(tappedStreams(model))
  const viaStreams = model.activities.map((_, a) => [...tapped].some((s) => model.streams[s]!.activity === a))
  const isBase = chances.activities.map(({ exact }, a) => exact || viaStreams[a]!)
  const accounts = accountsOf(model, base, { tapped, isBase, withFlush })
  let [place, unit] = [0, 0]
  const activities = chances.activities.flatMap((chance, index): ActivitySampler[] => {
    const many = manyOf(chance, weather)
    if (many === 'none' && chance.once.length === 0) return []
    const context = { model, weather, tables }
    const firstOnce = unit
    unit += chance.once.length
    const places = Int32Array.from(chance.falls, (falls) => (falls && many !== 'none' ? place++ : -1))
    if (only !== undefined && only !== index) return []
    const row = model.uses.subarray(index * model.grid.count, (index + 1) * model.grid.count)
    const terms = accounts.terms[index]!
    const [only0] = terms
    const needsUses = viaStreams[index]! || withDraws || terms.some(({ ofUses }) => ofUses)
    const sampled = activitySampler(chance, index, many, context)
    const isPlain = many === 'poisson' && sampled.heats === 1 && sampled.once.length === 0 && !needsUses && !isBase[index]
    const through = isPlain && terms.length === 1 && only0!.second >= 0 ? only0! : null
    return [{ ...sampled, firstOnce, places, isBase: isBase[index]!, uses: row, viaStreams: viaStreams[index]!, needsUses, through }]
  }) // prettier-ignore
  return {
    model,
    ledger: base,
    chances,
    accounts,
    wordsPerDay: 1 + unit + ((place + 1) >> 1),
    firstPlace: 1 + unit,
    signs: Int8Array.from(model.containers, ({ limit, side }) => (limit === null ? 0 : side === 'supply' ? -1 : 1)),
    activities,
    levels: chances.activities.map(({ levelSpread }) => tables.trip(levelSpread)),
    containers: chances.containers.map(({ spread, starts, heater }) => ({ capacity: tables.trip(spread), starts, heater })),
    normal: tables.normal,
    heats: weather.heats,
    heatChange: weather.change,
    beforeReuse: model.vessels.length > 0 ? amountsBeforeReuse(model) : new Float64Array(0),
    reusing: reusingStreams(model, tapped, accounts),
  }
} // prettier-ignore

/** An exact activity needs no draw where neither its litres nor the heat vary. */
function manyOf(chance: ActivityChance, { heats }: WeatherTables): ActivitySampler['many'] {
  if (!chance.exact) return chance.isMany ? 'poisson' : 'none'
  const heated = heats > 1 && chance.many.perStep.some((rate) => rate > 0)
  return chance.spread > 0 || chance.levelSpread > 0 || heated ? 'exact' : 'none'
}

interface Context {
  model: Model
  weather: WeatherTables
  tables: RiskTables
}

function activitySampler(
  chance: ActivityChance,
  index: number,
  many: ActivitySampler['many'],
  { model, weather, tables }: Context,
): Omit<
  ActivitySampler,
  'isBase' | 'uses' | 'viaStreams' | 'needsUses' | 'firstOnce' | 'places' | 'through'
> {
  const lines = [chance.many, ...chance.once]
  const heats = lines.some((line) => line.perStep.some((rate) => rate > 0)) ? weather.heats : 1
  const compound = tables.compound(chance.spread)
  const draws = many === 'poisson' ? meansOf(chance.many, model, weather, heats).map((mean) => compound.drawOf(mean)) : [] // prettier-ignore
  return {
    index,
    many,
    heats,
    compound,
    code: Int32Array.from(draws, ({ code }) => code),
    scale: Float64Array.from(draws, ({ scale }) => scale),
    perStep: chance.many.perStep,
    idle: Uint8Array.from({ length: model.grid.count }, (_, i) =>
      lines.every(({ cool, perStep }) => cool[i] === 0 && perStep[i] === 0) ? 1 : 0,
    ),
    once: chance.once.map((line) => onceTable(line, model, weather, heats)),
    sums: tables.sums(chance.spread),
  }
}

/** Streams that a vessel takes from or gives to. */
export function tappedStreams({ vessels }: Model): number[] {
  return [...new Set(vessels.flatMap(({ donors, recipients }) => [...donors, ...recipients].map(({ stream }) => stream)))]
} // prettier-ignore

function reusingStreams(model: Model, tapped: ReadonlySet<number>, { signs, count }: Accounts): Sampler['reusing'] {
  return model.streams.flatMap(({ isOfVessel }, stream) => {
    if (!isOfVessel && !tapped.has(stream)) return []
    const effects = Array.from({ length: count }, (_, account) => ({ account, sign: signs[stream * count + account]! }))
    return [{ stream, isTapped: !isOfVessel, effects: effects.filter(({ sign }) => sign !== 0) }]
  })
} // prettier-ignore

interface WeatherTables {
  heats: number
  /** Steps of heat, day × heats + heat, and less those of the day as given. */
  steps: Float64Array
  change: Float64Array
}

/** A day's warmest is normal about what is given, in slices; where the weather is taken as it stands there is one heat. */
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

/** Mean uses by part and heat. */
function meansOf(
  line: UseLine,
  { grid }: Model,
  { heats, steps }: WeatherTables,
  ownHeats: number,
): number[] {
  return Array.from({ length: grid.count * ownHeats }, (_, p) => {
    const [i, heat] = [Math.floor(p / ownHeats), p % ownHeats]
    return line.cool[i]! + line.perStep[i]! * steps[grid.day[i]! * heats + heat]!
  })
}

/** Uses of one unit cumulated over the four parts of each day and heat; parts outside the grid have none. */
function onceTable(
  { cool, perStep }: UseLine,
  { grid }: Model,
  { heats, steps }: WeatherTables,
  ownHeats: number,
): OnceTable {
  const rows = (grid.day[grid.count - 1]! + 1) * ownHeats
  const upTo = new Float64Array(rows * 4)
  for (let i = 0; i < grid.count; i++)
    for (let heat = 0; heat < ownHeats; heat++) {
      const k = grid.day[i]! * ownHeats + heat
      upTo[k * 4 + grid.part[i]!] = WHOLE * (cool[i]! + perStep[i]! * steps[grid.day[i]! * heats + heat]!)
    }
  for (let k = 0; k < upTo.length; k++) if (k % 4 > 0) upTo[k]! += upTo[k - 1]!
  const cells = 2 ** GUIDE_BITS
  const guide = new Uint8Array(rows * cells)
  for (let row = 0; row < rows; row++)
    for (let cell = 0, part = 0; cell < cells; cell++) {
      while (part < 3 && upTo[row * 4 + part]! <= (cell * WHOLE) / cells) part++
      guide[row * cells + cell] = part
    }
  return { upTo, guide }
}
