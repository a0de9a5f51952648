import { compile, compileChances, type Document, type Id } from '@/core/model'
import {
  riskTables,
  sampleTrips,
  samplerOf,
  storyOf,
  type Sample,
  type Sampler,
  type Story,
} from '@/core/risk'

/** A stay to be sampled; `revision` tells its answers from those of the ones before. */
export interface RiskRequest {
  revision: number
  document: Document
  stay: Id
  seed: number
  /** Parts whose levels are wanted. */
  bandParts: number
}

/** What a risk worker does. A null answer is stale: another stay has been prepared since. */
export interface RiskWorker {
  prepare: (request: RiskRequest) => Promise<void>
  sample: (revision: number, from: number, to: number) => Promise<Sample | null>
  story: (revision: number, trip: number) => Promise<Story | null>
}

/** The job itself; the tables stay from stay to stay. */
export function riskJob(): RiskWorker {
  const tables = riskTables()
  let current: { request: RiskRequest; sampler: Sampler } | null = null
  const ifCurrent = <T>(revision: number, work: (now: NonNullable<typeof current>) => T): Promise<T | null> =>
    Promise.resolve(current?.request.revision === revision ? work(current) : null)
  return {
    prepare(request) {
      current = { request, sampler: samplerFor(request, false) }
      return Promise.resolve()
    },
    sample: (revision, from, to) =>
      ifCurrent(revision, ({ request: { seed, bandParts }, sampler }) =>
        sampleTrips(sampler, { seed, from, to, bandParts: Math.min(bandParts, sampler.model.grid.count) }),
      ),
    story: (revision, trip) =>
      ifCurrent(revision, ({ request }) => storyOf(samplerFor(request, true), request.seed, trip)),
  }

  function samplerFor({ document, stay }: RiskRequest, withDraws: boolean): Sampler {
    const model = compile(document, stay)
    return samplerOf(model, compileChances(document, stay, model), { tables, withDraws })
  }
}
