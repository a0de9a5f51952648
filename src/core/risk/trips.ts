import {
  BREACH_TOLERANCE,
  emptyVessels,
  playVesselsPart,
  stopperOf,
  type Breach,
  type VesselState,
} from '../count'
import type { Entries } from './accounts'
import { recordLevels, type Bands } from './bands'
import { COMPOUND_BITS } from './compound'
import { SUM_ROWS, SUM_SLICES, TRIP_SLICES, type ActivitySampler, type Sampler } from './sampler'
import type { Stream } from './streams'

/** What one part's draw came to; one object, so that drawing makes none. */
interface Drawn {
  uses: number
  sum: number
}

const WHOLE = 2 ** 32
const HALF = 2 ** 16
const PARTS_A_DAY = 4
/** A trip is played in blocks of four days: long enough to draw one activity after the other, short enough to stop early. */
const BLOCK_DAYS = 4
export const BLOCK = BLOCK_DAYS * PARTS_A_DAY

/** One trip as it is being played; arrays by part are of the current block. */
export interface Trip {
  stream: Stream
  /** The crew's own level of each activity. */
  level: Float64Array
  /** Each container's capacity over the one given, and the level that stops it. */
  capacity: Float64Array
  limit: Float64Array
  /** Which heat each part has. */
  heat: Int32Array
  /** Uses, and their litres over those of one mean use, of the activity at hand. */
  uses: Float64Array
  sums: Float64Array
  /** Each account less its base: account × BLOCK + part. */
  off: Float64Array
  /** The same at the end of the block before, or the start. */
  offBefore: Float64Array
  /** Uses and litres less their means, of every activity: activity × BLOCK + part. */
  moreUses: Float64Array
  moreLitres: Float64Array
  drawn: Drawn
  /** Sixteen bits not yet used, or −1. */
  spare: number
  vessels: VesselState[]
  amounts: Float64Array
}

/** What a trip came to; `stopper` is an index into the model's containers, −1 with `days` infinite: beyond the horizon. */
export interface TripEnd {
  days: number
  stopper: number
}

function newTrip(sampler: Sampler, stream: Stream): Trip {
  const { model, accounts } = sampler
  const n = sampler.model.activities.length
  return {
    stream,
    level: new Float64Array(n).fill(1),
    capacity: new Float64Array(model.containers.length).fill(1),
    limit: new Float64Array(model.containers.length),
    heat: new Int32Array(BLOCK),
    uses: new Float64Array(BLOCK),
    sums: new Float64Array(BLOCK),
    off: new Float64Array(accounts.count * BLOCK),
    offBefore: new Float64Array(accounts.count),
    moreUses: new Float64Array(n * BLOCK),
    moreLitres: new Float64Array(n * BLOCK),
    drawn: { uses: 0, sum: 0 },
    spare: -1,
    vessels: [],
    amounts: new Float64Array(model.streams.length),
  }
}

/** Who wants to see more of a trip than its end. */
export interface Watch {
  start?: (trip: Trip, index: number) => void
  /** After each block, its first part and the one after its last. */
  block?: (trip: Trip, from: number, to: number, index: number) => void
}

/**
 * Plays trips, each on its own stream. Every draw is made in the same order whatever the habits, so that two habit sets
 * meet the same luck (common random numbers).
 * @param bands takes the levels of every part; without it and a watch, a trip ends in the block in which it stops
 */
export function playTrips(
  sampler: Sampler,
  streams: readonly Stream[],
  bands: Bands | null,
  take: (end: TripEnd, index: number) => void,
  watch: Watch | null = null,
): void {
  const { blocks } = sampler
  if (streams.length === 0) return
  const trip = newTrip(sampler, streams[0]!)
  for (let t = 0; t < streams.length; t++) {
    trip.stream = streams[t]!.clone()
    drawTrip(sampler, trip)
    watch?.start?.(trip, t)
    let end: TripEnd | null = null
    for (let b = 0; b < blocks.length - 1; b++) {
      const from = blocks[b]!
      const to = blocks[b + 1]!
      playBlock(sampler, trip, b)
      end ??= stopIn(sampler, trip, from, to)
      if (bands) recordLevels(bands, sampler, trip, from, to)
      watch?.block?.(trip, from, to, t)
      if (end && !bands && !watch) break
      carryOver(trip, to - from)
    }
    take(end ?? { days: Infinity, stopper: -1 }, t)
  }
}

