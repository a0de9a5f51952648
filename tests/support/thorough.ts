import { it } from 'vitest'

/** `npm run proof` does the same with more: what is too long for every run. */
export const isThorough = process.env.DRY_COUNT_PROOF === '1'

/** @param few in every run of the tests @param many in the proof */
export function often(few: number, many: number): number {
  return isThorough ? many : few
}

/** A test of the proof alone: a flood, or a twin of one that every run has (another rig, another way of touching). */
export const inProof = it.runIf(isThorough)
