import type { ActivityIndex } from '../domain'
import type { Cv, Share } from '../quantities'
import { type Filter } from './filter'
import { ownFactor, rateFactor, type Ground } from './ground'

/** By how much not knowing an activity blurs what a day takes. */
export interface Blur {
  activity: ActivityIndex
  /** Its share of the variance of a day's draw, 0 to 1. */
  share: Share
}

/**
 * What to count next to learn most: activities by their share in how unsure the day's draw is, own factor and rate together,
 * largest first; those that are known, or draw nothing, are left out.
 * @param litres L that each draws in a day, on the mean
 */
export function nextToCount(ground: Ground, filter: Filter, litres: readonly number[]): Blur[] {
  const variances = blursOf(ground, filter, litres)
  const total = variances.reduce((sum, variance) => sum + variance, 0)
  if (total <= 0) return []
  return variances
    .map((variance, activity) => ({ activity, share: variance / total }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share || a.activity - b.activity)
}

/** How sure a day's draw is, a coefficient of variation: own factors and rates, taken as apart. @param litres as above */
export function daySpread(ground: Ground, filter: Filter, litres: readonly number[]): Cv {
  const { mean } = filter.state
  const variance = blursOf(ground, filter, litres).reduce((sum, one) => sum + one, 0)
  const drawn = litres.reduce(
    (sum, each, a) => sum + each * mean[ownFactor(a)]! * mean[rateFactor(ground, a)]!,
    0,
  )
  return drawn > 0 ? Math.sqrt(variance) / drawn : 0
}

function blursOf(ground: Ground, { state }: Filter, litres: readonly number[]): number[] {
  const { size, covariance } = state
  return ground.activities.map((_, a) => {
    const own = covariance[ownFactor(a) * size + ownFactor(a)]!
    const rate = covariance[rateFactor(ground, a) * size + rateFactor(ground, a)]!
    return litres[a]! ** 2 * (own + rate)
  })
}