/** First part of each block, and the end of the grid: blocks of whole days, the first shorter where the stay starts late. */
export function blocksOf(day: Int32Array): Int32Array {
  const starts = [0]
  for (let i = 1; i < day.length; i++) if (day[i] !== day[i - 1] && day[i]! % BLOCK_DAYS === 0) starts.push(i)
  return Int32Array.from([...starts, day.length])
}

/** What is drawn once a trip: the crew's levels, the capacities, the starting levels. */
function drawTrip(sampler: Sampler, trip: Trip): void {
  const { model, accounts, normal } = sampler
  const { stream, level, capacity, limit, offBefore } = trip
  for (let a = 0; a < level.length; a++) level[a] = sliceOf(sampler.levels[a]!, stream.next())
  offBefore.fill(0)
  sampler.containers.forEach((container, c) => {
    const share = sliceOf(container.capacity, stream.next())
    const { limit: given, side, start } = model.containers[c]!
    capacity[c] = share
    limit[c] = given === null || side === 'supply' ? (given ?? 0) : given * share
    let sum = 0
    for (const { level: read, shape, size } of container.starts) {
      const u = stream.next() >>> 0
      sum += shape === 'even' ? (read + size * (u / WHOLE - 0.5)) * share : read + size * sliceOf(normal, u)
    }
    offBefore[c] = sum + container.heater - start
  })
  for (const { container, liquid } of accounts.flush) offBefore[liquid] = offBefore[container]!
  if (model.vessels.length > 0) trip.vessels = emptyVessels(model)
}

function sliceOf(slices: Float64Array, random: number): number {
  return slices[Math.floor(((random >>> 0) / WHOLE) * TRIP_SLICES)]!
}

/** A block of days: their heat, then every activity's uses and litres, and what they do to the accounts. */
function playBlock(sampler: Sampler, trip: Trip, block: number): void {
  const from = sampler.blocks[block]!
  const to = sampler.blocks[block + 1]!
  drawHeat(sampler, trip, from, to)
  clear(trip.off)
  for (const activity of sampler.activities) {
    const hasOnce = activity.once.length > 0
    const isRare = activity.many === 'none' && !activity.viaStreams
    if (hasOnce) drawOnce(sampler, trip, activity, from, to, isRare)
    if (isRare) continue
    if (activity.many === 'litres' && !hasOnce) playLitres(sampler, trip, activity, block)
    else playUses(sampler, trip, activity, block)
  }
  if (sampler.model.vessels.length > 0) playReuse(sampler, trip, from, to)
  addUp(trip, to - from)
}

/** Faster than `fill` on arrays this short. */
function clear(row: Float64Array): void {
  for (let i = 0; i < row.length; i++) row[i] = 0
}

/** One day, one heat. */
function drawHeat({ model, heats }: Sampler, { stream, heat }: Trip, from: number, to: number): void {
  const { day } = model.grid
  for (let i = from; i < to; i++)
    heat[i - from] =
      i > from && day[i] === day[i - 1]
        ? heat[i - from - 1]!
        : Math.floor(((stream.next() >>> 0) / WHOLE) * heats)
}

/**
 * Those who do it at most once a day: one draw each and day. Systematic: the points u, u + 1, … on the day's uses laid end
 * to end, so one use at most where they add up to 1 or less, and the mean whatever they add up to.
 * @param isRare whether nobody does it oftener: then a use goes straight to the accounts
 */
