/**
 * The q-quantile of sorted numbers: the (⌊qN⌋ + 1)-th smallest (model.md section 5).
 * @param sorted ascending, not empty @param q 0 to 1
 */
export function quantileSorted(sorted: ArrayLike<number>, q: number): number {
  return sorted[rankOf(sorted.length, q) - 1]!
}

/** Which of n sorted numbers is the q-quantile, counted from 1. */
export function rankOf(n: number, q: number): number {
  return Math.min(n, Math.floor(q * n + 1e-9) + 1)
}
