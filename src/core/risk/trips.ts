import type { ActivityIndex } from '../domain'
import type { PartIndex } from '../calendar'
import { playVesselsPart } from '../count'
import { recordLevels, type Bands } from './bands'
import { BATCH, newBatch, restart, type Batch } from './batch'
import { drawDay, drawExact, drawMany, drawThrough, drawTrips } from './draws'
import { addDay, addOnce } from './once'
import type { ActivitySampler, Sampler } from './sampler'
import { markStops, stopAtStart } from './stops'
import { playRuns } from './tripRuns'
import type { Luck } from './luck'

/** Who wants to see more of trips than their ends; `first` is the number of the batch's first trip. */
export interface Watch {
  /** Where the stay begins: of one that follows another, after what is done on the road. */
  start?: (batch: Batch, first: number) => void
  /** After the runs of a part. */
  runs?: (batch: Batch, part: PartIndex) => void
  /** Uses and sums of one activity in a part, as drawn. */
  drawn?: (batch: Batch, activity: ActivityIndex, part: PartIndex, first: number) => void
  part?: (batch: Batch, part: PartIndex, first: number) => void
}

/** Days to each trip's first breach (infinite: beyond the horizon) and the container that stops it (−1). */
export interface TripEnds {
  days: Float64Array
  stopper: Int32Array
}

/**
 * Plays trips, each on its own stream.
 * @param from the number of the first of them, or the number of each
 * @param bands takes the levels of its parts; without it and a watch, trips end when they stop
 */
export function playTrips(
  sampler: Sampler,
  streams: readonly Luck[],
  bands: Bands | null = null,
  watch: Watch | null = null,
  from: number | readonly number[] = 0,
): TripEnds {
  const batch = newBatch(sampler)
  const ends = { days: new Float64Array(streams.length), stopper: new Int32Array(streams.length) }
  for (let first = 0; first < streams.length; first += BATCH) {
    restart(batch, sampler, streams.slice(first, first + BATCH))
    drawTrips(sampler, batch, typeof from === 'number' ? from + first : from.slice(first, first + BATCH))
    playBatch(sampler, batch, bands, watch, first)
    ends.days.set(batch.days.subarray(0, batch.size), first)
    ends.stopper.set(batch.stopper.subarray(0, batch.size), first)
  }
  return ends
}

function playBatch(
  sampler: Sampler,
  batch: Batch,
  bands: Bands | null,
  watch: Watch | null,
  first: number,
): void {
  const { count, day } = sampler.model.grid
  const runsOf = sampler.runs
  const bandParts = bands?.parts ?? 0
  const isAfterRoad = sampler.model.startsAfterRoad && (runsOf.get(0)?.road ?? 0) > 0
  const begin = () => {
    watch?.start?.(batch, first)
    stopAtStart(sampler, batch)
  }
  if (!isAfterRoad) begin()
  for (let i = 0; i < count; i++) {
    if (batch.going === 0 && i >= bandParts && !watch) break
    if (i === 0 || day[i] !== day[i - 1]) drawDay(sampler, batch, i, watch?.drawn !== undefined)
    const runs = runsOf.get(i)
    if (runs) {
      playRuns(sampler, batch, i, runs)
      watch?.runs?.(batch, i)
    }
    if (i === 0 && isAfterRoad) begin()
    playPart(sampler, batch, i, watch, first)
    if (batch.going > 0) markStops(sampler, batch, i)
    if (i < bandParts) recordLevels(bands!, sampler, batch, i)
    watch?.part?.(batch, i, first)
  }
  if (bands) bands.trips += batch.size
}

