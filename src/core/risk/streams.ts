import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** Random 32-bit integers; the same for the same seed and trip on any machine. */
export type Stream = ReturnType<typeof xoroshiro128plus>

/**
 * The streams of trips `from` to `to` − 1: trip t's begins 2^64 · (t + 1) numbers after the seed's, the first of which are poor. They depend on nothing but
 * seed and trip, so neither the number of workers nor the habits compared change a trip's luck.
 */
export function tripStreams(seed: number, from: number, to: number): Stream[] {
  const walker = xoroshiro128plus(seed)
  for (let trip = 0; trip <= from; trip++) walker.jump()
  return Array.from({ length: to - from }, () => {
    const stream = walker.clone()
    walker.jump()
    return stream
  })
}
