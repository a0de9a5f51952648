import { isOneOf, type Container } from './containers'
import type { Id } from './ids'
import { ACCEPTED, type Accepted } from './place'
import type { Rig } from './rig'

/**
 * Whether a tank takes what a toilet brings. A black tank that no toilet drains to, the second gray of many a rig with a dry
 * toilet, is gray in every sum and on every card.
 */
export function isSoiled(
  { fixtures, roles }: Pick<Rig, 'fixtures' | 'roles'>,
  { id, kind }: Pick<Container, 'id' | 'kind'>,
): boolean {
  if (kind !== 'black') return false
  const toilets = new Set(roles.filter(({ role }) => role === 'toilet').map(({ fixture }) => fixture))
  return fixtures.some((one) => toilets.has(one.id) && (one.drains === id || one.solids === id))
}

/** A tank and all that stand open to it: they are one by height. */
export function joinedWith({ outlets }: Pick<Rig, 'outlets'>, id: Id): readonly Id[] {
  return outlets.find(({ joined }) => joined.includes(id))?.joined ?? [id]
}

/**
 * What a place has to take for what is let out of a container; null: nothing that a place is asked for. Gray that stands open to what a
 * toilet brings is toilet waste.
 */
export function wasteOf(
  { fixtures, roles, outlets, containers }: Pick<Rig, 'fixtures' | 'roles' | 'outlets' | 'containers'>,
  one: Pick<Container, 'id' | 'kind'>,
): Accepted | null {
  if (one.kind !== 'black' && one.kind !== 'gray') return isOneOf(ACCEPTED, one.kind) ? one.kind : null
  const joined = joinedWith({ outlets }, one.id)
  const isToilet = containers.some((tank) => joined.includes(tank.id) && isSoiled({ fixtures, roles }, tank))
  return isToilet ? 'black' : 'gray'
}
