import { it } from 'vitest'

/** `npm run proof` does the same with more: what is too long for every run. */
export const isThorough = process.env.DRY_COUNT_PROOF === '1'

/** @param few in every run of the tests @param many in the proof */
export function often(few: number, many: number): number {
  return isThorough ? many : few
}

/**
 * Of so many shares of a long look, the one whose turn it is today; all are looked at in the proof. `DRY_COUNT_TURN` repeats
 * that of another day.
 */
export function isTurn(n: number, of: number): boolean {
  const today = Number(process.env.DRY_COUNT_TURN ?? Math.floor(Date.now() / 86_400_000))
  return isThorough || n % of === today % of
}

/** A test of the proof alone: a flood, or a twin of one that every run has (another rig, another way of touching). */
export const inProof = it.runIf(isThorough)
