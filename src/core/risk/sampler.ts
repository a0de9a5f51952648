import type { PartIndex } from '../calendar'
import type { Litres } from '../quantities'
import { amountsBeforeReuse, ledger as play, type Ledger } from '../count'
import { type ActivityChance, type Chances, heatStepsAt, type Model, type UseLine } from '../compile'
import type { ContainerIndex, ModelRun, StreamIndex } from '../domain'
import { whole } from '../slices'
import { accountsOf, type Accounts, type Term } from './accounts'
import { riskTables, type RiskTables, type SumsTable } from './tables'
import type { CompoundTables } from './compound'
import { edgesOf, normalSlices, type Slices } from './slices'
import { startSampler, type StartSampler } from './starts'
import type { TripLuck } from './luck'

/** Slices of a day's heat. */
const HEAT_SLICES = 16
/** Uses a day of one who did it once at most before heat and habits; more are not drawn. */
const MOST_ONCE = 400
/** Half a random number. */
const HALF = 2 ** 16

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
  /** For each part of the day which of a day's halves is its draw; −1 where it never falls, whatever the habits. */
  places: Int32Array
  /** 1 in the parts in which nobody does it. */
  idle: Uint8Array
  /** Those who do it at most once a day. */
  once: OnceTable[]
  /** Litres of whole numbers of uses over those of one. */
  sums: SumsTable
  viaStreams: boolean
  /** Whether the uses of `once` may go straight to the accounts. */
  isDirect: boolean
  /** Its one term, where its litres alone matter and do so in two accounts: then they go there at once. */
  through: Term | null
}

/**
 * One who does something at most once a day: the point u of a draw falls where the uses so far, laid end to end, reach it.
 * Where a day's add up to more than 1 there is a table for each 1 begun, and u, u + 1, … fall at once (systematic sampling).
 */
export interface OnceTable {
  /** Which of a day's halves it is. */
  half: number
  /** Uses up to the end of each of the four parts × 2^16, 0 to 2^16: (day × heats + heat) × 4 + part. */
  upTo: Int32Array
}

export interface ContainerSampler {
  capacity: Slices
  starts: StartSampler[]
  heater: Litres
}

/**
 * A stay made ready for sampling: coefficients merged, tables at hand. Without any spread nothing is drawn and every
 * trip is the ledger to the last bit.
 */
export interface Sampler {
  model: Model
  luck: TripLuck
  ledger: Ledger
  chances: Chances
  accounts: Accounts
  /** What is run in each part that has any. */
  runs: ReadonlyMap<PartIndex, PartRuns>
  /** Random numbers of a trip: one for each level, for each capacity and for each start. */
  wordsPerTrip: number
  /** Of a day, in halves: one for its heat, one for each unit of `once`, from an even one on one for each place. */
  wordsPerDay: number
  /** Which way each container's level moves to its limit: 1 up, −1 down, 0 for one without. */
  signs: Int8Array
  /** Those that differ from trip to trip. */
  activities: ActivitySampler[]
  /** Accounts that direct uses of `once` move. */
  onceAccounts: number[]
  /** The crew's own factor of every activity, drawn whether or not it is needed. */
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
  reusing: { stream: StreamIndex; isTapped: boolean; effects: { account: number; sign: number }[] }[]
}

export interface SamplerOptions {
  /** Kept between stays, so that an edit builds no table again. */
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
  const { tables = riskTables(), base = play(model), withFlush = false } = options
  const weather = weatherOf(chances)
  const tapped = new Set(tappedStreams(model))
  const viaStreams = model.activities.map((_, a) => [...tapped].some((s) => model.streams[s]!.activity === a))
  const isBase = chances.activities.map(({ exact }, a) => exact || viaStreams[a]!)
  const accounts = accountsOf(model, base, { tapped, isBase, withFlush })
  const ground = { model, weather, tables, viaStreams, isBase, accounts, options }
  const { activities, words } = activitySamplers(chances, ground)
  const starts = chances.containers.reduce((sum, container) => sum + 1 + container.starts.length, 0)
  return {
    model,
    luck: tables.luck,
    ledger: base,
    chances,
    accounts,
    runs: runsByPart(model, base),
    wordsPerTrip: chances.activities.length + starts,
    wordsPerDay: words,
    signs: Int8Array.from(model.containers, ({ limit, side }) =>
      limit === null ? 0 : side === 'supply' ? -1 : 1,
    ),
    activities,
    onceAccounts: accountsOfOnce(activities, accounts),
    levels: chances.activities.map(({ levelSpread }) => tables.trip(levelSpread)),
    containers: chances.containers.map((container) => ({
      capacity: tables.trip(container.spread),
      starts: container.starts.map(startSampler),
      heater: container.heater,
    })),
    normal: tables.normal,
    heats: weather.heats,
    heatChange: weather.change,
    beforeReuse: model.vessels.length > 0 ? whole(amountsBeforeReuse(model)) : new Float64Array(0),
    reusing: reusingStreams(model, tapped, accounts),
  }
}

