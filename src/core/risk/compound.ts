import type { Cv } from '../quantities'
import jstat from 'jstat'

/** Slices of a table; the lower ten of sixteen random bits choose one, the top six choose between two tables. */
export const SLICE_BITS = 10
export const SLICES = 2 ** SLICE_BITS
const MIXES = 2 ** (16 - SLICE_BITS)
/** Tables stand at the means (k·STEP)²: at this step a mixture of two neighbours has at most 0.6 % more variance. */
const STEP = 0.075
/** Tables up to this one (a mean of 225) stand in a row; few means are larger, and theirs are built as they are asked for. */
const IN_A_ROW = 200
/** Means beyond this one are drawn as it is, and scaled: they hardly vary any more. */
const LARGEST = 1e6

/**
 * How a mean is drawn with sixteen random bits u: from w = code + u, w >> 16 is the table (the next one where the top bits
 * carry over, which they do with the chance that makes the mixture) and the low ten bits of w the slice; all times `scale`.
 */
export interface CompoundDraw {
  code: number
  scale: number
}

/**
 * Numbers of uses of a part and their litres (over those of one mean use), drawn together by one look-up. Table k holds
 * a Poisson number with the mean (k·STEP)²; whatever mean is asked for is a mixture of the two tables beside it, so
 * that an edit needs no new tables.
 */
export interface CompoundTables {
  /** At table × SLICES + slice; apart from each other, since most draws ask for litres alone. */
  litres: Float32Array
  uses: Float32Array
  /** @param mean >= 0; exact in the mean, in the variance within 1 % */
  drawOf: (mean: number) => CompoundDraw
}

/** Tables for a coefficient of variation of one use's litres, each built when a mean first needs it. */
export function compoundTables(cv: Cv): CompoundTables {
  const tables: CompoundTables = { litres: new Float32Array(0), uses: new Float32Array(0), drawOf }
  const rowOf = tableRows(tables, cv)

  function drawOf(mean: number): CompoundDraw {
    if (mean === 0) {
      rowOf(0)
      return { code: 0, scale: 1 }
    }
    const drawn = Math.min(mean, LARGEST)
    const k = Math.floor(Math.sqrt(drawn) / STEP)
    const [low, high] = [meanOf(k), meanOf(k + 1)]
    const rounded = Math.round(((drawn - low) / (high - low)) * MIXES)
    const mix = k === 0 ? Math.max(1, rounded) : rounded
    // The chance has 64 steps only: what the mixture's mean is off by is made up for.
    return { code: (rowOf(k) * MIXES + mix) * SLICES, scale: mean / (low + ((high - low) * mix) / MIXES) }
  }
  return tables
}

/** @returns where table k stands, the next one after it; built where it is not there yet */
function tableRows(tables: Pick<CompoundTables, 'litres' | 'uses'>, cv: Cv): (k: number) => number {
  /** Where a pair of large tables begins. */
  const pairs = new Map<number, number>()
  const rows = () => tables.litres.length / SLICES
  const rowOf = (k: number): number => {
    if (k < IN_A_ROW) {
      if (rows() <= k + 1)
        append(
          tables,
          cv,
          [...Array(k + 2 - rows()).keys()].map((i) => rows() + i),
        )
      return k
    }
    if (rows() <= IN_A_ROW) rowOf(IN_A_ROW - 1)
    const row = pairs.get(k) ?? rows()
    if (!pairs.has(k)) append(tables, cv, [k, k + 1])
    pairs.set(k, row)
    return row
  }
  return rowOf
}

function append(tables: Pick<CompoundTables, 'litres' | 'uses'>, cv: Cv, which: readonly number[]): void {
  const from = tables.litres.length
  const longer = (old: Float32Array) => {
    const row = new Float32Array(from + which.length * SLICES)
    row.set(old)
    return row
  }
  const [litres, uses] = [longer(tables.litres), longer(tables.uses)]
  which.forEach((k, i) => {
    const at = from + i * SLICES
    fillTable(meanOf(k), cv, litres.subarray(at, at + SLICES), uses.subarray(at, at + SLICES))
  })
  Object.assign(tables, { litres, uses })
}

function meanOf(k: number): number {
  return (k * STEP) ** 2
}

/**
 * Cuts the pairs (n, litres) into slices of equal probability and keeps each one's means. They are laid out by n and
 * within n by the litres, up and down in turn so that the few slices shared by two n hold neighbours. Given n the
 * litres are taken as lognormal with the mean n and the CV cv/√n of a sum of n uses.
 */
function fillTable(mean: number, cv: Cv, litres: Float32Array, uses: Float32Array): void {
  const { first, weights } = poissonWeights(mean)
  let at = 0
  weights.forEach((weight, i) => {
    const n = first + i
    const upTo = i === weights.length - 1 ? SLICES : at + weight * SLICES
    const spread = n === 0 ? 0 : cv / Math.sqrt(n)
    let below = 0
    for (let slice = Math.floor(at); slice < Math.min(upTo, SLICES); slice++) {
      const end = Math.min(upTo, slice + 1)
      const part = end - Math.max(at, slice)
      const share = Math.min(1, (end - at) / (upTo - at))
      const litresBelow = n * lowerShare(n % 2 === 0 ? share : 1 - share, spread)
      const reached = n % 2 === 0 ? litresBelow : n - litresBelow
      litres[slice]! += (reached - below) * (upTo - at)
      uses[slice]! += part * n
      below = reached
    }
    at = upTo
  })
}

/** P(n) for n = first, first + 1, … wherever it matters; the last takes the rest. */
function poissonWeights(mean: number): { first: number; weights: number[] } {
  const reach = 6 * Math.sqrt(mean) + 4
  const first = Math.max(0, Math.floor(mean - reach))
  const mode = Math.floor(mean) - first
  const weights = new Array<number>(Math.ceil(mean + reach) - first + 1).fill(0)
  // From the most likely n outwards, so that nothing underflows however large the mean.
  weights[mode] = 1
  for (let i = mode; i > 0; i--) weights[i - 1] = (weights[i]! * (first + i)) / mean
  for (let i = mode; i < weights.length - 1; i++) weights[i + 1] = (weights[i]! * mean) / (first + i + 1)
  const total = weights.reduce((sum, w) => sum + w, 0)
  return { first, weights: weights.map((w) => w / total) }
}

/** Share of a lognormal's mean that lies below its q-quantile: Φ(z_q − σ) with σ² = ln(1 + cv²). */
function lowerShare(q: number, cv: Cv): number {
  if (cv === 0 || q <= 0 || q >= 1) return Math.min(1, Math.max(0, q))
  const sigma = Math.sqrt(Math.log1p(cv * cv))
  return jstat.normal.cdf(jstat.normal.inv(q, 0, 1) - sigma, 0, 1)
}
