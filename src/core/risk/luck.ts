import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** Random 32-bit integers; the same for the same seed and trip on any machine. */
export type Luck = ReturnType<typeof xoroshiro128plus>

/** @param from first trip @param to one past the last */
export type TripLuck = (seed: number, from: number, to: number) => Luck[]

/**
 * The luck of trips: trip t's begins 2^64 · (t + 1) numbers after the seed's, the first of which are poor. They depend
 * on nothing but seed and trip, so neither the number of workers nor the habits compared change a trip's luck.
 */
export const tripLuck: TripLuck = (seed, from, to) => keptLuck()(seed, from, to)

/** The same, keeping where each trip begins: finding that takes 128 numbers. Of the last seed only. */
export function keptLuck(): TripLuck {
  let kept: { seed: number; walker: Luck; starts: Luck[] } | null = null
  return (seed, from, to) => {
    if (kept?.seed !== seed) kept = { seed, walker: xoroshiro128plus(seed), starts: [] }
    while (kept.starts.length < to) {
      kept.walker.jump()
      kept.starts.push(kept.walker.clone())
    }
    return kept.starts.slice(from, to)
  }
}
