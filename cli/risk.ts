import { wallDaysBetween, nightsBetween } from '@/core/calendar'
import { caseOf, compile, compileChances, type Document } from '@/core/model'
import { riskOf, sampleTrips, samplerOf, type CountQuantile } from '@/core/risk'
import type { Options } from './run'

/** `dry-count risk`: the answer as documented in docs/command-line.md. */
export function riskCommand(document: Document, { stay: id, horizon, seed, trials }: Options): unknown {
  const stayCase = caseOf(document, id)
  const { stay } = stayCase
  const model = compile(stayCase, horizon === undefined ? {} : { horizonDays: horizon })
  const sampler = samplerOf(model, compileChances(stayCase, model))
  const sample = sampleTrips(sampler, { seed, from: 0, to: trials, bandParts: model.grid.count })
  const risk = riskOf(model, sample, wallDaysBetween(stay.start, stay.leaveAt))
  const days = ({ days }: CountQuantile) => days
  return {
    format: 'dry-count/risk@1',
    stay: id,
    start: model.start,
    horizonDays: model.horizonDays,
    trials,
    seed,
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
