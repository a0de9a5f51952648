import type { WallTime } from '../calendar'
import type { Quantity } from '../quantities'
import type { Id } from './ids'

export const CHORE_KINDS = [
  'sanitize',
  'seals',
  'probes',
  'wash-cassette',
  'change-medium',
  'treat',
  'lay-up',
  'own',
] as const
export type ChoreKind = (typeof CHORE_KINDS)[number]

/** `idle`: days in which the rig was not used, on end; the others are counted since it was done last. */
export const CHORE_EVERY = ['days', 'days-of-use', 'trips', 'emptyings', 'idle'] as const
export type ChoreEvery = (typeof CHORE_EVERY)[number]

/** What a rig wants done again and again. Due by whichever of its rhythms comes first; one without any is done when wanted. */
export interface Chore {
  id: Id
  kind: ChoreKind
  /** The owner's own words; null: those of its kind. */
  name: string | null
  /** What it is about, and whose emptyings are counted; null: the rig. */
  container: Id | null
  every: { by: ChoreEvery; n: Quantity }[]
  /** When it was done last; null: not yet, or nobody knows. */
  done: WallTime | null
  /** `YYYY-MM-DD`, the day up to which nobody wants to hear of it; null: heard. */
  snoozed: string | null
}
