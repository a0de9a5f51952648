import { habitsCompany, habitsWorth, nextBest, sensitivity } from '@/core/advice'
import { budget, swapOffer } from '@/core/budget'
import { PARTS_PER_DAY } from '@/core/calendar'
import { countSteps } from '@/core/count'
import { betterTime, runOffers } from '@/core/errands'
import { daysBoughtSteps } from '@/core/habits'
import { compile, compileChances } from '@/core/compile'
import { reach } from '@/core/reach'
import {
  BATCH,
  TRIALS,
  chainSeed,
  withPassedTrips,
  flushRange,
  joinSamples,
  ownCounts,
  riskTables,
  sampleTrips,
  samplerOf,
  storyOf,
  type RiskTables,
  type Sample,
  type SampleOptions,
  type Sampler,
} from '@/core/risk'
import type { Steps } from '@/core/slices'
import { reviewOf } from '@/core/review'
import { learnStay, sinceYesterday } from '@/core/underway'
import type { Args, JobName, Subject, Work } from './jobs'

/** Trips × parts × activities of one breath of sampling: some twenty milliseconds. */
const BREATH = 2_000_000
const FEWEST = 16

/** What each job does. */
export type Doing = { [J in JobName]: (subject: Subject, args: Args<J>) => Work<J> }

/** Where jobs are done, in a worker or, where there is none, beside the screen; tables and samplers stay from job to job. */
export interface JobKit extends Doing {
  /** Fetches what one kind of job alone needs; null where nothing is missing. */
  prepare: (job: JobName) => Promise<void> | null
}

export function jobKit(): JobKit {
  const tables = riskTables()
  const samplers = keptSamplers(tables)
  let readOpening: typeof import('@/engines/openingHours').readOpening | null = null
  const doing = chained(tables, {
    *sample(subject, args) {
      return yield* sampled(yield* samplers(subject, false), args)
    },
    *story(subject, { seed, trip }) {
      return storyOf(yield* samplers(subject, true), seed, trip)
    },
    bought: ({ stayCase }) => breaths(daysBoughtSteps(stayCase)),
    *worth({ stayCase }, { habits, ...trips }) {
      const rows = []
      for (const row of habitsWorth(stayCase, habits, { ...trips, tables })) {
        rows.push(row)
        yield
      }
      return rows
    },
    *company({ stayCase }, { habit, ...trips }) {
      yield
      return [...habitsCompany(stayCase, [habit], { ...trips, tables })][0]!
    },
    *flush(_, { seed, trials, cases, parts, floor }) {
      const ranges = []
      for (const stayCase of cases) {
        const horizonDays = Math.min(stayCase.stay.horizonDays.value, parts / PARTS_PER_DAY + 1)
        const model = compile(stayCase, { horizonDays })
        const chances = compileChances(stayCase, model)
        const sampler = samplerOf(model, chances, { tables, withFlush: true })
        ranges.push(flushRange(sampler, { seed, trials, parts, floor }))
        yield
      }
      return ranges
    },
    *sensitivity({ stayCase }) {
      yield
      return sensitivity(stayCase)
    },
    reach: ({ stayCase }, options) => reach(stayCase, { ...options, tables }),
    *learn({ stayCase }, request) {
      yield
      return learnStay({ stayCase, ...request })
    },
    *budget({ stayCase }, { log, ...trips }) {
      yield
      return budget(stayCase, log, { ...trips, tables })
    },
    *swap({ stayCase }, { log, budget: known, less, more, ...trips }) {
      yield
      return swapOffer(stayCase, log, known, less, more, { ...trips, tables })
    },
    next: ({ stayCase }, { declined, ...trips }) => nextBest(stayCase, { ...trips, declined, tables }),
    *since({ stayCase }, request) {
      yield
      return sinceYesterday({ stayCase, ...request, tables })
    },
    *offers({ stayCase }, { usual, ...trips }) {
      const steps = runOffers(stayCase, { ...trips, ...(usual ? { usual } : {}), tables })
      for (let step = steps.next(); ; step = steps.next()) {
        if (step.done) return step.value
        yield step.value
      }
    },
    *better({ stayCase }, { run, ...trips }) {
      const set = stayCase.stay.runs.find(({ id }) => id === run)
      return set ? yield* betterTime(stayCase, set, { ...trips, tables }) : null
    },
    *own({ stayCase }, options) {
      return yield* breaths(ownCounts(stayCase, { ...options, tables }))
    },
    *review({ stayCase }, { log, at, ...request }) {
      yield
      return reviewOf(stayCase, log, learnStay({ stayCase, log, at, ...request }), at)
    },
    *openings(_, texts) {
      const answers = []
      for (const text of texts) {
        const answer = readOpening!(text)
        answers.push(answer)
        yield answer
      }
      return answers
    },
  })
  const prepare = (job: JobName) =>
    job !== 'openings' || readOpening
      ? null
      : import('@/engines/openingHours').then((code) => void (readOpening = code.readOpening))
  return { ...doing, prepare }
}

