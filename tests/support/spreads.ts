import { compile, compileChances } from '@/core/compile'
import { caseOf, type Document } from '@/core/domain'
import { riskTables, samplerOf, type Sampler } from '@/core/risk'

/** Built once for a file of tests. */
const tables = riskTables()

export function samplerFor(
  document: Document,
  stay = 'stay',
  horizonDays?: number,
  withDraws = false,
): Sampler {
  const model = compile(caseOf(document, stay), horizonDays === undefined ? {} : { horizonDays })
  return samplerOf(model, compileChances(caseOf(document, stay), model), { tables, withDraws })
}

/** A copy in which everything is exact. */
export function withoutSpread(document: Document): Document {
  const copy = structuredClone(document)
  for (const { containers } of copy.rigs)
    for (const container of containers) if ('spread' in container) container.spread.value = 0
  for (const { activities } of copy.crews)
    for (const activity of activities) {
      activity.dispersion = 0
      activity.spread.value = activity.levelSpread.value = 0
    }
  for (const stay of copy.stays) {
    stay.weather.spread.value = 0
    for (const { error } of stay.levels) error.size.value = 0
  }
  return copy
}
