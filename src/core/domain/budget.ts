import type { DayNumber } from '../calendar'
import type { Quantity } from '../quantities'
import type { Id } from './ids'

/** Somebody whose uses are set apart: so many a day, whatever the others save. */
export interface Apart {
  person: Id
  activity: Id
  /** Uses a day. */
  rate: Quantity
}

/** Uses given for others on one day, at their litres into what binds. */
export interface Swap {
  day: DayNumber
  less: Id
  by: number
  more: Id
  plus: number
}

/** What a stay's budget is for, and how it is shared (model.md section 7). What is named and is not there says nothing. */
export interface StayBudget {
  /** The night it shall last through, a day number; null: the last one. */
  night: DayNumber | null
  /** Share of trips in which it holds; null: the stay's own. */
  confidence: Quantity | null
  apart: Apart[]
  swaps: Swap[]
  /** Advice that this crew does not want to hear again on this stay: habits, and kinds of errand. */
  declined: string[]
}

export function noBudget(): StayBudget {
  return { night: null, confidence: null, apart: [], swaps: [], declined: [] }
}
