import { addBands, newBands, type Bands } from './bands'
import type { Sampler } from './sampler'
import { playTrips, type TripEnds } from './trips'

/** What a run of trips came to, in the order of the trips; samples of several workers join to one. */
export interface Sample extends TripEnds {
  /** Null where the levels were not asked for. */
  bands: Bands | null
}

export interface SampleOptions {
  seed: number
  /** Trips `from` to `to` − 1. */
  from: number
  to: number
  /** For how many parts, from the first, levels are kept; 0: none. */
  bandParts: number
}

/** Plays trips of a stay. The same trips of the same seed come to the same, no matter who plays them and together with what. */
export function sampleTrips(sampler: Sampler, { seed, from, to, bandParts }: SampleOptions): Sample {
  const bands = bandParts > 0 ? newBands(sampler, bandParts) : null
  return { ...playTrips(sampler, sampler.luck(seed, from, to), bands, null, from), bands }
}

/** @param samples not empty, of one stay and seed, in the order of their trips; the first one's bands take the sum */
export function joinSamples(samples: readonly Sample[]): Sample {
  const trials = samples.reduce((sum, { days }) => sum + days.length, 0)
  const joined = { days: new Float64Array(trials), stopper: new Int32Array(trials), bands: samples[0]!.bands }
  let at = 0
  samples.forEach((sample, k) => {
    joined.days.set(sample.days, at)
    joined.stopper.set(sample.stopper, at)
    at += sample.days.length
    if (k > 0 && joined.bands && sample.bands) addBands(joined.bands, sample.bands)
  })
  return joined
}
