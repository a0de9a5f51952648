import { fillOf, type Container, type ContainerKind, type Outlet, type Rig } from '@/core/domain'
import { show, type DocumentFault } from '../faults'
import { catalogueChecks } from './catalogueChecks'
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
    ...rig.containers.flatMap((container, i) => panelChecks(container, [...path, 'containers', i, 'panel'])),
    ...rig.fixtures.flatMap((_, i) => fixtureChecks(rig, i, [...path, 'fixtures', i])),
    ...roleChecks(rig, [...path, 'roles']),
    ...duplicateIds(rig.outlets, [...path, 'outlets']),
    ...rig.outlets.flatMap((outlet, i) => outletChecks(rig, outlet, i, [...path, 'outlets', i])),
    ...heaterChecks(rig, [...path, 'heater', 'supply']),
    ...catalogueChecks(rig, path),
    ...listedTwice(rig.gear, [...path, 'gear']),
    ...duplicateIds(rig.cards, [...path, 'cards']),
    ...duplicateIds(rig.chores, [...path, 'chores']),
  ]
}

/** Probes rise: a reading lies between one and the next. */
function panelChecks(container: Container, path: Path): DocumentFault[] {
  const probes = 'panel' in container ? (container.panel?.probes ?? []) : []
  const fall = probes.findIndex((probe, i) => i > 0 && probe <= probes[i - 1]!)
  return fall < 0
    ? []
    : [{ code: 'probes-fall', path: [...path, 'probes', fall], found: show(probes[fall]!), expected: '' }]
}

function fixtureChecks(rig: Rig, index: number, path: Path): DocumentFault[] {
  const { draws, drains, solids } = rig.fixtures[index]!
  const faults: DocumentFault[] = []
  const check = (id: string, key: 'draws' | 'drains' | 'solids', wanted: 'supply' | 'waste') => {
    const container = containerOf(rig, id)
    if (!container)
      faults.push({ code: 'dangling', path: [...path, key], found: show(id), expected: 'container' })
    else if (fillOf(container.kind) !== wanted)
      faults.push({
        code: key === 'draws' ? 'draws-from-waste' : 'drains-into-supply',
        path: [...path, key],
        found: show(id),
        expected: wanted,
      })
  }
  if (draws !== null) check(draws, 'draws', 'supply')
  check(drains, 'drains', 'waste')
  if (solids !== null) check(solids, 'solids', 'waste')
  const kindOf = (id: string | null) => rig.containers.find((container) => container.id === id)?.kind
  if (kindOf(drains) === 'solids')
    faults.push({ code: 'liquid-into-solids', path: [...path, 'drains'], found: show(drains), expected: '' })
  const receiver = kindOf(solids)
  if (receiver && fillOf(receiver) === 'waste' && !TAKES_SOLIDS.includes(receiver))
    faults.push({ code: 'solids-astray', path: [...path, 'solids'], found: show(solids), expected: '' })
  return faults
}

const TAKES_SOLIDS: readonly ContainerKind[] = ['solids', 'cassette', 'black']

/** Tanks of one outlet, each at no other; those that stand open to each other are two or more, behind an end valve. */
function outletChecks(rig: Rig, outlet: Outlet, index: number, path: Path): DocumentFault[] {
  const { containers, joined, rinses, endValve, name } = outlet
  const isTank = (id: string) => containerOf(rig, id) && 'shape' in containerOf(rig, id)!
  const faults: DocumentFault[] = containers.flatMap((id, i): DocumentFault[] => {
    const at = [...path, 'containers', i]
    if (!isTank(id)) return [{ code: 'dangling', path: at, found: show(id), expected: 'tank' }]
    const taken = rig.outlets.slice(0, index).some((other) => other.containers.includes(id))
    return taken
      ? [{ code: 'two-outlets', path: at, found: show(containerOf(rig, id)!.name), expected: '' }]
      : []
  })
  const astray = [...joined, ...(rinses === null ? [] : [rinses])].find((id) => !containers.includes(id))
  if (astray !== undefined)
    faults.push({ code: 'dangling', path, found: show(astray), expected: 'tank of this outlet' })
  if (joined.length === 1)
    faults.push({ code: 'joined-alone', path: [...path, 'joined'], found: show(name), expected: '' })
  if (joined.length > 0 && !endValve)
    faults.push({
      code: 'joined-without-end-valve',
      path: [...path, 'endValve'],
      found: show(name),
      expected: '',
    })
  return [
    ...faults,
    ...listedTwice(containers, [...path, 'containers']),
    ...listedTwice(joined, [...path, 'joined']),
  ]
}

function heaterChecks(rig: Rig, path: Path): DocumentFault[] {
  if (!rig.heater) return []
  const supply = containerOf(rig, rig.heater.supply)
  if (supply?.kind === 'fresh') return []
  return [{ code: 'dangling', path, found: show(rig.heater.supply), expected: 'fresh tank' }]
}

function listedTwice(list: readonly string[], path: Path): DocumentFault[] {
  return list.flatMap((entry, i): DocumentFault[] =>
    list.indexOf(entry) < i
      ? [{ code: 'listed-twice', path: [...path, i], found: show(entry), expected: '' }]
      : [],
  )
}

function containerOf(rig: Rig, id: string) {
  return rig.containers.find((candidate) => candidate.id === id)
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
