import { slotOfTime } from '../calendar'
import { unitOf, type Container, type Id, type Run, type RunStep, type StayCase } from '../domain'
import { owned } from '../quantities'
import { standing, type LogEntry, type RunEntry } from './entry'

/**
 * The runs that a log says were done, as runs of the stay: whatever was planned, a logged run is a run that happened. Each
 * acts at the start of the part it was logged in.
 */
export function happened(log: readonly LogEntry[], { stay, rig }: Pick<StayCase, 'stay' | 'rig'>): Run[] {
  return standing(log).flatMap((entry): Run[] => {
    if (entry.kind !== 'run' || entry.at < stay.start) return []
    const steps = entry.did.flatMap((one) => stepOf(one, rig.containers))
    if (steps.length === 0) return []
    const none = owned(0)
    return [
      {
        id: entry.id,
        name: entry.note,
        kind: 'move',
        ...slotOfTime(stay.start, entry.at),
        place: null,
        steps,
        minutes: none,
        kilometres: none,
        fee: none,
        bother: none,
      },
    ]
  })
}

function stepOf(
  { container: id, what, litres }: RunEntry['did'][number],
  all: readonly Container[],
): RunStep[] {
  const container = all.find((one) => one.id === id)
  if (!container) return []
  const step = (
    does: RunStep['do'],
    from: Id | null,
    to: Id | null,
    amount: RunStep['amount'],
  ): RunStep[] => [{ do: does, from, to, amount, loads: 1 }]
  const known = litres === null ? null : { as: 'most' as const, litres: owned(litres) }
  if (what === 'emptied') return step('empty', id, null, { as: 'all' })
  if (what === 'took-out') return known ? step('take', id, null, known) : []
  if (unitOf(container.kind) === 'uses') return []
  if (what === 'filled') return step('fill', null, id, known ?? { as: 'all' })
  return known ? step('fill', null, id, known) : []
}
