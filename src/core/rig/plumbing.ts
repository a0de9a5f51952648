import type { PerDay } from '../quantities'
import type { Ledger } from '../count'
import type { Model } from '../compile'
import { FLOW_ENDS, type Id, type Rig } from '../domain'

/** What runs through one pipe of the map on an average day. */
export interface PipeFlow {
  fixture: Id
  pipe: 'draws' | 'drains' | 'solids'
  /** L a day; uses a day into a solids bin. */
  perDay: PerDay
  unit: 'L' | 'uses'
}

/**
 * Live amounts on every pipe, the mean over the first parts of the stay. What habits redirect or keep in a vessel is not
 * in the pipe it would have taken.
 * @param parts how many parts, > 0
 */
export function pipeFlows(rig: Rig, model: Model, ledger: Ledger, parts: number): PipeFlow[] {
  const { count, edges } = model.grid
  const days = edges[Math.min(parts, count)]!
  const total = (s: number) => {
    let sum = 0
    for (let i = 0; i < Math.min(parts, count); i++) sum += ledger.amounts[s * count + i]!
    return sum / days
  }
  const holds = (code: number, id: Id | null) =>
    id !== null && code >= 0 && model.containers[code]!.members.includes(id)
  return rig.fixtures.flatMap(({ id, draws, drains, solids }, f): PipeFlow[] => {
    const streams = model.streams.flatMap((stream, s) => (stream.fixture === f ? [{ ...stream, s }] : []))
    const sumOf = (wanted: (typeof streams)[number][]) => wanted.reduce((sum, { s }) => sum + total(s), 0)
    const byHand = -1 - FLOW_ENDS.indexOf('brought-in')
    const drawn = streams.filter(
      ({ from, ofDraw }) => ofDraw > 0 && (draws === null ? from === byHand : holds(from, draws)),
    )
    const apart = solids === null ? [] : streams.filter(({ to }) => holds(to, solids))
    const pipes: PipeFlow[] = [
      { fixture: id, pipe: 'draws', perDay: sumOf(drawn), unit: 'L' },
      {
        fixture: id,
        pipe: 'drains',
        perDay: sumOf(streams.filter(({ to }) => holds(to, drains))),
        unit: 'L',
      },
    ]
    if (solids === null) return pipes
    const bin = model.containers.find(({ members }) => members.includes(solids))!
    return [...pipes, { fixture: id, pipe: 'solids', perDay: sumOf(apart), unit: bin.unit }]
  })
}

export type PlumbingWarning =
  | { kind: 'nothing-fills'; container: Id }
  | { kind: 'nothing-draws'; container: Id }
  | { kind: 'no-supply'; fixture: Id }
  | { kind: 'idle'; fixture: Id }

/**
 * What is likely a slip on the map: a waste container nothing fills, a supply nothing draws from, a fixture that uses
 * water but has no supply, a fixture used for nothing. A loop cannot be drawn: a drain into a supply is refused.
 */
export function plumbingWarnings(rig: Rig, flows: readonly PipeFlow[]): PlumbingWarning[] {
  const joined = rig.outlets.map((outlet) => outlet.joined).filter(({ length }) => length > 1)
  const alike = (id: Id) => joined.find((ids) => ids.includes(id)) ?? [id]
  const filled = new Set(
    rig.fixtures.flatMap(({ drains, solids }) => [drains, ...(solids === null ? [] : [solids])]),
  )
  const drawn = new Set(rig.fixtures.map(({ draws }) => draws))
  const containers = rig.containers.flatMap((container): PlumbingWarning[] => {
    if ('safeFill' in container && !alike(container.id).some((id) => filled.has(id)))
      return [{ kind: 'nothing-fills', container: container.id }]
    if ('reserve' in container && !drawn.has(container.id))
      return [{ kind: 'nothing-draws', container: container.id }]
    return []
  })
  const fixtures = rig.fixtures.flatMap(({ id, draws }): PlumbingWarning[] => {
    if (!rig.roles.some(({ fixture }) => fixture === id)) return [{ kind: 'idle', fixture: id }]
    const drawsByHand = flows.some(
      ({ fixture, pipe, perDay }) => fixture === id && pipe === 'draws' && perDay > 0,
    )
    return draws === null && drawsByHand ? [{ kind: 'no-supply', fixture: id }] : []
  })
  return [...containers, ...fixtures]
}
