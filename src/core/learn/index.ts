export type {
  ActivityPrior,
  ContainerPrior,
  CountedFor,
  Evidence,
  Known,
  LeftOut,
  Measured,
  Odd,
  PanelRead,
  Unlogged,
  Used,
} from './evidence'
export { CONTRADICTS } from './agreement'
export type { Agreement } from './agreement'
export { inTime, learn } from './learn'
export type { LearnOptions, Learned, OwnPrior } from './learn'
export { trackOf } from './track'
export type { Track } from './track'
export { effectsOf } from './effects'
export type { Effects } from './effects'
export { levelOf, ownFactor, rateFactor } from './ground'
export type { Blur } from './nextToCount'
export { nowFrom } from './nowFrom'
export { LEARNED } from './evidence'
export { jointDraws } from './posterior'
export type { ActivityLearned, LevelNow, Range } from './posterior'
