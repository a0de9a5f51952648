import type { Container } from './containers'
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