/** Every activity's uses and litres in a part, and what they do to the accounts. */
function playPart(sampler: Sampler, batch: Batch, i: number, watch: Watch | null, first: number): void {
  const { activities, model } = sampler
  const partOfDay = model.grid.part[i]!
  const drawn = watch?.drawn
  batch.offBefore.set(batch.off)
  for (let k = 0; k < activities.length; k++) {
    const activity = activities[k]!
    if (activity.idle[i] === 1 && !activity.viaStreams && !drawn) continue
    const isDirect = activity.isDirect && !drawn
    const isMany = activity.places[partOfDay]! >= 0
    if (isDirect && !isMany) continue
    if (isDirect && activity.through) {
      drawThrough(sampler, batch, activity, i, activity.through)
      continue
    }
    drawPart(sampler, batch, activity, i)
    if (activity.once.length > 0 && !isDirect) addOnce(batch, activity, partOfDay)
    drawn?.(batch, activity.index, i, first)
    if (activity.isBase) lessMean(batch, activity.uses[i]!)
    addTerms(sampler, batch, activity.index, i)
    if (activity.viaStreams) keepForReuse(sampler, batch, activity.index, i)
  }
  addDay(sampler, batch, partOfDay)
  if (model.vessels.length > 0) for (let j = 0; j < batch.size; j++) playReuse(sampler, batch, i, j)
}

/** Uses and litres of all but those who do it at most once a day. */
function drawPart(sampler: Sampler, batch: Batch, activity: ActivitySampler, i: number): void {
  if (activity.places[sampler.model.grid.part[i]!]! < 0) {
    batch.uses.fill(0)
    batch.sums.fill(0)
  } else if (activity.many === 'poisson') drawMany(sampler, batch, activity, i)
  else drawExact(sampler, batch, activity, i)
}

function lessMean({ size, uses, sums }: Batch, mean: number): void {
  for (let j = 0; j < size; j++) {
    uses[j]! -= mean
    sums[j]! -= mean
  }
}

/** What the drawn uses add to the accounts. */
function addTerms(
  { accounts }: Sampler,
  { size, off, uses, sums }: Batch,
  activity: ActivityIndex,
  i: number,
): void {
  for (const { ofUses, weights, first, second, factor } of accounts.terms[activity]!) {
    const weight = weights[i]!
    const amounts = ofUses ? uses : sums
    if (weight === 0) continue
    if (second < 0) addTo(off, first * BATCH, amounts, weight, size)
    else addToBoth(off, first * BATCH, second * BATCH, amounts, weight, factor * weight, size)
  }
}

function keepForReuse({ model }: Sampler, batch: Batch, activity: ActivityIndex, i: number): void {
  const volume = model.volume[activity * model.grid.count + i]!
  batch.moreUses.set(batch.uses, activity * BATCH)
  for (let j = 0; j < batch.size; j++) batch.moreLitres[activity * BATCH + j] = batch.sums[j]! * volume
}

function addTo(off: Float64Array, at: number, amounts: Float64Array, weight: number, size: number): void {
  for (let j = 0; j < size; j++) off[at + j]! += weight * amounts[j]!
}

function addToBoth(
  off: Float64Array,
  at: number,
  other: number,
  amounts: Float64Array,
  weight: number,
  otherWeight: number,
  size: number,
): void {
  for (let j = 0; j < size; j++) {
    off[at + j]! += weight * amounts[j]!
    off[other + j]! += otherWeight * amounts[j]!
  }
}

/** One trip's streams that vessels tap and are, since what a vessel holds depends on what it was given. */
function playReuse(
  { model, ledger, reusing, beforeReuse }: Sampler,
  batch: Batch,
  i: number,
  j: number,
): void {
  const { amounts, off, moreUses, moreLitres } = batch
  const { count } = model.grid
  for (const { stream, isTapped } of reusing) {
    const { activity, ofDraw, fixed, portion } = model.streams[stream]!
    const at = activity * BATCH + j
    const change = (ofDraw * moreLitres[at]! + fixed * moreUses[at]!) * (portion?.[i] ?? 1)
    amounts[stream] = isTapped ? beforeReuse[stream * count + i]! + change : 0
  }
  playVesselsPart(model, batch.vessels[j]!, i, amounts, 0, 1)
  for (const { stream, effects } of reusing) {
    const change = amounts[stream]! - ledger.amounts[stream * count + i]!
    if (change !== 0) for (const { account, sign } of effects) off[account * BATCH + j]! += sign * change
  }
}