/** The runs of one part in their order, and the limited supplies that one of them drains outside. */
export interface PartRuns {
  all: ModelRun[]
  drained: ContainerIndex[]
  /** How many of them, from the first, until what is done on the road to the stay is done; 0: nothing is. */
  road: number
}

/** What the ledger does: a run that would move nothing on the mean is not done in any trip. */
function runsByPart({ runs, containers }: Model, { idle }: Ledger): Sampler['runs'] {
  const idleIds = new Set(idle.map(({ run }) => run))
  const done = runs.filter(({ id, steps }) => steps.length > 0 && !idleIds.has(id))
  const parts = [...new Set(done.map(({ part }) => part))]
  return new Map(
    parts.map((part): [PartIndex, PartRuns] => {
      const all = done.filter((run) => run.part === part)
      const givers = all.flatMap(({ steps }) =>
        steps.flatMap(({ from, to }) => (to < 0 && from >= 0 ? [from] : [])),
      )
      const drained = [...new Set(givers)].filter((c) => containers[c]!.side === 'supply')
      const road = part === 0 ? all.findLastIndex(({ isOfRoad }) => isOfRoad) + 1 : 0
      return [part, { all, drained, road }]
    }),
  )
}

/** What every activity's sampler stands on. */
interface Ground extends Context {
  viaStreams: boolean[]
  isBase: boolean[]
  accounts: Accounts
  options: SamplerOptions
}

/** Each activity that anybody does, with its places among a day's random words; @returns also how many words a day takes. */
function activitySamplers(
  chances: Chances,
  ground: Ground,
): { activities: ActivitySampler[]; words: number } {
  let unit = 1
  let place = evenFrom(1 + chances.activities.reduce((sum, { once }) => sum + once.length, 0))
  const activities = chances.activities.flatMap((chance, index): ActivitySampler[] => {
    const many = manyOf(chance, ground.weather)
    if (many === 'none' && chance.once.length === 0) return []
    const firstHalf = unit
    unit += chance.once.length
    const places = Int32Array.from(chance.falls, (falls) => (falls && many !== 'none' ? place++ : -1))
    const { only } = ground.options
    if (only !== undefined && only !== index) return []
    const sampled = activitySampler(chance, index, many, ground, firstHalf)
    return [{ ...sampled, ...routeOf(sampled, index, ground), places }]
  })
  return { activities, words: evenFrom(place) / 2 }
}

/** How an activity's luck gets to the levels. */
function routeOf(
  { many, heats, once }: Pick<ActivitySampler, 'many' | 'heats' | 'once'>,
  index: number,
  { model, viaStreams, isBase, accounts, options }: Ground,
): Pick<ActivitySampler, 'isBase' | 'uses' | 'viaStreams' | 'isDirect' | 'needsUses' | 'through'> {
  const terms = accounts.terms[index]!
  const [first] = terms
  const needsUses = viaStreams[index]! || options.withDraws === true || terms.some(({ ofUses }) => ofUses)
  const isPlain = many === 'poisson' && heats === 1 && once.length === 0 && !needsUses && !isBase[index]
  return {
    isBase: isBase[index]!,
    uses: model.uses.subarray(index * model.grid.count, (index + 1) * model.grid.count),
    viaStreams: viaStreams[index]!,
    isDirect: !isBase[index] && !viaStreams[index],
    needsUses,
    through: isPlain && terms.length === 1 && first!.second >= 0 ? first! : null,
  }
}

