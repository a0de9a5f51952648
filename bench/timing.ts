/**
 * Milliseconds of each run. The input is made outside the clock, again for every run, so that nothing is cached.
 * @param runs counted after so many warm-up runs
 */
export function sample<T>(
  runs: number,
  warmUp: number,
  make: (run: number) => T,
  work: (input: T) => number,
): number[] {
  const times: number[] = []
  let sink = 0
  for (let run = 0; run < warmUp + runs; run++) {
    const input = make(run)
    const before = performance.now()
    sink += work(input)
    if (run >= warmUp) times.push(performance.now() - before)
  }
  if (!Number.isFinite(sink)) throw new Error('the work came to nothing')
  return times
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)]!
}
