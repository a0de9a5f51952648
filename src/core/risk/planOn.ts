/** 'Plan on' holds in nine of ten trips, 'likely' is the median (model.md section 5). */
export const PLAN_ON = 0.1
export const LIKELY = 0.5
export const AT_BEST = 0.9
/** Trips until an answer is final. */
export const TRIALS = 10_000
