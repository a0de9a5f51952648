import type { Id } from '../domain'
import type { Days } from '../quantities'
import type { RiskTables } from '../risk'
import type { Goal } from './goal'
import type { ErrandSet } from './withErrand'

/** A set of habits for the whole stay, and what it gives. */
export interface HabitSet {
  habits: Id[]
  bother: number
  /** Days that hold at the stay's confidence on the fixed trips; the search's horizon where `isBeyond`. */
  days: Days
  isBeyond: boolean
}

/**
 * What keeps sets of habits out of an answer that the owner may allow: the school of flushing, the floor under it, habits
 * these people will not take.
 */
export const HOLDS = ['school', 'floor', 'refused'] as const
export type Hold = (typeof HOLDS)[number]

/** What would be had without one of them. */
export interface HeldBack {
  by: Hold
  most: HabitSet
  goal: Goal | null
}

export interface Reach {
  /** The least bother that makes the nights; null: no set does. Its chance is of `TRIALS` trips. */
  goal: Goal | null
  /** From no bother up: each set lasts at least a tenth of a day longer than any with less bother. */
  curve: HabitSet[]
  /** The set that lasts longest of all, by less than a tenth of a day longer than the last of the curve. */
  most: HabitSet
  /** What stops it in most of the trips that fail; null: nothing within the horizon. */
  stopper: Id | null
  /** Habits that were not tried: too many that act on the same things. */
  left: Id[]
  /** What would last longer, or bother less, were something allowed that is held back. */
  heldBack: HeldBack[]
  /** Where no set makes the nights: the least that does with one errand; null: none does, or none is needed. */
  errand: ErrandSet | null
  /** Where runs are set it was found by trying, and less bother may exist; otherwise it is proven on the fixed trips. */
  isTried: boolean
}

/** `goal` is undefined until it was searched for, the rest until the curve is whole. */
export type ReachSoFar = Pick<Reach, 'curve'> & Partial<Reach>

export interface ReachOptions {
  seed: number
  /** Days from the start until which it must last. */
  untilDays: Days
  /** Trips of the fixed sample. */
  trips?: number
  /** Habits these people will not take. */
  without?: readonly Id[]
  /** Whether sets may leave less liquid on the solids than the crew's floor. */
  underFloor?: boolean
  tables?: RiskTables
}

export const SAMPLE = 500
/** How far beyond the goal the curve is followed, days: what buys more nobody asked for, and it says 'or more'. */
export const BEYOND_DAYS = 1