function drawOnce(sampler: Sampler, trip: Trip, activity: ActivitySampler, from: number, to: number, isRare: boolean): void {
  const { heats } = activity
  const { day, part } = sampler.model.grid
  const { stream, heat, uses, sums } = trip
  if (!isRare) {
    clear(uses)
    clear(sums)
  }
  for (const upTo of activity.once) {
    for (let first = from; first < to; first = nextDay(day, first, to)) {
      const row = (day[first]! * heats + (heats > 1 ? heat[first - from]! : 0)) * PARTS_A_DAY
      const total = upTo[row + PARTS_A_DAY - 1]!
      for (let at = (stream.next() >>> 0) / WHOLE; at < total; at++) {
        let i = first
        while (at >= upTo[row + part[i]!]!) i++
        const below = part[i]! === 0 ? 0 : upTo[row + part[i]! - 1]!
        const sum = activity.sums[(((at - below) / (upTo[row + part[i]!]! - below)) * SUM_SLICES) | 0]!
        if (isRare) useOnce(sampler, trip, activity.index, i, i - from, sum)
        else {
          uses[i - from]! += 1
          sums[i - from]! += sum
        }
      }
    }
  }
} // prettier-ignore

function nextDay(day: Int32Array, i: number, to: number): number {
  let next = i + 1
  while (next < to && day[next] === day[i]) next++
  return next
}

function useOnce(sampler: Sampler, trip: Trip, a: number, part: number, ofBlock: number, sum: number): void {
  const { volume, grid } = sampler.model
  const litres = volume[a * grid.count + part]! * trip.level[a]! * sum
  addEntries(trip.off, sampler.entriesOf[a] ?? sampler.accounts.entries(a, part), ofBlock, litres, 1)
}

/** The plain case, and the most: only the litres of a Poisson number of uses matter. 16 random bits a part. */
function playLitres(sampler: Sampler, trip: Trip, activity: ActivitySampler, block: number): void {
  const { stream, heat, off } = trip
  const { parts, tables, slices, perUse } = activity
  const heats = activity.heats
  const isHeated = heats > 1
  const from = sampler.blocks[block]!
  const own = trip.level[activity.index]!
  const entries = sampler.entriesOf[activity.index]
  const isPair = entries?.account.length === 2
  const first = isPair ? entries.account[0]! * BLOCK - from : 0
  const second = isPair ? entries.account[1]! * BLOCK - from : 0
  const toFirst = isPair ? entries.perLitre[0]! : 0
  const toSecond = isPair ? entries.perLitre[1]! : 0
  const end = activity.blockAt[block + 1]!
  let spare = -1
  for (let p = activity.blockAt[block]!; p < end; p++) {
    let u = spare
    if (u < 0) {
      const word = stream.next()
      u = word >>> 16
      spare = word & 0xffff
    } else spare = -1
    const i = parts[p]!
    const sum = slices[tables[isHeated ? p * heats + heat[i - from]! : p]! + (u >>> (16 - COMPOUND_BITS))]!
    if (sum === 0) continue
    const litres = perUse[p]! * own * sum
    if (isPair) {
      off[first + i]! += toFirst * litres
      off[second + i]! += toSecond * litres
    } else addEntries(off, entries ?? sampler.accounts.entries(activity.index, i), i - from, litres, 0)
  }
}

