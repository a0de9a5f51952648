export { litresOf, livedOf } from './lived'
export type { Lived, LivedLitres } from './lived'
export { perPersonDay, reviewOf, seasonOf } from './review'
export type { LiedReading, Nearest, Review, ReviewedRun, Season } from './review'
