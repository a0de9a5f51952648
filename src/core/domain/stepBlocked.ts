import { fillOf, type Container } from './containers'
import type { Id } from './ids'
import type { Outlet, Rig } from './rig'
import { wasteOf } from './isSoiled'
import { pointTaking, pointWithWater, type Accepted, type Place } from './place'
import type { Run, RunStep } from './run'

/** Why a step of a run cannot be done at all, whatever the levels: then it moves nothing. */
export type Blocked =
  | { why: 'not-accepted'; what: Accepted }
  | { why: 'no-water' }
  | { why: 'not-potable' }
  | { why: 'no-shared-outlet' }
  | { why: 'no-end-valve' }
  | { why: 'joined' }
  | { why: 'not-measured' }
  | { why: 'no-macerator' }

/** @param place where the run goes; null: nowhere, or not known: what is unknown never blocks */
export function stepBlocked(
  step: RunStep,
  { kind }: Pick<Run, 'kind'>,
  rig: Pick<Rig, 'containers' | 'fixtures' | 'gear' | 'outlets' | 'roles'>,
  place: Place | null,
): Blocked | null {
  const { containers, outlets, gear } = rig
  const container = (id: Id | null) => containers.find((one) => one.id === id)
  if (kind === 'macerate' && !gear.includes('macerator')) return { why: 'no-macerator' }
  if (step.do === 'by-head') return headBlocked(step, outlets, container)
  const isJoined = outlets.some(({ joined }) => joined.includes(step.from!) && joined.includes(step.to!))
  if (step.do === 'transfer' && isJoined) return { why: 'joined' }
  const from = container(step.from)
  // Into a tote it leaves the rig too.
  const leaves = step.do === 'loads' || step.to === null
  const what = from && leaves ? wasteOf(rig, from) : null
  if (what && place && !pointTaking(place, what)) return { why: 'not-accepted', what }
  if (step.do !== 'fill' && step.do !== 'jugs') return null
  const into = container(step.to)
  if (!place || !into || fillOf(into.kind) !== 'supply') return null
  const { water } = pointWithWater(place)
  if (water === 'none') return { why: 'no-water' }
  return water === 'not-potable' && into.kind === 'fresh' ? { why: 'not-potable' } : null
}

function headBlocked(
  { from, to }: RunStep,
  outlets: readonly Outlet[],
  container: (id: Id | null) => Container | undefined,
): Blocked | null {
  const outlet = outlets.find(({ containers: ids }) => ids.includes(from!) && ids.includes(to!))
  if (!outlet) return { why: 'no-shared-outlet' }
  if (!outlet.endValve) return { why: 'no-end-valve' }
  if (outlet.joined.length > 0) return { why: 'joined' }
  const tanks = [container(from), container(to)]
  return tanks.every((tank) => tank && 'shape' in tank && tank.shape) ? null : { why: 'not-measured' }
}
