import { vesselsAtStart, type VesselState } from '../count'
import { newBlock, type RunBlock } from '../runs'
import type { Sampler } from './sampler'
import type { Luck } from './luck'

/**
 * Trips are played many at once, part by part: row after row of as many numbers as there are trips, so that the inner
 * loops run over trips with everything else in hand.
 */
export const BATCH = 256

export interface Batch {
  /** Trips in it, up to `BATCH`; every row below has room for `BATCH`. */
  size: number
  streams: Luck[]
  /** The crew's own factor, row = activity. */
  own: Float64Array
  /** Each container's capacity over the one given, and the level that stops it; row = container. */
  capacity: Float64Array
  limit: Float64Array
  /** Which heat the day has. */
  heat: Int32Array
  /** The random numbers of the trip or the day, row = trip, and the same in halves. */
  words: Int32Array
  halves: Uint16Array
  /** Uses of the activity at hand in the part, and their litres over those of one mean use. */
  uses: Float64Array
  sums: Float64Array
  /** In which part of the day a draw of somebody who does it at most once falls; 4: in none. */
  placed: Int32Array
  /** What such draws add to the accounts; row = part of the day (or none) × account. */
  dayOff: Float64Array
  /** Their uses and sums, where an activity's own are asked for; row = activity × part of the day (or none). */
  onceUses: Float64Array
  onceSums: Float64Array
  /** Each account less its base, now and at the end of the part before; row = account. */
  off: Float64Array
  offBefore: Float64Array
  /** Uses and litres less their means in the part, of every activity that a vessel touches; row = activity. */
  moreUses: Float64Array
  moreLitres: Float64Array
  /** By trip. */
  vessels: VesselState[][]
  amounts: Float64Array
  /** Room to play runs in: every account as a level. */
  block: RunBlock
  /** 1 where a container stood past its limit right after a run of the part at hand; row = container. */
  pastByRun: Uint8Array
  /** Levels after what is done on the road to the stay, where something is; row = container. */
  atStart: Float64Array
  /** Days to the first breach, infinite as long as there is none, and the container, −1. */
  days: Float64Array
  stopper: Int32Array
  going: number
}

export function newBatch({ model, accounts, wordsPerDay, wordsPerTrip }: Sampler): Batch {
  const n = model.activities.length
  const words = new Int32Array(Math.max(wordsPerDay, wordsPerTrip) * BATCH)
  const rows = (count: number) => new Float64Array(count * BATCH)
  const capacity = rows(model.containers.length)
  return {
    size: 0,
    streams: [],
    own: rows(n),
    capacity,
    limit: rows(model.containers.length),
    heat: new Int32Array(BATCH),
    words,
    halves: new Uint16Array(words.buffer),
    uses: rows(1),
    sums: rows(1),
    placed: new Int32Array(BATCH),
    dayOff: rows(5 * accounts.count),
    onceUses: rows(n * 5),
    onceSums: rows(n * 5),
    off: rows(accounts.count),
    offBefore: rows(accounts.count),
    moreUses: rows(n),
    moreLitres: rows(n),
    vessels: [],
    amounts: new Float64Array(model.streams.length),
    block: { ...newBlock(accounts.count, BATCH), shares: capacity },
    pastByRun: new Uint8Array(model.containers.length * BATCH),
    atStart: rows(model.containers.length),
    days: new Float64Array(BATCH),
    stopper: new Int32Array(BATCH),
    going: 0,
  }
}

/** Begins with other trips. */
export function restart(batch: Batch, { model }: Sampler, streams: readonly Luck[]): void {
  batch.size = batch.going = streams.length
  batch.streams = streams.map((stream) => stream.clone())
  batch.days.fill(Infinity)
  batch.stopper.fill(-1)
  if (model.vessels.length > 0) batch.vessels = streams.map(() => vesselsAtStart(model))
}
