export { decideBy } from './decideBy'
export type { DecideBy, DecideRequest, DecideWay } from './decideBy'
