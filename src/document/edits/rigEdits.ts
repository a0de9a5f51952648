import { asReading, startOf } from '@/core/domain'
import {
  fillOf,
  type ContainerKind,
  type Document,
  type Id,
  type Outlet,
  type Panel,
  type Role,
} from '@/core/domain'
import { fromSource, owned } from '@/core/quantities'
import { fullOrEmpty } from '../starters/assumed'
import { newContainer, newFixture } from '../starters/containers'
import { containerOf, rigOf } from './find'
import { dropLostSteps } from './runEdits'

/** Recipes on a draft of the document. Each leaves it valid or is refused as a whole by the check that follows. */

/** A new tank of a kind, with its starting level in every stay of the rig: fresh full, waste empty. */
export function addContainer(draft: Document, rigId: Id, kind: ContainerKind, id: Id, name: string): void {
  const container = newContainer(kind, id, name)
  rigOf(draft, rigId).containers.push(container)
  for (const stay of draft.stays) if (stay.rig === rigId) stay.levels.push(fullOrEmpty(container))
}

/** What a monitor panel shows of a tank; null: it has none. */
export function setPanel(draft: Document, rigId: Id, containerId: Id, panel: Panel): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  if ('panel' in container) container.panel = panel
}

/** Removes a tank and its starting levels; the check refuses it while a fixture is led to it. */
export function removeContainer(draft: Document, rigId: Id, containerId: Id): void {
  const rig = rigOf(draft, rigId)
  rig.containers = rig.containers.filter(({ id }) => id !== containerId)
  for (const outlet of rig.outlets) leaveOutlet(outlet, containerId)
  if (rig.heater?.supply === containerId) rig.heater = null
  rig.chores = rig.chores.filter(({ container }) => container !== containerId)
  for (const stay of draft.stays) {
    if (stay.rig !== rigId) continue
    stay.levels = stay.levels.filter(({ container }) => container !== containerId)
    dropLostSteps(stay, rig)
  }
}

/**
 * Sets a capacity; a starting level that was the full tank stays the full tank, and a step read off the panel the same
 * step. Any other level is left alone, even above the capacity: halfway through typing '210' the tank holds 2, and the
 * level must survive that.
 */
export function setCapacity(draft: Document, rigId: Id, containerId: Id, litres: number): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  const before = container.capacity.value
  const levels = draft.stays
    .filter(({ rig }) => rig === rigId)
    .flatMap((stay) => stay.levels.filter((level) => level.container === containerId))
  const read = levels.map((entry) => asReading(entry, container))
  container.capacity = owned(litres)
  for (const [i, entry] of levels.entries()) {
    if (read[i]!.method === 'panel') Object.assign(entry, startOf(read[i]!, container))
    else if (entry.level.value === before) entry.level = owned(litres)
  }
}

/** A first measure of a tank that had none, to be typed over: a low, flat tank on the floor. */
export function measureTank(draft: Document, rigId: Id, containerId: Id): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  if ('shape' in container) container.shape = { height: owned(0.3), bottom: owned(0), error: owned(0.03) }
}

/** A warning light at three quarters, to be typed over; or none. */
export function toggleLight(draft: Document, rigId: Id, containerId: Id): void {
  const container = containerOf(rigOf(draft, rigId), containerId)
  if (!('light' in container)) return
  container.light = container.light ? null : owned(Math.round(container.capacity.value * 0.75))
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
  const draws = rig.containers.find(({ kind }) => fillOf(kind) === 'supply')?.id ?? null
  const drains = rig.containers.find(({ kind }) => fillOf(kind) === 'waste')?.id
  if (drains === undefined) return
  rig.fixtures.push(newFixture(id, name, draws, drains))
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

/** Leads a fixture's drain, its solids or its supply to another container. @param to null: by hand, or no second receiver */
export function reroute(
  draft: Document,
  rigId: Id,
  fixtureId: Id,
  pipe: 'draws' | 'drains' | 'solids',
  to: Id | null,
): void {
  const fixture = rigOf(draft, rigId).fixtures.find(({ id }) => id === fixtureId)!
  if (pipe !== 'drains') fixture[pipe] = to
  else if (to !== null) fixture.drains = to
}

/** Changes a solids bin over to the other medium: its two capacities change places. */
export function changeMedium(draft: Document, rigId: Id, containerId: Id): void {
  const bin = containerOf(rigOf(draft, rigId), containerId)
  if (bin.kind !== 'solids') return
  bin.medium = bin.medium === 'long' ? 'short' : 'long'
  const { capacity, otherCapacity } = bin
  bin.capacity = otherCapacity
  bin.otherCapacity = capacity
}

/** An outlet with no tank yet. */
export function newOutlet(id: Id, name: string): Outlet {
  return {
    id,
    name,
    containers: [],
    endValve: false,
    rinses: null,
    side: 'left',
    handle: 'pull',
    bore: fromSource(0.076, 'assumed'),
    joined: [],
  }
}

/** Leads a tank to an outlet, away from the one it was at; `outletId` null: to none. */
export function setOutlet(draft: Document, rigId: Id, containerId: Id, outletId: Id | null): void {
  for (const outlet of rigOf(draft, rigId).outlets)
    if (outlet.id !== outletId) leaveOutlet(outlet, containerId)
    else if (!outlet.containers.includes(containerId)) outlet.containers.push(containerId)
}

/** Lets all tanks of an outlet stand open to each other, behind its end valve, or shuts them off again. */
export function setJoined(draft: Document, rigId: Id, outletId: Id, joined: boolean): void {
  const outlet = rigOf(draft, rigId).outlets.find(({ id }) => id === outletId)!
  outlet.joined = joined && outlet.containers.length > 1 ? [...outlet.containers] : []
  if (outlet.joined.length > 0) outlet.endValve = true
}

function leaveOutlet(outlet: Outlet, containerId: Id): void {
  outlet.containers = outlet.containers.filter((id) => id !== containerId)
  outlet.joined = outlet.joined.filter((id) => id !== containerId)
  if (outlet.joined.length < 2) outlet.joined = []
  if (outlet.rinses === containerId) outlet.rinses = null
}
