import type { DayNumber, PartIndex } from '../calendar'
import type { Ledger } from '../count'
import type { Model } from '../compile'
import { WATER_KG_PER_L, kgPerUnit, type Container, type Crew, type Id, type Rig } from '../domain'
import type { Kilograms, Litres } from '../quantities'

/**
 * kg of water and waste aboard at an instant, all of the rig's containers together (shells are part of the rig). Nothing
 * is clipped: water that a dry tank still gives in the ledger is missing from it, so that the sum stays true.
 * @param part index of the part at whose end; −1: the start of the stay
 */
export function aboardKg(model: Model, ledger: Ledger, part: PartIndex): number {
  return model.containers.reduce((sum, { kgPer, start }, c) => {
    const level = part < 0 ? start : ledger.levels[c * model.grid.count + part]!
    return sum + level * kgPer
  }, 0)
}

export interface AboardDay {
  day: DayNumber
  /** The most aboard at any part end of the day, or right after a run (day 0: the start included), kg. */
  most: number
}

/** The heaviest moment of each day, up to the part before `parts`. */
export function aboardByDay(model: Model, ledger: Ledger, parts: number): AboardDay[] {
  const days: AboardDay[] = [{ day: 0, most: aboardKg(model, ledger, -1) }]
  for (let i = 0; i < Math.min(parts, model.grid.count); i++) {
    const kg = Math.max(aboardKg(model, ledger, i), afterRunsKg(model, ledger, i))
    const last = days.at(-1)!
    const day = model.grid.day[i]!
    if (day === last.day) last.most = Math.max(last.most, kg)
    else days.push({ day, most: kg })
  }
  return days
}

/** kg right after the runs of a part; 0 where it has none. */
function afterRunsKg({ containers }: Model, { afterRuns }: Ledger, part: PartIndex): Kilograms {
  const levels = afterRuns.get(part)
  return levels ? containers.reduce((sum, { kgPer }, c) => sum + kgPer * levels[c]!, 0) : 0
}

/**
 * L to fill a supply to on a road day so that the payload holds: what the rig may carry, less everything else aboard, less
 * the other containers' water and waste at the start of the stay. Never more than the tank, nor less than 0.
 * @returns null where the payload is not recorded
 */
export function fillOnlyTo(rig: Rig, model: Model, supply: Id): Litres | null {
  if (!rig.payload) return null
  const { limit, other } = rig.payload
  const target = model.containers.find(({ members }) => members.includes(supply))!
  const rest = model.containers.reduce(
    (sum, container) => (container === target ? sum : sum + container.start * container.kgPer),
    0,
  )
  const room = (limit.value - other.value - rest) / WATER_KG_PER_L
  return Math.min(target.capacity, Math.max(0, room))
}

/** A thing somebody lifts. */
export interface Lift {
  container: Id
  /** kg filled to its safe fill (a carrier: to the brim), shell included. */
  full: Kilograms
  /** The level of one at which it weighs the lift limit, L or uses; null: never up to full. */
  carryAt: number | null
}

/** kg of one that is carried, filled to its safe fill (a carrier: to the brim), shell included; null: it is built in. */
export function fullKg(container: Container): number | null {
  if (!('shell' in container)) return null
  const fill = 'safeFill' in container ? container.safeFill.value : 1
  return container.shell.value + fill * container.capacity.value * kgPerUnit(container)
}

/** The weight of each thing that is carried, against the owners' lift limit. */
export function lifts(rig: Rig, { liftLimit }: Pick<Crew, 'liftLimit'>): Lift[] {
  return rig.containers.flatMap((container) => {
    const full = fullKg(container)
    if (full === null || !('shell' in container)) return []
    const lifted = (liftLimit.value - container.shell.value) / kgPerUnit(container)
    return [{ container: container.id, full, carryAt: full <= liftLimit.value ? null : Math.max(0, lifted) }]
  })
}