function evenFrom(n: number): number {
  return n + (n % 2)
}

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
  firstHalf: number,
): Omit<ActivitySampler, 'isBase' | 'uses' | 'viaStreams' | 'isDirect' | 'needsUses' | 'places' | 'through'> {
  const lines = [chance.many, ...chance.once]
  const heats = lines.some(({ perStep }) => perStep.some(isAbove)) ? weather.heats : 1
  const compound = tables.compound(chance.spread)
  const draws = many === 'poisson' ? drawsOf(compound, chance.many, model, weather, heats) : NO_DRAWS
  return {
    index,
    many,
    heats,
    compound,
    ...draws,
    perStep: chance.many.perStep,
    idle: idleParts(lines, model.grid.count),
    once: chance.once.flatMap((line, unit) => onceTables(line, firstHalf + unit, model, weather, heats)),
    sums: tables.sums(chance.spread),
  }
}

const isAbove = (rate: number) => rate > 0
const NO_DRAWS = { code: new Int32Array(0), scale: new Float64Array(0) }

/** 1 in the parts in which none of the lines has a use, whatever the heat. */
function idleParts(lines: readonly UseLine[], count: number): Uint8Array {
  const idle = new Uint8Array(count).fill(1)
  for (const { cool, perStep } of lines)
    for (let i = 0; i < count; i++) if (cool[i] !== 0 || perStep[i] !== 0) idle[i] = 0
  return idle
}

/** Streams that a vessel takes from or gives to. */
export function tappedStreams({ vessels }: Model): number[] {
  return [
    ...new Set(
      vessels.flatMap(({ donors, recipients }) => [...donors, ...recipients].map(({ stream }) => stream)),
    ),
  ]
}

function reusingStreams(
  model: Model,
  tapped: ReadonlySet<number>,
  { signs, count }: Accounts,
): Sampler['reusing'] {
  return model.streams.flatMap(({ isOfVessel }, stream) => {
    if (!isOfVessel && !tapped.has(stream)) return []
    const effects = Array.from({ length: count }, (_, account) => ({
      account,
      sign: signs[stream * count + account]!,
    }))
    return [{ stream, isTapped: !isOfVessel, effects: effects.filter(({ sign }) => sign !== 0) }]
  })
}

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

/** How the mean uses of each part and heat are drawn: part × heats + heat. */
function drawsOf(
  { drawOf }: CompoundTables,
  { cool, perStep }: UseLine,
  { grid }: Model,
  { heats, steps }: WeatherTables,
  ownHeats: number,
): Pick<ActivitySampler, 'code' | 'scale'> {
  const code = new Int32Array(grid.count * ownHeats)
  const scale = new Float64Array(grid.count * ownHeats)
  for (let i = 0, p = 0; i < grid.count; i++)
    for (let heat = 0; heat < ownHeats; heat++, p++) {
      const drawn = drawOf(cool[i]! + perStep[i]! * steps[grid.day[i]! * heats + heat]!)
      code[p] = drawn.code
      scale[p] = drawn.scale
    }
  return { code, scale }
}

/** The tables of one unit; parts outside the grid have no uses. */
function onceTables(
  { cool, perStep }: UseLine,
  half: number,
  { grid }: Model,
  { heats, steps }: WeatherTables,
  ownHeats: number,
): OnceTable[] {
  const days = grid.day[grid.count - 1]! + 1
  const reached = new Float64Array(days * ownHeats * 4)
  for (let i = 0; i < grid.count; i++)
    for (let heat = 0; heat < ownHeats; heat++)
      reached[(grid.day[i]! * ownHeats + heat) * 4 + grid.part[i]!] =
        cool[i]! + perStep[i]! * steps[grid.day[i]! * heats + heat]!
  let most = 0
  for (let k = 0; k < reached.length; k++) {
    if (k % 4 > 0) reached[k]! += reached[k - 1]!
    if (reached[k]! > most) most = reached[k]!
  }
  return Array.from({ length: Math.max(1, Math.min(Math.ceil(most), MOST_ONCE)) }, (_, whole) => {
    const upTo = new Int32Array(reached.length)
    for (let k = 0; k < reached.length; k++)
      upTo[k] = Math.round(HALF * Math.min(1, Math.max(0, reached[k]! - whole)))
    return { half, upTo }
  })
}

function accountsOfOnce(activities: readonly ActivitySampler[], { terms }: Accounts): number[] {
  const direct = activities.filter(({ once, isDirect }) => once.length > 0 && isDirect)
  const moved = direct.flatMap(({ index }) => terms[index]!.flatMap(({ first, second }) => [first, second]))
  return [...new Set(moved)].filter((account) => account >= 0)
}
