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
export { learn } from './learn'
export type { Learned } from './learn'
export { LEARNED, columnsOf, countedRate, jointDraws } from './posterior'
export type { ActivityLearned, JointDraws, LevelNow, Range } from './posterior'
