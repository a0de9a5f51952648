import { count, dryCount, flowsOf, nightsMade, withoutRuns, type Count } from '@/core/count'
import { runAnswers } from '@/core/schedule'
import { riskTables } from '@/core/risk'
import { PARTS_PER_DAY } from '@/core/calendar'
import type { LogEntry } from '@/core/log'
import { compile, type Model } from '@/core/compile'
import type { Document, StayCase } from '@/core/domain'
import { stayCaseOf } from './chained'
import { caseFrom, expectedFrom, ofStay } from './now'
import type { Options } from './run'

/** `dry-count count`: the answer as documented in docs/command-line.md. */
export function countCommand(
  document: Document,
  { stay, horizon, now, seed, trials, withRuns }: Options,
  log: readonly LogEntry[],
): unknown {
  const chain = { seed, trials, now, tables: riskTables() }
  const stayCase = stayCaseOf(document, stay, log, chain)
  const ahead = horizon === undefined ? {} : { horizonDays: horizon }
  const from = counted()
  const planned = compile(from, ahead)
  const model = withRuns ? planned : withoutRuns(planned)
  function counted() {
    if (now === undefined) return stayCase
    const isLogged = ofStay(log, stay).length > 0
    return isLogged
      ? caseFrom(document, log, stay, now, chain)
      : expectedFrom(document, log, stay, now, chain)
  }
  const result = count(model)
  const { days, stopper, at, containers, ledger } = result
  const dry = withRuns ? dryCount(model) : result
  const { leaveAt } = stayCase.stay
  return {
    format: 'dry-count/count@1',
    stay: model.stay,
    start: stayCase.stay.start,
    ...(now === undefined ? {} : { from: now }),
    partsPerDay: PARTS_PER_DAY,
    horizonDays: model.horizonDays,
    count: { days: dry.days, stopper: dry.stopper, at: dry.at },
    nights: nightsOf(dry.days),
    ...(withRuns ? { holds: { days, stopper, at, nights: nightsOf(days) } } : {}),
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
    ...(withRuns ? { runs: runsOf(from, model, result) } : {}),
  }
  function nightsOf(lasts: number | null) {
    const { planned: of, made } = nightsMade(lasts, model.start, leaveAt)
    return { planned: of, made }
  }
}

/** What each run moves, and what it could not. */
function runsOf(from: StayCase, model: Model, result: Count): unknown[] {
  return runAnswers(from, model, result).map(({ run, steps, isPossible, troubles, liftedKg }) => ({
    id: run.id,
    day: run.day,
    part: run.part,
    isPossible,
    steps: steps.map(({ step, moved, undone, bound }) => ({
      do: step.do,
      from: step.from,
      to: step.to,
      moved,
      undone,
      bound,
    })),
    liftedKg,
    troubles: troubles.map(({ kind }) => kind),
  }))
}
