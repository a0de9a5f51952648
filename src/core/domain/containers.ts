import type { Kilograms, Litres, Metres, Origin, Quantity } from '../quantities'
import type { Id } from './ids'

export const SUPPLY_KINDS = ['fresh', 'flush'] as const
/** Tanks built into the rig and emptied through an outlet. */
export const TANK_KINDS = ['gray', 'black'] as const
/** Vessels somebody pulls out and carries. */
export const CARRIED_KINDS = ['cassette', 'urine', 'solids'] as const
export const WASTE_KINDS = [...TANK_KINDS, ...CARRIED_KINDS] as const
export const CARRIER_KINDS = ['tote', 'jug'] as const
export type SupplyKind = (typeof SUPPLY_KINDS)[number]
export type TankKind = (typeof TANK_KINDS)[number]
export type CarriedKind = (typeof CARRIED_KINDS)[number]
export type WasteKind = (typeof WASTE_KINDS)[number]
export type CarrierKind = (typeof CARRIER_KINDS)[number]
export type ContainerKind = SupplyKind | WasteKind | CarrierKind
/** Supply stops at its reserve, waste at its safe fill; a carrier has no limit and never stops a stay. */
export type Side = 'supply' | 'waste' | 'carrier'
/** What a level is counted in: litres, or the uses of a solids bin. */
export type LevelUnit = 'L' | 'uses'

/**
 * What a monitor panel shows of a tank: its probes, as shares of the volume, rising. A reading is the interval from its
 * probe to the next (model.md section 6); null: no panel.
 */
export type Panel = ({ probes: number[] } & Origin) | null

/** `spread` below: by how much the capacity may be off, as a coefficient of variation; 0 once it was metered. */
interface Named {
  id: Id
  name: string
}

export interface SupplyContainer extends Named {
  kind: SupplyKind
  /** L */
  capacity: Quantity
  spread: Quantity
  /** L not to be touched, including what lies below the pickup. */
  reserve: Quantity
  panel: Panel
}

/** Where a tank's water stands: needed for what meets by height (joined tanks, gray to black). The tank is prismatic. */
export interface TankShape {
  /** m, from the inside bottom to the inside top. */
  height: Quantity
  /** m, the inside bottom over the lowest point of the rig's tanks. */
  bottom: Quantity
  /** m, by how much the bottom may be off either way. */
  error: Quantity
}

export interface TankContainer extends Named {
  kind: TankKind
  /** L */
  capacity: Quantity
  spread: Quantity
  /** Share of the capacity up to which it may be filled. */
  safeFill: Quantity
  /** L that an emptying leaves behind; 0 unless recorded. */
  residue: Quantity
  /** null: not measured. */
  shape: TankShape | null
  panel: Panel
}

/** A cassette or a urine jug, with `spares` alike: one container with their levels summed (model.md section 1). */
export interface VesselContainer extends Named {
  kind: 'cassette' | 'urine'
  /** L of one of them. */
  capacity: Quantity
  spread: Quantity
  safeFill: Quantity
  /** How many more there are. */
  spares: number
  /** kg of one empty. */
  shell: Quantity
  /** L in it at which its warning light comes on; null: it has none. */
  light: Quantity | null
}

export const MEDIA = ['long', 'short'] as const
/** The two regimes of a solids bin: coir or peat (long cycle), sawdust (short cycle). */
export type Medium = (typeof MEDIA)[number]

/** A solids bin: its level and capacity are uses, balanced apart from the litres. */
export interface SolidsContainer extends Named {
  kind: 'solids'
  medium: Medium
  /** Uses until it is full with the medium it has. */
  capacity: Quantity
  /** The same with the other medium: changing over swaps the two. */
  otherCapacity: Quantity
  spread: Quantity
  safeFill: Quantity
  spares: number
  /** kg empty, with fresh medium. */
  shell: Quantity
  /** kg that one use adds. */
  perUse: Quantity
}

export interface CarrierContainer extends Named {
  kind: CarrierKind
  /** L */
  capacity: Quantity
  /** kg empty. */
  shell: Quantity
  /** kg that the vehicle it rides in may carry, shell and all; null: it rides on the rig, or behind it on its own wheels. */
  payload: Quantity | null
}

export type Container = SupplyContainer | TankContainer | VesselContainer | SolidsContainer | CarrierContainer

/** @returns the side a kind of container stands on */
export function fillOf(kind: ContainerKind): Side {
  if (isOneOf(SUPPLY_KINDS, kind)) return 'supply'
  return isOneOf(CARRIER_KINDS, kind) ? 'carrier' : 'waste'
}

export function unitOf(kind: ContainerKind): LevelUnit {
  return kind === 'solids' ? 'uses' : 'L'
}

export function sparesOf(container: Container): number {
  return 'spares' in container ? container.spares : 0
}

/**
 * The level at which a container stops the stay: a supply's reserve; for waste (1 + spares) × safe fill × capacity;
 * null for a carrier (model.md section 1).
 */
export function limitOf(container: Container): number | null {
  if ('reserve' in container) return container.reserve.value
  if (!('safeFill' in container)) return null
  return (1 + sparesOf(container)) * container.safeFill.value * container.capacity.value
}

/** kg per L of water at about 20 °C, and of waste taken as water. Source: model.md section 8. */
export const WATER_KG_PER_L = 0.998
/** Share of a tote that is filled. Source: model.md section 7. */
const TOTE_FILL = 0.9

/** kg per litre, or per use of a solids bin. */
export function kgPerUnit(container: Container): Kilograms {
  return container.kind === 'solids' ? container.perUse.value : WATER_KG_PER_L
}

/** L up to which a carrier is filled: nine tenths of a tote, a jug to the brim; less where its vehicle carries no more. */
export function carrierFill({ kind, capacity, shell, payload }: CarrierContainer): Litres {
  const full = kind === 'tote' ? TOTE_FILL * capacity.value : capacity.value
  return payload === null ? full : Math.max(0, Math.min(full, (payload.value - shell.value) / WATER_KG_PER_L))
}

/** m² of a prismatic tank's base. @param capacity L @param height m, > 0 */
export function baseArea(capacity: Litres, height: Metres): number {
  return capacity / 1000 / height
}

export function isOneOf<T extends string>(list: readonly T[], value: string): value is T {
  return (list as readonly string[]).includes(value)
}
