import type { Part } from '../calendar'
import type { Quantity } from '../quantities'
import type { WasteKind } from './containers'
import type { Id } from './ids'

/** Gear that some habit needs; a rig lists what it has. */
export const GEAR = [
  'shut-off-head', 'outdoor-shower', 'shower-basin', 'run-up-jug', 'lidded-pail', 'spray-bottle', 'bowl-liners',
  'lidded-bin',
] as const // prettier-ignore
export type Gear = (typeof GEAR)[number]

/** What the land may allow; not recorded means not allowed (model.md section 1). */
export const LAND_RULES = [
  'washing-water',
  'tank-gray',
  'urine',
  'solids',
  'site-toilets',
  'gray-drain',
] as const
export type LandRule = (typeof LAND_RULES)[number]

/** The one catalogue of cautions; the texts give each its words. */
export const CAUTIONS = [
  'stored-gray', 'bin-not-bowl', 'hot-vessel', 'land-rules', 'clear-of-water', 'mound', 'wash-hands', 'trickle',
  'slippery', 'not-for-drinking',
] as const // prettier-ignore
export type Caution = (typeof CAUTIONS)[number]

/**
 * What a habit does to a flow (model.md section 4). `rate` multiplies uses, `replace` sets litres per use and `volume`
 * multiplies them, `redirect` leads a share of what drains elsewhere, `catch` keeps a share of what drains in the
 * habit's vessel, and `reuse` draws up to a share of a use's water from it.
 */
export type Effect =
  | { kind: 'rate'; activity: Id; factor: Quantity }
  | { kind: 'volume'; activity: Id; factor: Quantity }
  | { kind: 'replace'; activity: Id; volume: Quantity }
  | { kind: 'redirect'; activity: Id; share: Quantity; to: RedirectTo }
  | { kind: 'catch'; activity: Id; share: Quantity }
  | { kind: 'reuse'; activity: Id; share: Quantity }

/** The ground, out of the rig by hand, or the rig's first container of a kind; without one the effect is idle. */
export const REDIRECT_ENDS = ['ground', 'carried-out'] as const
export type RedirectTo = (typeof REDIRECT_ENDS)[number] | Exclude<WasteKind, 'solids'>

/** What a habit keeps water in. */
export interface Vessel {
  /** L */
  capacity: Quantity
  /** Whether it holds unused water (a run-up) and not gray. */
  clean: boolean
}

/** When in a day a habit can be kept up. */
export interface When {
  /** null: at any hour. */
  parts: Part[] | null
  /** Only in parts of the day that are mostly light. */
  daylight: boolean
  /** °C of the day; null: in any weather. */
  lowest: Quantity | null
}

export interface Habit {
  id: Id
  name: string
  note: string
  /** At most one habit of a group is on. */
  group: string | null
  effects: Effect[]
  vessel: Vessel | null
  when: When
  gear: Gear[]
  /** The rule of the land without which it stays off. */
  permission: LandRule | null
  cautions: Caution[]
  /** 0 to 5, per day on. */
  bother: Quantity
}

/** A habit switched on for a stay; `days` are day numbers, both ends included, or null for the whole stay. */
export interface HabitOn {
  habit: Id
  days: [number, number] | null
}
