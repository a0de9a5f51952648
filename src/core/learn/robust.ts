import { along, update, varianceOf, type Gaussian, type Look } from './gaussian'

/** Standard deviations beyond which a look contradicts what is believed: one of both is wrong. */
const DOUBTED = 3
/** A look that contradicts is never believed less than this, however sure everything else was (assumed). */
const LEAST_RIGHT = 0.5
/** How often litres are typed wrong, as a density beside that of the litres themselves (assumed). */
const MISTYPED = 0.002

/** A Gaussian look at x: y = x + error. @returns ln of how likely it was */
export function observe(state: Gaussian, look: Look, y: number, errorVariance: number): number {
  const { u, variance, x, total } = lookedAt(state, look, errorVariance)
  if (variance <= 0) return 0
  const after = x + (variance / total) * (y - x)
  update(state, u, { before: x, after, variance, left: (variance * errorVariance) / total })
  return logDensity(y - x, total)
}

/**
 * A look that may be wrong, as what is believed may be. Within three deviations it is a look like any other. Beyond, one of
 * the two holds: with the weight of the look (V over V and its error, a half at the least) it is right, and all that was
 * believed of x is gone; else nothing was seen. The mean stands between them, and the variance is that of both, until another look decides.
 */
export function observeDoubting(state: Gaussian, look: Look, y: number, errorVariance: number): number {
  const { variance, x, total } = lookedAt(state, look, errorVariance)
  const z = Math.abs(y - x) / Math.sqrt(total)
  if (z <= DOUBTED) return observe(state, look, y, errorVariance)
  const right = Math.max(LEAST_RIGHT, variance / total)
  const left = (1 - right) * variance + right * errorVariance + right * (1 - right) * (y - x) ** 2
  apart(state, look, 1 - right)
  widen(state, look, left)
  const index = look.at.at(-1)!
  state.mean[index]! += (right * (y - x)) / look.weights.at(-1)!
  return logDensity(DOUBTED * Math.sqrt(total), total)
}

/** What x has in common with the others is believed by so much less. */
function apart(state: Gaussian, look: Look, by: number): void {
  const index = look.at.at(-1)!
  for (let k = 0; k < state.size; k++) {
    if (k === index) continue
    const kept = by * state.covariance[k * state.size + index]!
    state.covariance[k * state.size + index] = kept
    state.covariance[index * state.size + k] = kept
  }
}

/** Gives x a variance, by that of the last unknown looked at. */
function widen(state: Gaussian, look: Look, to: number): void {
  const index = look.at.at(-1)!
  const now = varianceOf(along(state, look), look)
  const weight = look.weights.at(-1)!
  state.covariance[index * state.size + index]! += Math.max(0, to - now) / weight ** 2
}

function lookedAt(state: Gaussian, look: Look, errorVariance: number) {
  const u = along(state, look)
  const variance = varianceOf(u, look)
  const x = look.at.reduce((sum, index, k) => sum + state.mean[index]! * look.weights[k]!, 0)
  return { u, variance, x, total: variance + errorVariance }
}

const logDensity = (off: number, total: number) => -0.5 * (off ** 2 / total + Math.log(2 * Math.PI * total))

/**
 * How far litres are believed that are so many times what was expected, 0 to 1: the density of such a use beside that of a
 * slip of the finger. @param variance of what was expected, over its square or near enough
 */
export function weightOf(ratio: number, variance: number): number {
  const sigma = Math.sqrt(Math.log(1 + variance))
  if (sigma === 0) return 1
  if (ratio <= 0) return 0
  const density = Math.exp(-0.5 * (Math.log(ratio) / sigma) ** 2) / Math.sqrt(2 * Math.PI)
  return density / (density + MISTYPED)
}
