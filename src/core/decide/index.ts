export { decideBy, decideSteps } from './decideBy'
export type { DecideBy, DecideRequest, DecideWay } from './decideBy'
