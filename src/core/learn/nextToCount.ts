import type { ActivityIndex } from '../model'
import type { Share } from '../quantities'
import { ownLevel, rateFactor, type Filter, type Ground } from './filter'

/** By how much not knowing an activity blurs what a day takes. */
export interface Blur {
  activity: ActivityIndex
  /** Its share of the variance of a day's draw, 0 to 1. */
  share: Share
}

/**
 * What to count next to learn most: activities by their share in how unsure the day's draw is, own level and rate together,
 * largest first; those that are known, or draw nothing, are left out.
 * @param litres L that each draws in a day, on the mean
 */
export function nextToCount(ground: Ground, { state }: Filter, litres: readonly number[]): Blur[] {
  const { size, covariance } = state
  const variances = ground.activities.map((_, a) => {
    const own = covariance[ownLevel(a) * size + ownLevel(a)]!
    const rate = covariance[rateFactor(ground, a) * size + rateFactor(ground, a)]!
    return litres[a]! ** 2 * (own + rate)
  })
  const total = variances.reduce((sum, variance) => sum + variance, 0)
  if (total <= 0) return []
  return variances
    .map((variance, activity) => ({ activity, share: variance / total }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share || a.activity - b.activity)
}
