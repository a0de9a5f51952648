import type { Litres, Share, Amount } from '../quantities'
import jstat from 'jstat'
import type { StartChance } from '../compile'
import type { Slices } from './slices'

/** A starting level ready to be drawn: u goes from `low` to `high`, L (uses), or shares of a normal's mass. */
export type StartSampler =
  | { shape: 'given'; level: Amount }
  | { shape: 'even'; low: number; high: number }
  | { shape: 'normal'; level: Amount; size: number; low: number; high: number; full: Amount }

const WHOLE = 2 ** 32

/**
 * An error is cut at empty and at full (model.md section 5); a level without one stands as it is. `even` is anywhere within
 * the width read; of `normal` the mass between Φ(−level/size) and Φ((full − level)/size) is drawn from.
 */
export function startSampler({ level, shape, size, full }: StartChance): StartSampler {
  if (size === 0) return { shape: 'given', level }
  if (shape === 'even')
    return { shape, low: Math.max(0, level - size / 2), high: Math.min(full, level + size / 2) }
  const below = (litres: Litres) => jstat.normal.cdf((litres - level) / size, 0, 1)
  return { shape, level, size, low: below(0), high: below(full), full }
}

/** @param share the trip's own capacity over the one given: what a panel reads moves with it @param word a random word */
export function startOf(start: StartSampler, share: Share, word: number, normal: Slices): number {
  if (start.shape === 'given') return start.level
  const u = start.low + ((word >>> 0) / WHOLE) * (start.high - start.low)
  if (start.shape === 'even') return u * share
  const { level, size, full } = start
  const slice = Math.min(normal.length - 1, Math.floor(u * normal.length))
  return Math.min(full, Math.max(0, level + size * normal[slice]!))
}

/** The q-quantile of a starting level, L (uses), at the capacity given. */
export function startQuantile(chance: StartChance, q: number): number {
  const start = startSampler(chance)
  if (start.shape === 'given') return start.level
  const u = start.low + q * (start.high - start.low)
  return start.shape === 'even' ? u : start.level + start.size * jstat.normal.inv(u, 0, 1)
}
