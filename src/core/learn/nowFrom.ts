import jstat from 'jstat'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import type { WallTime } from '../calendar'
import { stateAt, type Ledger } from '../count'
import type { Model } from '../compile'
import type { Now } from '../domain'
import { levelOf } from './ground'
import type { Learned } from './learn'
import { jointDraws } from './posterior'

/** Rows enough for ten thousand trips that take them in turn. */
const ROWS = 1000
const WHOLE = 2 ** 32

/**
 * A stay under way as its log and its panel leave it: levels on the mean, and joint draws of all that is not known. What
 * vessels hold and what stands on the solids is the ledger's.
 * @param model the stay compiled from its start, with its ledger @param at where the learning ended, a wall time
 */
export function nowFrom(
  model: Model,
  ledger: Ledger,
  { ground, filter }: Pick<Learned, 'ground' | 'filter'>,
  at: WallTime,
  seed: number,
): Now {
  const expected = stateAt(model, ledger, at)
  return {
    ...expected,
    levels: model.containers.map(({ id }, c) => ({
      container: id,
      level: Math.max(0, filter.state.mean[levelOf(ground, c)]!),
    })),
    draws: jointDraws(ground, filter, ROWS, normalNumbers(seed)),
  }
}

/** Standard normal numbers, the same for the same seed. */
function normalNumbers(seed: number): () => number {
  const luck = xoroshiro128plus(seed)
  luck.jump()
  return () => jstat.normal.inv(((luck.next() >>> 0) + 0.5) / WHOLE, 0, 1)
}
