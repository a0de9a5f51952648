import type { Days } from '../quantities'

/** A habit that is no bother at all is still one more thing to think of. */
const LEAST_BOTHER = 0.5

/** Days bought for the bother: the order in which habits are advised. @param bother 0 to 5 */
export function daysPerBother(days: Days, bother: number): number {
  return days / (LEAST_BOTHER + bother)
}
