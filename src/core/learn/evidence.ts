import type { ActivityIndex, ContainerIndex } from '../domain'
import type { Amount, Cv, Days, Factor, Litres, Share } from '../quantities'

/** Something that happened or was seen, at an instant in days from where the model's grid begins. */
export type Evidence = Used | LeftOut | Unlogged | CountedFor | Odd | PanelRead | Measured | Known | Moved

/** Uses of one activity that were logged. */
export interface Used {
  kind: 'used'
  at: Days
  activity: ActivityIndex
  n: number
  /** L drawn by all of them together, where it was metered; null: not known. */
  litres: Litres | null
  /** On top of the usual ones: it moves the levels, and says nothing of what a usual one takes. */
  isExtra: boolean
}

/** An expected activity that did not happen from one instant to another, or happened at another rate. */
export interface LeftOut {
  kind: 'left-out'
  at: Days
  until: Days
  activity: ActivityIndex
  /** Share of the expected uses that were made, 0: none. */
  factor: Share
}

/**
 * Of an expected activity that was logged, what was made and not logged: by part of the grid the share of the uses that the model
 * expects, and the variance of the number beyond that of luck.
 */
export interface Unlogged {
  kind: 'unlogged'
  at: Days
  until: Days
  activity: ActivityIndex
  share: Float64Array
  variance: Float64Array
}

/** A stretch in which the log has all uses of an activity that is otherwise expected. */
export interface CountedFor {
  kind: 'counted'
  at: Days
  until: Days
  activity: ActivityIndex
}

/** Something else moved levels since `from`: they are unsure from here on, and how often things were done says nothing. */
export interface Odd {
  kind: 'odd'
  at: Days
  from: Days
  /** Null: all of them. */
  container: ContainerIndex | null
}

/** What a panel showed: the step that was lit, from 0 where none was. */
export interface PanelRead {
  kind: 'panel'
  at: Days
  container: ContainerIndex
  /** Where each step begins, shares of the capacity; the first is 0, and the last goes on for ever. */
  edges: readonly Share[]
  step: number
  /** Of several pieces the one aboard was looked at; `each` is a share of the capacity here. */
  aside?: Aside | undefined
}

/** Pieces of a container that stand aside full, while the one aboard is read: how many there may be, and what each holds. */
export interface Aside {
  most: number
  each: number
}

/** Litres by stick, scale or meter. */
export interface Measured {
  kind: 'measured'
  at: Days
  container: ContainerIndex
  level: Amount
  /** Standard deviation, same unit, > 0. */
  deviation: Amount
  /** Of several pieces the one aboard was measured; `each` is an amount here. */
  aside?: Aside | undefined
}

/** A level that is known since something was done: emptied (0), or filled until it ran over ('full'). */
export interface Known {
  kind: 'known'
  at: Days
  container: ContainerIndex
  level: Amount | 'full'
  /** L that were put in or taken out for it, where they were metered: they say what stood there before. */
  moved?: { litres: Litres; deviation: Litres } | undefined
}

/** Litres put in or taken out by hand: the level moves by them and stays as unsure as it was, and a little more. */
export interface Moved {
  kind: 'moved'
  at: Days
  container: ContainerIndex
  /** L, signed. */
  by: Litres
  /** Standard deviation of them. */
  deviation: Litres
}

/** Less of a cut of a spread than this is nothing learned. */
export const LEARNED = 0.05

/** What is believed of one activity before the evidence. */
export interface ActivityPrior {
  /** Coefficient of variation of the litres of one use. */
  spread: Cv
  /** Own level: its mean, 1 where nothing was learned before, and how sure that is. */
  ownMean: Factor
  levelSpread: Cv
  /** Whether the log has all of its uses; otherwise they are expected, and the log says what differed. */
  isCounted: boolean
  /** Variance of the number of uses over its mean: 1 for a Poisson number, less for what is done at most once a day. */
  dispersion: number
}

/** What is believed of one container: its true capacity over the one given has mean 1 and this spread. */
export interface ContainerPrior {
  capacitySpread: Cv
  /** Standard deviation of the level at the start; the level itself is the model's. */
  deviation: Amount
  /** Whether the level is a share of the true capacity: full to the brim, or read off a panel. */
  isShare: boolean
  /** The step that was read off the panel at the start, shares of the capacity; null: read otherwise. */
  step: Step | null
}

/** A step of a panel: from its probe to the next, shares of the capacity; the last goes on for ever. */
export interface Step {
  from: Share
  to: Share
}
