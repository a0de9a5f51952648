export type {
  ActivityPrior,
  ContainerPrior,
  Evidence,
  Known,
  LeftOut,
  Measured,
  PanelRead,
  Used,
} from './evidence'
export { CONTRADICTS } from './agreement'
export type { Agreement } from './agreement'
export { learn } from './learn'
export type { Learned } from './learn'
export { nowFrom } from './nowFrom'
export { LEARNED, jointDraws } from './posterior'
export type { ActivityLearned, LevelNow, Range } from './posterior'
