import {
  baseArea,
  carrierFill,
  kgPerUnit,
  limitOf,
  fillOf,
  sparesOf,
  unitOf,
  type Container,
  type TankContainer,
  type Id,
  type Passed,
  type Rig,
  type Stay,
} from '../domain'
import type { ModelContainer } from './model'

/** The rig's containers, tanks that stand open to each other as one, with their starting levels. */
export function compileContainers(rig: Rig, stay: Stay, begins: Passed | null = null): ModelContainer[] {
  const levels = new Map(stay.levels.map(({ container, level }) => [container, level.value]))
  return groupsOf(rig).map((members) => {
    const start = members.reduce((sum, { id }) => {
      const level = levels.get(id)
      if (level === undefined) throw new RangeError(`no starting level for container '${id}'`)
      return sum + level
    }, 0)
    const first = members[0]!
    const heater = heaterOf(rig, first.id)
    const level = begins?.levels.find(({ container }) => container === first.id)?.level ?? start + heater
    return {
      id: first.id,
      name: members.map(({ name }) => name).join(' + '),
      kind: first.kind,
      side: fillOf(first.kind),
      unit: unitOf(first.kind),
      members: members.map(({ id }) => id),
      isBlack: members.some(({ kind }) => kind === 'black'),
      capacity: members.reduce((sum, member) => sum + (1 + sparesOf(member)) * member.capacity.value, heater),
      limit: members.length > 1 ? joinedLimit(members as TankContainer[]) : limitOf(first),
      ceiling: ceilingOf(members, heater),
      residue: members.reduce((sum, one) => sum + ('residue' in one ? one.residue.value : 0), 0),
      reserve: 'reserve' in first ? first.reserve.value : 0,
      kgPer: 'payload' in first && first.payload ? 0 : kgPerUnit(first),
      start: level,
      onSolids: begins?.onSolids.find(({ container }) => container === first.id) ?? {
        liquid: level,
        uses: 0,
      },
    }
  })
}

/** The level up to which a run fills it. */
function ceilingOf(members: readonly Container[], heater: number): number {
  const first = members[0]!
  if ('payload' in first) return carrierFill(first)
  if ('reserve' in first) return first.capacity.value + heater
  return members.length > 1 ? joinedLimit(members as TankContainer[]) : limitOf(first)!
}

/** A heater whose water counts is one with its supply, and full when the stay starts. */
export function heaterOf({ heater }: Rig, id: Id): number {
  return heater?.counted && heater.supply === id ? heater.volume.value : 0
}

function groupsOf(rig: Rig): Container[][] {
  const joined = rig.outlets.map((outlet) => outlet.joined).filter((ids) => ids.length > 1)
  return rig.containers.flatMap((container) => {
    const group = joined.find((ids) => ids.includes(container.id))
    if (!group) return [[container]]
    const members = membersOf(rig, group)
    return members[0] === container ? [members] : []
  })
}

export function membersOf(rig: Rig, ids: readonly Id[]): Container[] {
  return rig.containers.filter(({ id }) => ids.includes(id))
}

/**
 * L in tanks that stand open to each other when the first of them reaches its safe fill: they have one surface, so
 * Σ Aᵢ·(H − bottomᵢ), held to each tank's inside, at the lowest H = bottomᵢ + safe fillᵢ·heightᵢ.
 * Where a tank was not measured they are taken to fill alike: Σ safe fill × capacity.
 */
export function joinedLimit(members: readonly TankContainer[]): number {
  const shaped = members.flatMap(({ capacity, safeFill, shape }) =>
    shape
      ? [
          {
            capacity: capacity.value,
            safe: safeFill.value,
            height: shape.height.value,
            bottom: shape.bottom.value,
          },
        ]
      : [],
  )
  if (shaped.length < members.length)
    return members.reduce((sum, { capacity, safeFill }) => sum + safeFill.value * capacity.value, 0)
  const surface = Math.min(...shaped.map(({ bottom, safe, height }) => bottom + safe * height))
  return shaped.reduce(
    (sum, { capacity, height, bottom }) =>
      sum + 1000 * baseArea(capacity, height) * Math.min(height, Math.max(0, surface - bottom)),
    0,
  )
}
