import jstat from 'jstat'
import type { ActivityIndex, ContainerIndex, JointDraws } from '../domain'
import type { Amount, Litres, Share } from '../quantities'
import type { Used } from './evidence'
import { RATE_SPREAD, type Filter } from './filter'
import type { Gaussian } from './gaussian'
import { capacityFactor, levelOf, ownFactor, type Ground } from './ground'

/** A range of a positive number. */
export interface Range {
  median: number
  low80: number
  high80: number
}

/** What is known of an activity. */
export interface ActivityLearned {
  /** L per use, before the evidence and after it. */
  prior: Range
  posterior: Range
  /** Own level after the evidence: what the litres per use are times, mean and coefficient of variation. */
  factor: number
  spread: number
  /** Share by which its spread was cut, 0 to 1. */
  cut: Share
  /** Uses that were logged. */
  logged: number
}

export interface LevelNow {
  mean: Amount
  low80: Amount
  high80: Amount
}

/** The 90 % quantile of a standard normal: ends of an interval of 80 %. */
const Z80 = jstat.normal.inv(0.9, 0, 1)

/** The lognormal with a mean and a standard deviation: its median and the ends of its 80 %. */
export function lognormalRange(mean: number, deviation: number): Range {
  const { mu, sigma } = lognormal(mean, deviation)
  return { median: Math.exp(mu), low80: Math.exp(mu - Z80 * sigma), high80: Math.exp(mu + Z80 * sigma) }
}

function lognormal(mean: number, deviation: number): { mu: number; sigma: number } {
  const sigma = Math.sqrt(Math.log(1 + (deviation / mean) ** 2))
  return { mu: Math.log(mean) - sigma ** 2 / 2, sigma }
}

const LEAST_FACTOR = 0.05

/** @param litres per use as the model has them, a mean */
export function learnedOf(
  ground: Ground,
  { state }: Filter,
  activity: ActivityIndex,
  litres: Litres,
  used: readonly Used[],
): ActivityLearned {
  const { levelSpread, ownMean } = ground.activities[activity]!
  const own = ownFactor(activity)
  const factor = Math.max(LEAST_FACTOR, state.mean[own]!)
  const deviation = Math.sqrt(Math.max(0, state.covariance[own * state.size + own]!))
  return {
    prior: lognormalRange(litres * ownMean, litres * ownMean * levelSpread),
    posterior: lognormalRange(litres * factor, litres * deviation),
    factor,
    spread: deviation / factor,
    cut: levelSpread === 0 ? 0 : Math.max(0, 1 - deviation / (ownMean * levelSpread)),
    logged: used.reduce((sum, one) => sum + (one.activity === activity ? one.n : 0), 0),
  }
}

/** A level now, within what its tank holds; what breached stays past full. @param filter its levels cut to their tanks */
export function levelNow(ground: Ground, { state }: Filter, container: ContainerIndex): LevelNow {
  const index = levelOf(ground, container)
  const mean = Math.max(0, state.mean[index]!)
  const deviation = Math.sqrt(Math.max(0, state.covariance[index * state.size + index]!))
  const most = Math.max(mean, fullest(ground, state, container))
  return {
    mean,
    low80: Math.max(0, mean - Z80 * deviation),
    high80: Math.min(most, mean + Z80 * deviation),
  }
}

/** What a tank holds at the most, as far as is known: the upper end of its capacity's 80 %. */
function fullest(ground: Ground, { mean, covariance, size }: Gaussian, container: ContainerIndex): Amount {
  const index = capacityFactor(ground, container)
  const deviation = Math.sqrt(Math.max(0, covariance[index * size + index]!))
  return ground.model.containers[container]!.capacity * (mean[index]! + Z80 * deviation)
}

/**
 * The rate of a counted activity after its log: gamma, α = 1/0.15² + N/φ, β = 1/0.15² + Λ/φ.
 * @param n uses that were logged @param expected uses that the model expected meanwhile
 */
export function countedRate(
  n: number,
  expected: number,
  dispersion: number,
): { mean: number; deviation: number } {
  const prior = 1 / RATE_SPREAD ** 2
  const phi = Math.max(dispersion, 1e-3)
  const [alpha, beta] = [prior + n / phi, prior + expected / phi]
  return { mean: alpha / beta, deviation: Math.sqrt(alpha) / beta }
}

/**
 * Draws by Cholesky of the covariance; own factors, rates and capacities take the lognormal of the same mean and variance,
 * levels stay normal, and what would lie outside its tank is mirrored into it.
 * @param normal standard normal numbers, one after the other
 */
export function jointDraws(ground: Ground, filter: Filter, rows: number, normal: () => number): JointDraws {
  const { state } = filter
  const { size, mean, covariance } = state
  const root = choleskyOf(covariance, size)
  const factors = 2 * ground.activities.length + ground.containers.length
  const values = new Float64Array(rows * size)
  const z = new Float64Array(size)
  for (let row = 0; row < rows; row++) {
    for (let k = 0; k < size; k++) z[k] = normal()
    for (let k = 0; k < size; k++) {
      let off = 0
      for (let j = 0; j <= k; j++) off += root[k * size + j]! * z[j]!
      const deviation = Math.sqrt(Math.max(0, covariance[k * size + k]!))
      values[row * size + k] =
        k >= factors
          ? inTank(mean[k]! + off, fullOf(ground, values, row * size, k - factors), mean[k]!)
          : deviation === 0
            ? mean[k]!
            : asLognormal(Math.max(LEAST_FACTOR, mean[k]!), deviation, off / deviation)
    }
  }
  return { rows, columns: size, values }
}

/** What the tank of a draw holds: its capacity factor stands before the levels. */
function fullOf({ model, activities }: Ground, values: Float64Array, row: number, container: number): Amount {
  return model.containers[container]!.capacity * values[row + 2 * activities.length + container]!
}

/** Mirrored at empty and at full; what is past full on the mean breached, and stays so. */
function inTank(level: Amount, full: Amount, mean: Amount): Amount {
  if (mean <= 0) return Math.max(0, level)
  const above = Math.abs(level)
  return mean > full || above <= full ? above : Math.max(0, 2 * full - above)
}

function asLognormal(mean: number, deviation: number, z: number): number {
  const { mu, sigma } = lognormal(mean, deviation)
  return Math.exp(mu + sigma * z)
}

/** The lower root of a covariance, row by row; what is known exactly has a row of noughts, which a library's would divide by. */
export function choleskyOf(covariance: Float64Array, size: number): Float64Array {
  const root = new Float64Array(size * size)
  for (let i = 0; i < size; i++)
    for (let j = 0; j <= i; j++) {
      let sum = covariance[i * size + j]!
      for (let k = 0; k < j; k++) sum -= root[i * size + k]! * root[j * size + k]!
      if (i === j) root[i * size + i] = Math.sqrt(Math.max(0, sum))
      else root[i * size + j] = root[j * size + j]! > 1e-12 ? sum / root[j * size + j]! : 0
    }
  return root
}
