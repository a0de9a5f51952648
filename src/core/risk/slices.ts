import type { Cv } from '../quantities'
import jstat from 'jstat'

/**
 * A distribution cut into slices of equal probability, each replaced by its own mean: a draw is one look-up, and the mean
 * is exact. The variance falls short by what varies inside the slices: 0.14 % at 512 slices and a CV of 0.35.
 */
export type Slices = Float64Array

/** The n + 1 quantiles of the standard normal between which n slices lie, the outermost infinite. */
export type Edges = readonly number[]

export function edgesOf(n: number): Edges {
  return Array.from({ length: n + 1 }, (_, k) => {
    if (k === 0) return -Infinity
    return k === n ? Infinity : jstat.normal.inv(k / n, 0, 1)
  })
}

/** Standard normal: slice k has the mean n·(φ(z_k) − φ(z_{k+1})). */
export function normalSlices(edges: Edges): Slices {
  const n = edges.length - 1
  const density = edges.map((z) => (Number.isFinite(z) ? jstat.normal.pdf(z, 0, 1) : 0))
  return Float64Array.from({ length: n }, (_, k) => n * (density[k]! - density[k + 1]!))
}

/**
 * Lognormal with a mean and a coefficient of variation: σ² = ln(1 + cv²), and since E[X; X < x] = mean·Φ(z − σ), slice k
 * has the mean n·mean·(Φ(z_{k+1} − σ) − Φ(z_k − σ)). Exactly the mean where cv = 0.
 */
export function lognormalSlices(mean: number, cv: Cv, edges: Edges): Slices {
  const n = edges.length - 1
  if (cv === 0) return new Float64Array(n).fill(mean)
  const sigma = Math.sqrt(Math.log1p(cv * cv))
  const below = edges.map((z) => (Number.isFinite(z) ? jstat.normal.cdf(z - sigma, 0, 1) : z > 0 ? 1 : 0))
  return Float64Array.from({ length: n }, (_, k) => mean * n * (below[k + 1]! - below[k]!))
}
