import type { Part, WallTime } from '../calendar'
import type { Origin, Quantity } from '../quantities'

/** Opaque, stable, never reused. The flow ends of `FLOW_ENDS` are reserved and never ids. */
export type Id = string

/** Where a flow may come from or go to besides a container. */
export const FLOW_ENDS = ['body', 'brought-in', 'consumed', 'carried-out', 'ground', 'kept'] as const
export type FlowEnd = (typeof FLOW_ENDS)[number]

export const SUPPLY_KINDS = ['fresh'] as const
export const WASTE_KINDS = ['gray', 'black'] as const
export type SupplyKind = (typeof SUPPLY_KINDS)[number]
export type WasteKind = (typeof WASTE_KINDS)[number]
export type ContainerKind = SupplyKind | WasteKind
/** Supply stops at its reserve, waste at its safe fill; a carrier has no limit and never stops a stay. */
export type Side = 'supply' | 'waste' | 'carrier'

export interface SupplyContainer {
  id: Id
  name: string
  kind: SupplyKind
  /** L */
  capacity: Quantity
  /** L not to be touched, including what lies below the pickup. */
  reserve: Quantity
}

export interface WasteContainer {
  id: Id
  name: string
  kind: WasteKind
  /** L */
  capacity: Quantity
  /** Share of the capacity up to which it may be filled. */
  safeFill: Quantity
}

export type Container = SupplyContainer | WasteContainer

export const ROLES = ['shower', 'kitchen', 'basin', 'toilet', 'laundry', 'outdoor-shower'] as const
export type Role = (typeof ROLES)[number]

export interface Fixture {
  id: Id
  name: string
  /** The supply it draws from; null where water is brought to it by hand. */
  draws: Id | null
  /** The waste container it drains to. */
  drains: Id
}

/** A fixture that serves a role; the shares of one role add up to 1. A role nothing serves is used off-site. */
export interface RoleShare {
  role: Role
  fixture: Id
  share: Quantity
}

export interface Rig {
  id: Id
  name: string
  containers: Container[]
  fixtures: Fixture[]
  roles: RoleShare[]
}

export const ACTIVITY_KINDS = [
  'shower', 'hand-wash', 'teeth', 'dishes', 'cooking', 'drinking', 'liquid-use', 'solid-use',
  'cleaning', 'laundry', 'pet', 'own',
] as const // prettier-ignore
export type ActivityKind = (typeof ACTIVITY_KINDS)[number]

/** Kinds that no habit, budget or plan may reduce (model.md section 4, 'Never rationed'). */
export const NEVER_RATIONED: readonly ActivityKind[] = ['drinking', 'hand-wash']

export interface Activity {
  /** Unique within its crew; the standard ones keep the same id in every crew, so that habits fit all. */
  id: Id
  kind: ActivityKind
  name: string
  role: Role
  /** Whether the rate is each person's or the whole crew's. */
  per: 'person' | 'crew'
  /** Uses per day. */
  rate: Quantity
  /** L drawn per use, the mean. */
  volume: Quantity
  /** Share of what is drawn that reaches the drain; the rest is consumed. */
  drainShare: Quantity
  /** How the day's uses fall on morning, midday, evening and night; sums to 1. */
  weights: { values: [number, number, number, number] } & Origin
  /** Coefficient of variation of the volume of one use. */
  spread: Quantity
  /** 0: the number of uses is exact; 1: Poisson. */
  dispersion: 0 | 1
  /** What each use adds to the drain from elsewhere, L: urine and solids from the body, paper brought in. */
  adds: { from: 'body' | 'brought-in'; volume: Quantity }[]
}

export interface Person {
  id: Id
  name: string
  /** The person's own rates, uses per day, in place of the activity's. Only for activities per person. */
  rates: { activity: Id; rate: Quantity }[]
}

export interface Crew {
  id: Id
  name: string
  persons: Person[]
  activities: Activity[]
}

/** What a habit does to a flow. `rate` multiplies uses; `volume` multiplies litres per use; `replace` sets them. */
export type Effect =
  | { kind: 'rate'; activity: Id; factor: Quantity }
  | { kind: 'volume'; activity: Id; factor: Quantity }
  | { kind: 'replace'; activity: Id; volume: Quantity }

export interface Habit {
  id: Id
  name: string
  note: string
  /** At most one habit of a group is on. */
  group: string | null
  effects: Effect[]
  /** 0 to 5, per day on. */
  bother: Quantity
}

/** A habit switched on for a stay; `days` are day numbers, both ends included, or null for the whole stay. */
export interface HabitOn {
  habit: Id
  days: [number, number] | null
}

export interface Absence {
  person: Id
  /** Day number of the stay. */
  day: number
  part: Part
}

export interface Stay {
  id: Id
  name: string
  rig: Id
  crew: Id
  start: WallTime
  leaveAt: WallTime
  /** How far the ledger looks ahead, days. */
  horizonDays: Quantity
  /** Starting level of every container of the rig, L. */
  levels: { container: Id; level: Quantity }[]
  habits: HabitOn[]
  absences: Absence[]
}

export const DOCUMENT_FORMAT = 'dry-count/document'

export interface Document {
  format: typeof DOCUMENT_FORMAT
  version: 1
  currentStay: Id | null
  rigs: Rig[]
  crews: Crew[]
  habits: Habit[]
  stays: Stay[]
}

/** @returns the side a kind of container stands on */
export function sideOf(kind: ContainerKind): Side {
  return (SUPPLY_KINDS as readonly string[]).includes(kind) ? 'supply' : 'waste'
}

/** L at which a container stops the stay: a supply's reserve, a waste container's safe fill × capacity. */
export function limitOf(container: Container): number {
  return 'reserve' in container
    ? container.reserve.value
    : container.safeFill.value * container.capacity.value
}
