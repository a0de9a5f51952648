import type { PartIndex } from '../calendar'
import { withHabits } from '../habits'
import { compile, compileChances, type Chances, type Model } from '../compile'
import type { Habit, Id, StayCase, ActivityIndex } from '../domain'
import { BATCH, playTrips, samplerOf, type RiskTables, type Sampler, type Luck, type Watch } from '../risk'
import type { Amount, Days } from '../quantities'
import { luckOf, type FixedTrips } from './fixedTrips'

/** What fell in each trip of one activity: added up from the start, trip × (parts + 1) + part. */
export interface Drawn {
  uses: Float64Array
  /** Litres over those of one mean use. */
  sums: Float64Array
}

/**
 * A fixed set of trips taken apart, so that any set of habits can be tried on them without drawing again: luck per
 * activity, starts and limits. Habits change how often (another row of luck from the same numbers) or what a use does.
 */
export interface TripTable {
  trips: number
  /** The stay without any habit. */
  model: Model
  horizonDays: Days
  /** Containers with a limit, as indexes into the model's, and which way their levels move. */
  limited: number[]
  /** L (uses) that fit between start and limit, trip × limited + container; negative where the start is past it. */
  room: Float64Array
  compileWith: (habits: readonly Id[]) => Model
  /** @param habits those on that change the activity's rate */
  drawnOf: (activity: ActivityIndex, habits: readonly Id[]) => Drawn
}

export interface TableOptions {
  fixed: FixedTrips
  horizonDays: Days
  tables: RiskTables
}

export function tripTable(stayCase: StayCase, options: TableOptions): TripTable {
  const { fixed, horizonDays, tables } = options
  const own: OwnTrips = { streams: luckOf(fixed, tables), numbers: fixed.numbers }
  const compileWith = (habits: readonly Id[]) => compile(withHabits(stayCase, habits), { horizonDays })
  const model = compileWith([])
  const compiled = new Map<string, { model: Model; chances: Chances }>()
  const samplerWith = (habits: readonly Id[], only?: number): Sampler => {
    const key = [...habits].sort().join()
    const model = compiled.get(key)?.model ?? compileWith(habits)
    const chances = compiled.get(key)?.chances ?? compileChances(withHabits(stayCase, habits), model)
    compiled.set(key, { model, chances })
    return samplerOf(model, chances, { tables, withDraws: true, ...(only === undefined ? {} : { only }) })
  }
  const bare = samplerWith([], -1)
  const limited = [...bare.signs.keys()].filter((c) => bare.signs[c] !== 0)
  const drawn = new Map<string, Drawn>()
  return {
    trips: fixed.numbers.length,
    model,
    horizonDays,
    limited,
    room: roomOf(bare, own, limited),
    compileWith,
    drawnOf(activity, habits) {
      const set = [...habits].sort().join()
      const key = `${activity} ${set}`
      const known = drawn.get(key)
      if (known) return known
      const all = drawOne(samplerWith(habits, activity), own, activity)
      drawn.set(key, all)
      return all
    },
  }
}

/** The habits of a set that change how often an activity happens. */
export function rateHabits(habits: readonly Habit[], activity: Id): Id[] {
  return habits
    .filter(({ effects }) => effects.some((effect) => effect.kind === 'rate' && effect.activity === activity))
    .map(({ id }) => id)
}

/** Fixed trips with their luck. */
interface OwnTrips {
  streams: readonly Luck[]
  numbers: readonly number[]
}

function roomOf(sampler: Sampler, { streams, numbers }: OwnTrips, limited: readonly number[]): Float64Array {
  const room = new Float64Array(streams.length * limited.length)
  const start: Watch['start'] = ({ off, limit, size }, first) => {
    for (let j = 0; j < size; j++)
      limited.forEach((c, k) => {
        const start = sampler.accounts.starts[c]! + off[c * BATCH + j]!
        room[(first + j) * limited.length + k] = sampler.signs[c]! * (limit[c * BATCH + j]! - start)
      })
  }
  playTrips(sampler, streams, null, { start }, numbers)
  return room
}

/** One activity's luck in every trip; where nothing is drawn, its means. */
function drawOne(sampler: Sampler, { streams, numbers }: OwnTrips, activity: ActivityIndex): Drawn {
  const { count } = sampler.model.grid
  const width = count + 1
  const drawn = {
    uses: new Float64Array(streams.length * width),
    sums: new Float64Array(streams.length * width),
  }
  const add = (row: Float64Array, trip: number, part: PartIndex, amount: Amount) => {
    row[trip * width + part + 1] = row[trip * width + part]! + amount
  }
  if (sampler.activities.length === 0)
    for (let t = 0; t < streams.length; t++)
      for (let i = 0; i < count; i++) {
        const mean = sampler.model.uses[activity * count + i]!
        add(drawn.uses, t, i, mean)
        add(drawn.sums, t, i, mean)
      }
  else {
    const take: Watch['drawn'] = ({ uses, sums, size }, _, part, first) => {
      for (let j = 0; j < size; j++) {
        add(drawn.uses, first + j, part, uses[j]!)
        add(drawn.sums, first + j, part, sums[j]!)
      }
    }
    playTrips(sampler, streams, null, { drawn: take }, numbers)
  }
  return drawn
}
