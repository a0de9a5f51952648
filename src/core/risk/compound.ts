import jstat from 'jstat'

/** Slices of a table; the lower ten of sixteen random bits choose one, the top six choose between two tables. */
export const SLICE_BITS = 10
export const SLICES = 2 ** SLICE_BITS
const MIXES = 2 ** (16 - SLICE_BITS)
/** Tables stand at the means (k·STEP)²: at this step a mixture of two neighbours has at most 0.6 % more variance. */
const STEP = 0.075

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
export function compoundTables(cv: number): CompoundTables {
  const tables: CompoundTables = { litres: new Float32Array(0), uses: new Float32Array(0), drawOf }
  let built = 0

  function drawOf(mean: number): CompoundDraw {
    if (mean === 0) {
      reach(1)
      return { code: 0, scale: 1 }
    }
    const k = Math.floor(Math.sqrt(mean) / STEP)
    const [low, high] = [meanOf(k), meanOf(k + 1)]
    const rounded = Math.round(((mean - low) / (high - low)) * MIXES)
    const mix = k === 0 ? Math.max(1, rounded) : rounded
    reach(k + 1)
    // The chance has 64 steps only: what the mixture's mean is off by is made up for.
    return { code: (k * MIXES + mix) * SLICES, scale: mean / (low + ((high - low) * mix) / MIXES) }
  }

  /** Builds the tables up to one and the next. */
  function reach(last: number): void {
    if (last < built) return
    const [litres, uses] = [0, 1].map(() => new Float32Array((last + 1) * SLICES)) as [
      Float32Array,
      Float32Array,
    ]
    litres.set(tables.litres)
    uses.set(tables.uses)
    for (let k = built; k <= last; k++) {
      const [from, to] = [k * SLICES, (k + 1) * SLICES]
      fillTable(meanOf(k), cv, litres.subarray(from, to), uses.subarray(from, to))
    }
    Object.assign(tables, { litres, uses })
    built = last + 1
  }

  return tables
}

function meanOf(k: number): number {
  return (k * STEP) ** 2
}

/**
 * Cuts the pairs (n, litres) into slices of equal probability and keeps each one's means. They are laid out by n and
 * within n by the litres, up and down in turn so that the few slices shared by two n hold neighbours. Given n the
 * litres are taken as lognormal with the mean n and the CV cv/√n of a sum of n uses.
 */
function fillTable(mean: number, cv: number, litres: Float32Array, uses: Float32Array): void {
  const weights = poissonWeights(mean)
  let at = 0
  weights.forEach((weight, n) => {
    const upTo = n === weights.length - 1 ? SLICES : at + weight * SLICES
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

/** P(n) for n = 0, 1, …, to where nothing is left that matters; the last takes the rest. */
function poissonWeights(mean: number): number[] {
  const last = Math.ceil(mean + 6 * Math.sqrt(mean) + 4)
  const mode = Math.floor(mean)
  const weights = new Array<number>(last + 1).fill(0)
  // From the most likely n outwards, so that nothing underflows however large the mean.
  weights[mode] = 1
  for (let n = mode; n > 0; n--) weights[n - 1] = (weights[n]! * n) / mean
  for (let n = mode; n < last; n++) weights[n + 1] = (weights[n]! * mean) / (n + 1)
  const total = weights.reduce((sum, w) => sum + w, 0)
  return weights.map((w) => w / total)
}

/** Share of a lognormal's mean that lies below its q-quantile: Φ(z_q − σ) with σ² = ln(1 + cv²). */
function lowerShare(q: number, cv: number): number {
  if (cv === 0 || q <= 0 || q >= 1) return Math.min(1, Math.max(0, q))
  const sigma = Math.sqrt(Math.log1p(cv * cv))
  return jstat.normal.cdf(jstat.normal.inv(q, 0, 1) - sigma, 0, 1)
}