/** Everything else: uses and their litres, each where it matters; what a vessel may touch is kept for it. */
function playUses(sampler: Sampler, trip: Trip, activity: ActivitySampler, block: number): void {
  const { heat, off, moreUses, moreLitres } = trip
  const { index, parts, many } = activity
  const from = sampler.blocks[block]!
  const own = trip.level[index]!
  const hasOnce = activity.once.length > 0
  const same = sampler.entriesOf[index]
  trip.spare = -1
  const end = activity.blockAt[block + 1]!
  for (let p = activity.blockAt[block]!; p < end; p++) {
    const i = parts[p]!
    const warmth = activity.heats > 1 ? heat[i - from]! : 0
    trip.drawn.uses = hasOnce ? trip.uses[i - from]! : 0
    trip.drawn.sum = hasOnce ? trip.sums[i - from]! : 0
    if (many === 'uses') drawUses(sampler, trip, activity, p * activity.heats + warmth)
    else if (many === 'litres') drawLitres(trip, activity, p * activity.heats + warmth)
    else if (many === 'exact') drawExact(sampler, trip, activity, p, i - from)
    const mean = activity.uses[p]!
    const uses = trip.drawn.uses - mean
    const litres = activity.perUse[p]! * (own * trip.drawn.sum - mean)
    addEntries(off, same ?? sampler.accounts.entries(index, i), i - from, litres, uses)
    if (!activity.viaStreams) continue
    moreUses[index * BLOCK + i - from] = uses
    moreLitres[index * BLOCK + i - from] = litres
  }
}

/** @param part of the block */
function addEntries(off: Float64Array, { account, perLitre, perUse }: Entries, part: number, litres: number, uses: number): void {
  for (let k = 0; k < account.length; k++)
    off[account[k]! * BLOCK + part]! += perLitre[k]! * litres + perUse[k]! * uses
} // prettier-ignore

/** A Poisson number of uses, and their litres from what the draw leaves over. @param at place among the activity's tables */
function drawUses({ poisson, normalSums }: Sampler, trip: Trip, activity: ActivitySampler, at: number): void {
  const { upTo, perWidth, offset, guide } = poisson
  const u = halfWord(trip) + 0.5
  const table = activity.tables[at]!
  const row = offset[table]!
  let n = guide[table * 64 + (u >> 10)]!
  while (u >= upTo[row + n]!) n++
  if (n === 0) return
  const slice = ((u - upTo[row + n - 1]!) * perWidth[row + n]! * SUM_SLICES) | 0
  trip.drawn.uses += n
  trip.drawn.sum += n <= SUM_ROWS ? activity.sums[(n - 1) * SUM_SLICES + slice]! : n + activity.spread * Math.sqrt(n) * normalSums[slice]!
} // prettier-ignore

/** A word of the stream serves two parts of an activity, whichever way it is drawn: the order of draws never differs. */
function halfWord(trip: Trip): number {
  const { spare } = trip
  if (spare >= 0) {
    trip.spare = -1
    return spare
  }
  const word = trip.stream.next()
  trip.spare = word & 0xffff
  return word >>> 16
}

function drawLitres(trip: Trip, activity: ActivitySampler, at: number): void {
  trip.drawn.sum += activity.slices[activity.tables[at]! + (halfWord(trip) >>> (16 - COMPOUND_BITS))]!
}

/** Exact uses, with what the day's heat changes; their litres vary all the same. */
function drawExact(sampler: Sampler, trip: Trip, activity: ActivitySampler, p: number, part: number): void {
  const { model, heats, heatChange } = sampler
  const day = model.grid.day[activity.parts[p]!]!
  const n = activity.uses[p]! + activity.perStep[p]! * heatChange[day * heats + trip.heat[part]!]!
  trip.drawn.uses = n
  trip.drawn.sum = activity.spread === 0 ? n : sumOfExact(sampler, activity, n, trip.stream.next() >>> 0)
}

/** n whole uses and a fraction of one: the top bits draw the whole ones, the low bits the fraction. */
function sumOfExact({ normalSums }: Sampler, { sums, spread }: ActivitySampler, n: number, u: number): number {
  const whole = Math.floor(n)
  const slice = ((u >>> 16) * SUM_SLICES) / HALF | 0
  const ofWhole = whole <= SUM_ROWS ? (sums[(whole - 1) * SUM_SLICES + slice] ?? 0) : whole + spread * Math.sqrt(whole) * normalSums[slice]!
  return (whole === 0 ? 0 : ofWhole) + (n - whole) * sums[((u & 0xffff) * SUM_SLICES) / HALF | 0]!
} // prettier-ignore

