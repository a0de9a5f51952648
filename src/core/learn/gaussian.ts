import jstat from 'jstat'

/** A Gaussian over a stay's unknowns; the covariance by rows. Changed in place. */
export interface Gaussian {
  size: number
  mean: Float64Array
  covariance: Float64Array
}

export function copyOf({ size, mean, covariance }: Gaussian): Gaussian {
  return { size, mean: mean.slice(), covariance: covariance.slice() }
}

/** A linear look at the unknowns: x = Σ weights × unknowns, of those whose indices are given. */
export interface Look {
  at: readonly number[]
  weights: readonly number[]
}

/** @returns S h, the covariance of every unknown with what is looked at */
export function along({ size, covariance }: Gaussian, { at, weights }: Look): Float64Array {
  const u = new Float64Array(size)
  at.forEach((column, k) => {
    for (let row = 0; row < size; row++) u[row]! += covariance[row * size + column]! * weights[k]!
  })
  return u
}

/** Var of what is looked at. */
export function varianceOf(u: Float64Array, { at, weights }: Look): number {
  return at.reduce((sum, row, k) => sum + u[row]! * weights[k]!, 0)
}

/**
 * What was seen moves the mean of x from `before` to `after` and its variance from V to V′; the unknowns follow:
 * mean += u (after − before)/V, S += u uᵀ (V′/V − 1)/V (moment matching; exact for a Gaussian observation).
 */
export function update(
  state: Gaussian,
  u: Float64Array,
  { before, after, variance, left }: { before: number; after: number; variance: number; left: number },
): void {
  const { size, mean, covariance } = state
  const shift = (after - before) / variance
  const shrink = (left / variance - 1) / variance
  for (let row = 0; row < size; row++) {
    mean[row]! += u[row]! * shift
    for (let column = 0; column < size; column++)
      covariance[row * size + column]! += u[row]! * u[column]! * shrink
  }
}

/** A stretch of the line with the likelihood of what was seen there. */
export interface Stretch {
  from: number
  to: number
  likelihood: number
}

/**
 * A normal x seen through a likelihood that is the same all along each stretch: the moments of the product.
 * @returns also ln Z, the log of how likely what was seen was; Z = Σ likelihood × mass
 */
export function through(
  mean: number,
  variance: number,
  stretches: readonly Stretch[],
): { mean: number; variance: number; logZ: number } {
  const sd = Math.sqrt(variance)
  let [mass, first, second] = [0, 0, 0]
  for (const { from, to, likelihood } of stretches) {
    const [a, b] = [(from - mean) / sd, (to - mean) / sd]
    const [pa, pb] = [density(a), density(b)]
    const part = likelihood * (below(b) - below(a))
    mass += part
    first += likelihood * (pa - pb)
    second += part + likelihood * ((Number.isFinite(a) ? a * pa : 0) - (Number.isFinite(b) ? b * pb : 0))
  }
  if (!(mass > 1e-300)) return { mean, variance, logZ: -700 }
  const shift = first / mass
  return {
    mean: mean + sd * shift,
    variance: variance * Math.max(1e-6, second / mass - shift * shift),
    logZ: Math.log(mass),
  }
}

/** The same seen less clearly. @param by 1: as it is, 0: not at all */
export function tempered(stretches: readonly Stretch[], by: number): readonly Stretch[] {
  return by >= 1 ? stretches : stretches.map((one) => ({ ...one, likelihood: one.likelihood ** by }))
}

/** P(Z > z) of a standard normal. */
export function upperTail(z: number): number {
  return 1 - below(z)
}

function below(z: number): number {
  if (z === Infinity) return 1
  return z === -Infinity ? 0 : jstat.normal.cdf(z, 0, 1)
}

function density(z: number): number {
  return Number.isFinite(z) ? Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI) : 0
}
