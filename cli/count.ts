import { count, flowsOf } from '@/core/count'
import { PARTS_PER_DAY } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import { caseOf, compile, type Document } from '@/core/model'
import { caseFrom, expectedFrom, ofStay } from './now'
import type { Options } from './run'

/** `dry-count count`: the answer as documented in docs/command-line.md. */
export function countCommand(
  document: Document,
  { stay, horizon, now, seed }: Options,
  log: readonly LogEntry[],
): unknown {
  const stayCase = caseOf(document, stay)
  const ahead = horizon === undefined ? {} : { horizonDays: horizon }
  const model = compile(counted(), ahead)
  function counted() {
    if (now === undefined) return stayCase
    const isLogged = ofStay(log, stay).length > 0
    return isLogged ? caseFrom(document, log, stay, now, seed) : expectedFrom(document, stay, now)
  }
  const { days, stopper, at, containers, ledger } = count(model)
  return {
    format: 'dry-count/count@1',
    stay: model.stay,
    start: stayCase.stay.start,
    ...(now === undefined ? {} : { from: now }),
    partsPerDay: PARTS_PER_DAY,
    horizonDays: model.horizonDays,
    count: { days, stopper, at },
    containers: model.containers.map((container, c) => ({
      id: container.id,
      name: container.name,
      kind: container.kind,
      side: container.side,
      unit: container.unit,
      capacity: container.capacity,
      limit: container.limit,
      start: container.start,
      count: containers[c],
      levels: [...ledger.levels.subarray(c * model.grid.count, (c + 1) * model.grid.count)],
    })),
    flows: flowsOf(model, ledger),
  }
}