/** Jobs about a stay that follows another are about its trips: they go on where that one's end, on luck of their own. */
function chained(tables: RiskTables, kit: Doing): Doing {
  let kept: { of: number; seed: number; subject: Subject } | null = null
  const wrapped = (job: JobName) =>
    function* (subject: Subject, args: Args<JobName>) {
      if (!subject.stayCase.passed) return yield* run(job, subject, args)
      if (args === null || !('seed' in args)) return yield* run(job, subject, args)
      const { seed } = args
      if (kept?.of !== subject.revision || kept.seed !== seed) {
        const stayCase = yield* breaths(withPassedTrips(subject.stayCase, { seed, trials: TRIALS, tables }))
        kept = { of: subject.revision, seed, subject: { ...subject, stayCase } }
      }
      const own = { ...args, seed: chainSeed(subject.stayCase, seed) }
      return yield* run(job, kept.subject, own)
    }
  const run = (job: JobName, subject: Subject, args: Args<JobName>) =>
    (kit[job] as (subject: Subject, args: Args<JobName>) => Work<JobName>)(subject, args)
  const jobs = Object.keys(kit) as JobName[]
  return Object.fromEntries(jobs.map((job) => [job, wrapped(job)])) as unknown as Doing
}

/** The sampler of the newest subject, made when it is first asked for. */
function keptSamplers(tables: RiskTables) {
  let kept: { revision: number; sampler: Sampler } | null = null
  return function* ({ revision, stayCase }: Subject, withDraws: boolean): Breaths<Sampler> {
    if (!withDraws && kept?.revision === revision) return kept.sampler
    const { model, result } = yield* breaths(countSteps(stayCase))
    const chances = compileChances(stayCase, model)
    yield
    const sampler = samplerOf(model, chances, { tables, withDraws, base: result.ledger })
    if (!withDraws) kept = { revision, sampler }
    return sampler
  }
}

type Breaths<T> = Generator<undefined, T, undefined>

/** Work in steps as a part of a job: a breath after each, nothing told. */
function* breaths<T>(steps: Steps<T>): Breaths<T> {
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
    yield
  }
}

/** Trips in pieces: a trip comes to the same in whatever company it is played. */
function* sampled(sampler: Sampler, { from, to, ...options }: SampleOptions): Work<'sample'> {
  const { grid, activities } = sampler.model
  const bandParts = Math.min(options.bandParts, grid.count)
  const most = BREATH / (grid.count * Math.max(1, activities.length))
  const piece = most < BATCH ? Math.max(FEWEST, Math.floor(most)) : Math.floor(most / BATCH) * BATCH
  let sample: Sample | null = null
  for (let first = from; first < to; first += piece) {
    const next = sampleTrips(sampler, { ...options, bandParts, from: first, to: Math.min(to, first + piece) })
    sample = sample ? joinSamples([sample, next]) : next
    yield
  }
  return sample ?? sampleTrips(sampler, { ...options, bandParts, from, to })
}
