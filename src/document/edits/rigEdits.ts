import {
  SUPPLY_KINDS,
  sideOf,
  type Container,
  type ContainerKind,
  type Document,
  type Id,
  type Rig,
  type Role,
} from '@/core/model'
import { fromSource, owned } from '@/core/quantities'

/** Recipes on a draft of the document. Each leaves it valid or is refused as a whole by the check that follows. */

const TYPICAL_L: Record<ContainerKind, number> = { fresh: 100, gray: 80, black: 60 }

/** A new tank of a kind, with its starting level in every stay of the rig: fresh full, waste empty. */
export function addContainer(draft: Document, rigId: Id, kind: ContainerKind, id: Id, name: string): void {
  rigOf(draft, rigId).containers.push(newContainer(kind, id, name))
  const level = sideOf(kind) === 'supply' ? TYPICAL_L[kind] : 0
  for (const stay of draft.stays)
    if (stay.rig === rigId) stay.levels.push({ container: id, level: fromSource(level, 'assumed') })
}

export function newContainer(
  kind: ContainerKind,
  id: Id,
  name: string,
  capacityL = TYPICAL_L[kind],
): Container {
  const capacity = owned(capacityL)
  return isSupply(kind)
    ? { id, name, kind, capacity, reserve: fromSource(Math.round(capacityL * 0.04), 'assumed') }
    : { id, name, kind, capacity, safeFill: fromSource(0.9, 'rule-of-thumb') }
}

function isSupply(kind: ContainerKind): kind is (typeof SUPPLY_KINDS)[number] {
  return sideOf(kind) === 'supply'
}

/** Removes a tank and its starting levels; the check refuses it while a fixture is led to it. */
export function removeContainer(draft: Document, rigId: Id, containerId: Id): void {
  const rig = rigOf(draft, rigId)
  rig.containers = rig.containers.filter(({ id }) => id !== containerId)
  for (const stay of draft.stays)
    if (stay.rig === rigId) stay.levels = stay.levels.filter(({ container }) => container !== containerId)
}

/**
 * Sets a capacity; a starting level that was the full tank stays the full tank. Any other level is left alone, even
 * above the capacity: halfway through typing '210' the tank holds 2, and the level must survive that.
 */
export function setCapacity(draft: Document, rigId: Id, containerId: Id, litres: number): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  const before = container.capacity.value
  container.capacity = owned(litres)
  for (const stay of draft.stays) {
    const entry =
      stay.rig === rigId ? stay.levels.find((level) => level.container === containerId) : undefined
    if (entry?.level.value === before) entry.level = owned(litres)
  }
}

export function setReserve(draft: Document, rigId: Id, containerId: Id, litres: number): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  if ('reserve' in container) container.reserve = owned(litres)
}

/** @param share of the capacity, 0 to 1 */
export function setSafeFill(draft: Document, rigId: Id, containerId: Id, share: number): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  if ('safeFill' in container) container.safeFill = owned(share)
}

/** A fixture that draws from the first supply and drains to the first waste tank; it joins its role. */
export function addFixture(draft: Document, rigId: Id, id: Id, name: string, role: Role): void {
  const rig = rigOf(draft, rigId)
  const draws = rig.containers.find(({ kind }) => sideOf(kind) === 'supply')?.id ?? null
  const drains = rig.containers.find(({ kind }) => sideOf(kind) === 'waste')?.id
  if (drains === undefined) return
  rig.fixtures.push({ id, name, draws, drains })
  setRole(draft, rigId, id, role, true)
}

export function removeFixture(draft: Document, rigId: Id, fixtureId: Id): void {
  const rig = rigOf(draft, rigId)
  for (const { role } of rig.roles.filter(({ fixture }) => fixture === fixtureId))
    setRole(draft, rigId, fixtureId, role, false)
  rig.fixtures = rig.fixtures.filter(({ id }) => id !== fixtureId)
}

/** Lets a fixture serve a role or not; all that serve it share it alike. */
export function setRole(draft: Document, rigId: Id, fixtureId: Id, role: Role, serves: boolean): void {
  const rig = rigOf(draft, rigId)
  const others = rig.roles.filter((entry) => entry.role !== role)
  const fixtures = rig.roles
    .filter((entry) => entry.role === role && entry.fixture !== fixtureId)
    .map(({ fixture }) => fixture)
  if (serves) fixtures.push(fixtureId)
  rig.roles = [
    ...others,
    ...fixtures.map((fixture) => ({ role, fixture, share: owned(1 / fixtures.length) })),
  ]
}

export function rigOf(draft: Document, rigId: Id): Rig {
  return draft.rigs.find(({ id }) => id === rigId)!
}

function containerOf(rig: Rig, containerId: Id): Container {
  return rig.containers.find(({ id }) => id === containerId)!
}