/** The streams of activities that a vessel touches, one by one, since what it holds depends on what it was given. */
function playReuse(sampler: Sampler, trip: Trip, from: number, to: number): void {
  const { model, ledger, accounts, reusing, beforeReuse } = sampler
  const { amounts, off, moreUses, moreLitres } = trip
  const { count } = model.grid
  for (let i = from; i < to; i++) {
    for (const s of reusing) {
      const { activity, ofDraw, fixed, portion, isOfVessel } = model.streams[s]!
      const at = activity * BLOCK + i - from
      const change = (ofDraw * moreLitres[at]! + fixed * moreUses[at]!) * (portion?.[i] ?? 1)
      amounts[s] = isOfVessel ? 0 : beforeReuse[s * count + i]! + change
    }
    playVesselsPart(model, trip.vessels, i, amounts, 0, 1)
    for (const s of reusing) {
      const change = amounts[s]! - ledger.amounts[s * count + i]!
      for (let k = 0; k < accounts.count; k++)
        off[k * BLOCK + i - from]! += accounts.signs[s * accounts.count + k]! * change
    }
  }
}

/** Turns the changes of each part into deviations at its end. */
function addUp({ off, offBefore }: Trip, parts: number): void {
  for (let k = 0; k < offBefore.length; k++) {
    let sum = offBefore[k]!
    for (let i = k * BLOCK; i < k * BLOCK + parts; i++) {
      sum += off[i]!
      off[i] = sum
    }
  }
}

function carryOver({ off, offBefore }: Trip, parts: number): void {
  for (let k = 0; k < offBefore.length; k++) offBefore[k] = off[k * BLOCK + parts - 1]!
}

/** The first breach, where it falls in this block; the rules are those of the count. */
function stopIn(sampler: Sampler, trip: Trip, from: number, to: number): TripEnd | null {
  const { signs, model } = sampler
  const { base } = sampler.accounts
  const { limit, off } = trip
  let first = to - from
  for (let c = 0; c < signs.length; c++) {
    const sign = signs[c]!
    const stops = limit[c]!
    const mean = c * model.grid.count + from
    const row = c * BLOCK
    for (let i = 0; i < first; i++)
      if (sign * (base[mean + i]! + off[row + i]! - stops) > BREACH_TOLERANCE) first = i
  }
  const atStart = from === 0 && first > 0 ? stopAmong(sampler, trip, from, 0) : null
  return atStart ?? (first < to - from ? stopAmong(sampler, trip, from, from + first) : null)
}

/** One of several may be past its limit in a part: which is first? */
function stopAmong(
  { model, accounts, signs }: Sampler,
  trip: Trip,
  from: number,
  part: number,
): TripEnd | null {
  const { count, edges } = model.grid
  const breaches: Breach[] = []
  for (let c = 0; c < model.containers.length; c++) {
    const limit = trip.limit[c]!
    const at = c * BLOCK + part - from
    const offBefore = part === from ? trip.offBefore[c]! : trip.off[at - 1]!
    const start = part === 0 ? accounts.starts[c]! : accounts.base[c * count + part - 1]!
    const before = signs[c]! * (start + offBefore - limit)
    const after = signs[c]! * (accounts.base[c * count + part]! + trip.off[at]! - limit)
    const isAtStart = part === 0 && before > BREACH_TOLERANCE
    if (!isAtStart && !(after > BREACH_TOLERANCE)) continue
    const width = edges[part + 1]! - edges[part]!
    const days = isAtStart ? 0 : edges[part]! + Math.max(0, -before / (after - before)) * width
    if (days > model.horizonDays) continue
    const ratePerDay = (after - before) / width
    breaches.push({ container: c, days, part, excessAtStart: isAtStart ? before : 0, ratePerDay })
  }
  const stop = breaches.length > 1 ? stopperOf(model, breaches) : breaches[0]
  return stop ? { days: stop.days, stopper: stop.container } : null
}
