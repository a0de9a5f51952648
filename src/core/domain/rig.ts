import type { Chore } from './chore'
import type { Quantity } from '../quantities'
import type { OwnCard } from './card'
import type { Container } from './containers'
import type { Gear } from './habit'
import type { Id } from './ids'

export const ROLES = ['shower', 'kitchen', 'basin', 'toilet', 'laundry', 'outdoor-shower'] as const
export type Role = (typeof ROLES)[number]

export const TAKES = ['all', 'liquids', 'solids'] as const
/** Which uses a toilet is for; the others go to another toilet of the rig, or off-site where there is none. */
export type Takes = (typeof TAKES)[number]

export interface Fixture {
  id: Id
  name: string
  /** The supply it draws from; null where water is brought to it by hand. */
  draws: Id | null
  /** The waste container it drains to; of a diverting toilet, the liquids. */
  drains: Id
  /** A second receiver for solids and paper: a solids bin, a cassette or a black tank; null: everything drains together. */
  solids: Id | null
  /** Share of the usual water that a use takes here: 0 for a dry toilet, 1 for the volume of the activity. */
  waterFactor: Quantity
  takes: Takes
}

/** A fixture that serves a role; the shares of one role add up to 1. A role nothing serves is used off-site. */
export interface RoleShare {
  role: Role
  fixture: Id
  share: Quantity
}

export const RIG_SIDES = ['left', 'right', 'rear', 'under'] as const
export type RigSide = (typeof RIG_SIDES)[number]
export const HANDLES = ['pull', 'turn', 'switch'] as const
export type Handle = (typeof HANDLES)[number]

/** Where waste tanks meet outside: what shares it decides valve order, transfer and back-fill. */
export interface Outlet {
  id: Id
  name: string
  containers: Id[]
  /** A valve behind all of them, before the cap. */
  endValve: boolean
  /** The tank whose rinse inlet is here; null: none. */
  rinses: Id | null
  side: RigSide
  handle: Handle
  /** m, the narrowest bore between two of its tanks. */
  bore: Quantity
  /** Tanks whose own valves stand open to each other: one level by height. Empty, or at least two. */
  joined: Id[]
}

/** The water heater and the lines behind it. */
export interface Heater {
  volume: Quantity
  /** The supply it hangs on. */
  supply: Id
  /** Whether its water is part of the supply (drained for use at the end) or left out of the count. */
  counted: boolean
}

export interface Payload {
  /** kg the rig may carry. */
  limit: Quantity
  /** kg aboard besides water and waste: people, food, gear. */
  other: Quantity
}

/** With everything that is towed, m; null: not measured. */
export interface RigSize {
  height: Quantity | null
  length: Quantity | null
}

export interface Rig {
  id: Id
  name: string
  containers: Container[]
  fixtures: Fixture[]
  roles: RoleShare[]
  outlets: Outlet[]
  heater: Heater | null
  gear: Gear[]
  payload: Payload | null
  size: RigSize
  /** Run cards that the owner made. */
  cards: OwnCard[]
  /** What it wants done again and again. */
  chores: Chore[]
}
