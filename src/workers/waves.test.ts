import { describe, expect, it } from 'vitest'
import { count } from '@/core/count'
import { compile } from '@/core/compile'
import { caseOf } from '@/core/domain'
import { TRIALS, type Risk } from '@/core/risk'
import { trailerDemo } from '../../scripts/demo/trailer'
import { doJob, heldClient } from '../../tests/support/heldClient'
import type { JobClient } from './client'
import { jobKit } from './jobKit'
import { FIRST_TRIPS, WAVES, tripWaves, workersFor, type WavesRequest } from './waves'

const document = trailerDemo()
const stayCase = caseOf(document, 'harrow-ridge')
const model = compile(stayCase)
const request = (revision: number): WavesRequest => ({
  subject: { revision, stayCase },
  model,
  seed: 1,
  untilDays: 12,
  bandParts: 48,
})

function atOnce(): JobClient {
  const kit = jobKit()
  return {
    run: (_, job, subject, args, tell) => Promise.resolve(doJob(kit, job, subject, args, tell)),
    end: () => undefined,
  }
}

async function collect(client: JobClient, workers: number) {
  const risks: Risk[] = []
  const told: string[] = []
  await tripWaves(client, workers).run(request(1), {
    onRisk: (risk) => risks.push(risk),
    onStory: (story) => told.push(story?.stopper ?? ''),
    onFailed: () => told.push('failed'),
  })
  return { risks, told }
}

describe('a run of trips on workers', () => {
  it('answers in waves, the first from 500 trips, and is the same with 1, 2 and 3 workers', async () => {
    const runs = await Promise.all([1, 2, 3].map((n) => collect(atOnce(), n)))
    for (const { risks } of runs) expect(risks.map(({ trials }) => trials)).toEqual([...WAVES])
    const [one, ...others] = runs.map(({ risks }) => risks.at(-1)!)
    expect([one!.trials, WAVES[0]]).toEqual([TRIALS, FIRST_TRIPS])
    for (const other of others) expect(other).toEqual(one)
    for (const { told } of runs) expect(told).toEqual([count(model).stopper])
  })

  it('an edit cancels what is under way: the old run answers nothing more; so does stopping', async () => {
    const { client, settle, go } = heldClient()
    const runner = tripWaves(client, 1)
    const seen: [number, number][] = []
    const start = (revision: number) =>
      runner.run(request(revision), {
        onRisk: ({ trials }) => seen.push([revision, trials]),
        onStory: () => undefined,
        onFailed: () => expect.fail('the run failed'),
      })
    const old = start(1)
    await settle()
    const next = start(2)
    for (let k = 0; k < 8; k++) await go()
    await Promise.all([old, next])
    expect(seen).toEqual(WAVES.map((trips) => [2, trips]))
    const stopped = start(3)
    await settle()
    runner.stop()
    await go()
    await stopped
    expect(seen).toHaveLength(WAVES.length)
  })

  it('says when it cannot be done', async () => {
    const broken: JobClient = { run: () => Promise.reject(new Error('gone')), end: () => undefined }
    expect(await collect(broken, 2)).toEqual({ risks: [], told: ['failed'] })
    expect([1, 2, 4, 64, NaN].map(workersFor)).toEqual([1, 1, 3, 8, 1])
  })
})
