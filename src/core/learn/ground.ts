import type { Model } from '../compile'
import type { Effects } from './effects'
import type { ActivityPrior, ContainerPrior, CountedFor, LeftOut, Unlogged } from './evidence'

/** What a filter runs on. */
export interface Ground {
  model: Model
  effects: Effects
  activities: readonly ActivityPrior[]
  containers: readonly ContainerPrior[]
  /** Stretches in which an expected activity was left out, was counted instead, or was partly logged. */
  leftOut: readonly (LeftOut | CountedFor | Unlogged)[]
}

/** Where each unknown stands in the one Gaussian: own factors, rate factors, capacity factors, levels. */
export const ownFactor = (activity: number) => activity
export const rateFactor = ({ activities }: Ground, activity: number) => activities.length + activity
export const capacityFactor = ({ activities }: Ground, container: number) => 2 * activities.length + container
export const levelOf = ({ activities, containers }: Ground, container: number) =>
  2 * activities.length + containers.length + container
