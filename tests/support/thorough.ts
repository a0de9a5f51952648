/** `npm run proof` does the same with more: what is too long for every run. */
export const isThorough = process.env.DRY_COUNT_PROOF === '1'

/** @param few in every run of the tests @param many in the proof */
export function often(few: number, many: number): number {
  return isThorough ? many : few
}
