import type { DayNumber, Part, PartIndex } from '../calendar'
import type { Amount, Kilograms, Litres, Metres, Quantity } from '../quantities'
import type { EndCode, Id } from './ids'

/** What a run is (model.md section 7); `errand`: nothing of the rig is emptied or filled, but the road is shared. */
export const RUN_KINDS = [
  'move',
  'tote-loads',
  'carry',
  'jugs',
  'macerate',
  'gray-to-black',
  'restock',
  'on-the-road',
  'go-home',
  'errand',
] as const
export type RunKind = (typeof RUN_KINDS)[number]
/** Kinds of run on which the rig itself goes. */
export const MOVING_KINDS: readonly RunKind[] = ['move', 'on-the-road', 'go-home']

/**
 * What a step does. `empty` and `take` carry out, `fill` and `charge` bring in, `top-up` and `transfer` go from one container
 * to another (a top-up also from a hose), `by-head` is gray to black by the height of the water, `loads` fills a carrier from
 * a waste tank and empties it so many times, `jugs` fills a carrier and pours it into a supply so many times.
 */
export const STEP_DOES = [
  'empty',
  'take',
  'fill',
  'charge',
  'top-up',
  'transfer',
  'by-head',
  'loads',
  'jugs',
] as const
export type StepDoes = (typeof STEP_DOES)[number]

/**
 * How much. `all`: down to what stays behind (a supply that is drained outside: to nothing; one that gives to another
 * container: to its reserve), or up to full. `one`: what one of several alike holds. `level`: of the one that changes, the one
 * drained or the one filled. `most`: at most so much. `school`: as much as the crew's side says. `head`: what the heights let
 * through, with levels read `within` so many litres.
 */
export type StepAmount =
  | { as: 'all' }
  | { as: 'one' }
  | { as: 'school' }
  | { as: 'level'; litres: Quantity }
  | { as: 'most'; litres: Quantity }
  | { as: 'head'; within: Quantity }

/** How much each kind of step may be asked for. Only a supply is drained to what the road wants. */
export const AMOUNTS_OF: Record<StepDoes, readonly StepAmount['as'][]> = {
  empty: ['all', 'level', 'school'],
  take: ['one', 'most'],
  fill: ['all', 'level', 'most'],
  charge: ['school', 'most'],
  'top-up': ['school', 'level', 'most'],
  transfer: ['all', 'level', 'most', 'school'],
  'by-head': ['head'],
  loads: ['all'],
  jugs: ['all', 'most'],
}

export interface RunStep {
  do: StepDoes
  /** The container that gives; null: it is brought in. */
  from: Id | null
  /** The container that takes; null: it is carried out. */
  to: Id | null
  amount: StepAmount
  /** How often a carrier is filled; 1 where nothing is carried in loads. */
  loads: number
}

/** An errand set on a part of a day: its steps are done at the start of it, in their order, before the part's uses. */
export interface Run {
  id: Id
  name: string
  kind: RunKind
  day: DayNumber
  part: Part
  place: Id | null
  steps: RunStep[]
  minutes: Quantity
  kilometres: Quantity
  /** In the owner's money. */
  fee: Quantity
  /** 0 to 5. */
  bother: Quantity
}

/** What decides how much gray runs into black by itself: prismatic tanks at their heights (model.md section 8). */
export interface Head {
  gray: HeadTank
  black: HeadTank & { /** L */ safeLevel: Litres }
  /** m, the narrowest bore between them. */
  bore: Metres
  /** L by which a level may be read wrong either way. */
  readingError: Litres
}
export interface HeadTank {
  capacity: Litres
  height: Metres
  /** m over the rig's lowest tank, within its error. */
  bottom: { low: Metres; high: Metres }
}

/** `down-to` and `up-to` name a level of the one drained or filled; `most` an amount; `head` what levels let through. */
export type Ask = 'down-to' | 'up-to' | 'most' | 'head'

/** One movement between two ends, with its bounds. Amounts are L, or uses of a solids bin. */
export interface ModelStep {
  /** Which of the run's steps it belongs to. */
  step: number
  from: EndCode
  to: EndCode
  ask: Ask
  value: Amount
  /** The container with whose own capacity, in a trip, the value grows; −1: it stands. */
  scale: number
  /** The giver is not drawn below it. */
  floor: Amount
  /** It draws from a waste container: where that comes down to its residue, what stood on the solids is gone. */
  empties: boolean
  /** kg that a unit of it adds to the rig; 0: no more than before. */
  adds: Kilograms
  head: Head | null
}

export interface ModelRun {
  id: Id
  part: PartIndex
  /** Done on the road to a stay that follows another: a part of how it starts, and of its dry count. */
  isOfRoad: boolean
  /** Set by the owner: where it would move nothing it is not done, and counts for nothing. */
  isPlanned: boolean
  steps: ModelStep[]
}
