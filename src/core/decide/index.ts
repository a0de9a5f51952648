export { decideBy, decideSteps, toQuarter } from './decideBy'
export type { DecideBy, DecideRequest, DecideWay, LastMoment } from './decideBy'
