import { BATCH } from './batch'
import { AT_BEST, LIKELY, PLAN_ON } from './planOn'
import { quantileSorted } from './quantile'
import type { Sampler } from './sampler'
import { playTrips } from './trips'

/** The least liquid per solid use of a stay among trips, L. */
export interface FlushRange {
  low: number
  likely: number
  high: number
  /** Share of trips in which it falls below what the crew's floor is. */
  under: number
}

export interface FlushOptions {
  seed: number
  trials: number
  /** How many parts count. */
  parts: number
  /** L per solid use below which solids mound. */
  floor: number
}

/**
 * Liquid since the last emptying ÷ solid uses, from one use on (model.md section 4): each trip's least, over all
 * black tanks that solids reach and the parts counted. @param sampler with its flush accounts
 * @returns null where no trip has a solid use in a black tank
 */
export function flushRange(
  sampler: Sampler,
  { seed, trials, parts, floor }: FlushOptions,
): FlushRange | null {
  const { accounts, model } = sampler
  const { count } = model.grid
  const least = new Float64Array(trials).fill(Infinity)
  playTrips(sampler, sampler.luck(seed, 0, trials), null, {
    part: ({ off, size }, i, first) => {
      if (i >= parts) return
      for (const { liquid, solids } of accounts.flush)
        for (let j = 0; j < size; j++) {
          const uses = accounts.base[solids * count + i]! + off[solids * BATCH + j]!
          const litres = accounts.base[liquid * count + i]! + off[liquid * BATCH + j]!
          if (uses >= 1 - 1e-9) least[first + j] = Math.min(least[first + j]!, litres / uses)
        }
    },
  })
  const sorted = least.filter((ratio) => Number.isFinite(ratio)).sort()
  if (sorted.length === 0) return null
  const at = (q: number) => quantileSorted(sorted, q)
  const under = sorted.filter((ratio) => ratio < floor - 1e-9).length / trials
  return { low: at(PLAN_ON), likely: at(LIKELY), high: at(AT_BEST), under }
}
