import type { Part } from '../calendar'
import type { Quantity } from '../quantities'
import type { WasteKind } from './containers'
import type { AddedFrom } from './crew'
import type { Id } from './ids'

/** Gear that some habit needs; a rig lists what it has. */
export const GEAR = [
  'shut-off-head',
  'outdoor-shower',
  'shower-basin',
  'run-up-jug',
  'lidded-pail',
  'spray-bottle',
  'bowl-liners',
  'lidded-bin',
  'shower-bag',
  'water-jugs',
  'macerator',
  'flow-meter',
  'rinse-wand',
  'low-flow-head',
  'shower-screen',
  'cup',
] as const
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
  'stored-gray',
  'bin-not-bowl',
  'hot-vessel',
  'land-rules',
  'clear-of-water',
  'mound',
  'wash-hands',
  'trickle',
  'slippery',
  'not-for-drinking',
  'plain-soap',
  'damp',
  'sun-warm',
] as const
export type Caution = (typeof CAUTIONS)[number]

/**
 * What a habit does to a flow (model.md section 4). `rate` multiplies uses, `replace` sets litres per use (of which
 * `trickle` run while the water is paused) and `volume` multiplies them, `trickle` multiplies what runs while paused,
 * `adds` what a use adds from elsewhere (paper brought in, urine), `bring` draws a share of its
 * water from what is brought in by jug, `redirect` leads a share of what drains elsewhere, `catch` keeps a share of what
 * drains in the habit's vessel, and `reuse` draws up to a share of a use's water from it.
 */
export type Effect =
  | { kind: 'rate'; activity: Id; factor: Quantity }
  | { kind: 'volume'; activity: Id; factor: Quantity }
  | { kind: 'replace'; activity: Id; volume: Quantity; trickle: Quantity | null }
  | { kind: 'trickle'; activity: Id; factor: Quantity }
  | { kind: 'adds'; activity: Id; from: AddedFrom; factor: Quantity }
  | { kind: 'bring'; activity: Id; share: Quantity }
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
  /** How it is done: at most one habit of a group is on. */
  group: string | null
  /** Where it is done: another choice, at most one of each is on too. */
  where: string | null
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

/** A habit switched on for a stay. */
export interface HabitOn {
  habit: Id
  /** Day numbers, both ends included; null: the whole stay. */
  days: [number, number] | null
  /** Who takes part; null: everyone. */
  persons: Id[] | null
}
