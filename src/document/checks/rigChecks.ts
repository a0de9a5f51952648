import { sideOf, type Rig } from '@/core/model'
import { show, type DocumentFault } from '../faults'
import { duplicateIds, sumsToOne, type Path } from './common'

/** References and sums inside one rig. */
export function rigChecks(rig: Rig, path: Path): DocumentFault[] {
  return [
    ...duplicateIds(rig.containers, [...path, 'containers']),
    ...duplicateIds(rig.fixtures, [...path, 'fixtures']),
    ...rig.containers.flatMap((container, i): DocumentFault[] =>
      'reserve' in container && container.reserve.value >= container.capacity.value
        ? [
            {
              code: 'reserve-over-capacity',
              path: [...path, 'containers', i, 'reserve', 'value'],
              found: show(container.reserve.value),
              expected: String(container.capacity.value),
            },
          ]
        : [],
    ),
    ...rig.fixtures.flatMap((_, i) => fixtureChecks(rig, i, [...path, 'fixtures', i])),
    ...roleChecks(rig, [...path, 'roles']),
  ]
}

function fixtureChecks(rig: Rig, index: number, path: Path): DocumentFault[] {
  const { draws, drains } = rig.fixtures[index]!
  const faults: DocumentFault[] = []
  const check = (id: string, key: 'draws' | 'drains', wanted: 'supply' | 'waste') => {
    const container = rig.containers.find((candidate) => candidate.id === id)
    if (!container)
      faults.push({ code: 'dangling', path: [...path, key], found: show(id), expected: 'container' })
    else if (sideOf(container.kind) !== wanted)
      faults.push({
        code: key === 'draws' ? 'draws-from-waste' : 'drains-into-supply',
        path: [...path, key],
        found: show(id),
        expected: wanted,
      })
  }
  if (draws !== null) check(draws, 'draws', 'supply')
  check(drains, 'drains', 'waste')
  return faults
}

function roleChecks(rig: Rig, path: Path): DocumentFault[] {
  const faults: DocumentFault[] = []
  const pairs = new Set<string>()
  rig.roles.forEach(({ role, fixture }, i) => {
    if (!rig.fixtures.some(({ id }) => id === fixture))
      faults.push({
        code: 'dangling',
        path: [...path, i, 'fixture'],
        found: show(fixture),
        expected: 'fixture',
      })
    if (pairs.has(`${role} ${fixture}`))
      faults.push({
        code: 'listed-twice',
        path: [...path, i],
        found: show(`${role}, ${fixture}`),
        expected: '',
      })
    pairs.add(`${role} ${fixture}`)
  })
  for (const role of new Set(rig.roles.map((entry) => entry.role))) {
    const total = rig.roles
      .filter((entry) => entry.role === role)
      .reduce((sum, { share }) => sum + share.value, 0)
    if (!sumsToOne(total))
      faults.push({ code: 'shares-not-one', path, found: `${role}: ${total}`, expected: '1' })
  }
  return faults
}
