/** Numbers are drawn with 16 random bits; a guide on the top six finds where to begin. */
export const POISSON_BITS = 16
const WHOLE = 2 ** POISSON_BITS
const GUIDES = 64

/**
 * Poisson numbers for many means, read off 16 random bits u: n is the first whose cumulated probability × 2^16 lies above
 * u + ½, so probabilities are exact to 2^-16. What u leaves over inside n's interval is again even between 0 and 1, and
 * draws the litres. Rows of all means lie one behind the other.
 */
export interface PoissonTables {
  /** Cumulated probabilities × 2^16; row t begins at `offset[t]`. */
  upTo: Float64Array
  /** 1 ÷ the width of n's interval, in the same places. */
  perWidth: Float64Array
  offset: Int32Array
  /** The least n for each value of the top six bits; row t begins at 64·t. */
  guide: Uint16Array
}

/** Collects means and builds their tables; the same mean twice is one table. */
export function poissonTables() {
  const known = new Map<number, number>()
  return {
    /** @param mean >= 0 @returns the number of its table */
    add(mean: number): number {
      if (!known.has(mean)) known.set(mean, known.size)
      return known.get(mean)!
    },
    build: () => build([...known.keys()]),
  }
}

function build(means: readonly number[]): PoissonTables {
  const rows = means.map(cumulated)
  const offset = new Int32Array(means.length)
  for (let t = 1; t < rows.length; t++) offset[t] = offset[t - 1]! + rows[t - 1]!.length
  const upTo = Float64Array.from(rows.flat())
  const perWidth = Float64Array.from(
    rows.flatMap((row) => row.map((high, n) => 1 / Math.max(high - (n === 0 ? 0 : row[n - 1]!), 1))),
  )
  const guide = new Uint16Array(means.length * GUIDES)
  rows.forEach((row, t) => {
    let n = 0
    for (let g = 0; g < GUIDES; g++) {
      while (row[n]! <= (g * WHOLE) / GUIDES) n++
      guide[t * GUIDES + g] = n
    }
  })
  return { upTo, perWidth, offset, guide }
}

/**
 * P(N <= n) × 2^16 for n = 0, 1, …, the last one 2^16. From the most likely n outwards by p(n+1) = p(n)·λ/(n+1), so that
 * nothing underflows however large the mean.
 */
function cumulated(mean: number): number[] {
  const mode = Math.floor(mean)
  const last = Math.ceil(mean + 6 * Math.sqrt(mean) + 6)
  const weight = new Array<number>(last + 1).fill(0)
  weight[mode] = 1
  for (let n = mode; n > 0; n--) weight[n - 1] = (weight[n]! * n) / mean
  for (let n = mode; n < last; n++) weight[n + 1] = (weight[n]! * mean) / (n + 1)
  const total = weight.reduce((sum, w) => sum + w, 0)
  let below = 0
  const row = weight.map((w) => (below += (w / total) * WHOLE))
  row[last] = WHOLE
  return row
}
