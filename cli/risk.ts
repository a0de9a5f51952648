import { wallDaysBetween, nightsBetween } from '@/core/calendar'
import { withoutRuns } from '@/core/count'
import type { LogEntry } from '@/core/log'
import { compile, compileChances } from '@/core/compile'
import type { Document } from '@/core/domain'
import { chainSeed, riskOf, riskTables, sampleTrips, samplerOf, type CountQuantile } from '@/core/risk'
import { chainedTrips } from './chained'
import { caseFrom } from './now'
import type { Options } from './run'

/** `dry-count risk`: the answer as documented in docs/command-line.md. */
export function riskCommand(
  document: Document,
  { stay: id, horizon, seed, trials, now, withRuns }: Options,
  log: readonly LogEntry[],
): unknown {
  const tables = riskTables()
  const chain = { seed, trials, now, tables }
  const stayCase =
    now === undefined ? chainedTrips(document, id, log, chain) : caseFrom(document, log, id, now, chain)
  const { stay } = stayCase
  const ahead = horizon === undefined ? {} : { horizonDays: horizon }
  const planned = compile(stayCase, ahead)
  const model = withRuns ? planned : withoutRuns(planned)
  const sampler = samplerOf(model, compileChances(stayCase, model), { tables })
  const sample = sampleTrips(sampler, {
    seed: chainSeed(stayCase, seed),
    from: 0,
    to: trials,
    bandParts: model.grid.count,
  })
  const risk = riskOf(model, sample, wallDaysBetween(model.start, stay.leaveAt))
  const days = ({ days }: CountQuantile) => days
  return {
    format: 'dry-count/risk@1',
    stay: id,
    start: stay.start,
    ...(now === undefined ? {} : { from: now }),
    horizonDays: model.horizonDays,
    trials,
    seed,
    ...(withRuns ? { withRuns } : {}),
    count: { p10: days(risk.planOn), p50: days(risk.likely), p90: days(risk.atBest), beyond: risk.beyond },
    stoppers: Object.fromEntries(risk.stoppers.map(({ container, share }) => [container, share])),
    nights: { planned: nightsBetween(stay.start, stay.leaveAt), chance: risk.nights },
    containers: risk.fans.map(({ container, low, middle, high }) => ({
      id: container,
      p10: [...low],
      p50: [...middle],
      p90: [...high],
    })),
  }
}
