import { describe, expect, it } from 'vitest'
import { TRIALS, type Sample } from '@/core/risk'
import { trailerDemo } from '../../scripts/demo/trailer'
import { riskJob, type RiskRequest, type RiskWorker } from './riskJob'
import { FIRST_TRIPS, WAVES, riskRunner } from './riskRun'

const request = (revision: number): RiskRequest => ({
  revision,
  document: trailerDemo(),
  stay: 'harrow-ridge',
  seed: 1,
  bandParts: 48,
})

function collect(workers: readonly RiskWorker[], revision = 1) {
  const runner = riskRunner(workers)
  const samples: Sample[] = []
  const done = runner.run(request(revision), {
    onSample: (sample) => samples.push({ ...sample, bands: sample.bands && { ...sample.bands, tally: sample.bands.tally.slice() } }),
    onFailed: () => expect.fail('the run failed'),
  })
  return { runner, samples, done }
} // prettier-ignore

/** Answers only when it is let go, so that a test can do something in between. */
function heldWorker() {
  const job = riskJob()
  const waiting: (() => void)[] = []
  const held = <T>(work: () => Promise<T>) => new Promise<T>((resolve) => waiting.push(() => resolve(work())))
  const worker: RiskWorker = { ...job, sample: (revision, from, to) => held(() => job.sample(revision, from, to)) } // prettier-ignore
  return { worker, waiting }
}

describe('a run of trips on workers', () => {
  it('answers in waves, the first from 500 trips, and is the same with 1, 2 and 3 workers', async () => {
    const runs = [1, 2, 3].map((n) => collect(Array.from({ length: n }, riskJob)))
    await Promise.all(runs.map(({ done }) => done))
    for (const { samples } of runs) expect(samples.map(({ days }) => days.length)).toEqual([...WAVES])
    const [one, two, three] = runs.map(({ samples }) => samples.at(-1)!)
    expect(one!.days.length).toBe(TRIALS)
    for (const other of [two!, three!]) {
      expect(other.days).toEqual(one!.days)
      expect(other.stopper).toEqual(one!.stopper)
      expect(other.bands!.tally).toEqual(one!.bands!.tally)
    }
  })

  it('an edit cancels what is under way: the old run answers nothing more', async () => {
    const { worker, waiting } = heldWorker()
    const runner = riskRunner([worker])
    const seen: [number, number][] = []
    const start = (revision: number) =>
      runner.run(request(revision), {
        onSample: ({ days }) => seen.push([revision, days.length]),
        onFailed: () => expect.fail('the run failed'),
      })
    const settle = () => new Promise((resolve) => setTimeout(resolve))
    const old = start(1)
    await settle()
    const next = start(2)
    await settle()
    for (let k = 0; k < 8; k++) {
      waiting.splice(0).forEach((go) => go())
      await settle()
    }
    await Promise.all([old, next])
    expect(seen).toEqual(WAVES.map((trips) => [2, trips]))
  })

  it('can be stopped, and says when a worker breaks', async () => {
    const { worker, waiting } = heldWorker()
    const runner = riskRunner([worker])
    const seen: number[] = []
    const stopped = runner.run(request(1), { onSample: ({ days }) => seen.push(days.length), onFailed: () => {} })
    await new Promise((resolve) => setTimeout(resolve))
    runner.stop()
    waiting.splice(0).forEach((go) => go())
    await stopped
    expect(seen).toEqual([])
    const broken: RiskWorker = { ...riskJob(), sample: () => Promise.reject(new Error('gone')) }
    let failed = false
    await riskRunner([broken]).run(request(2), { onSample: () => {}, onFailed: () => (failed = true) })
    expect(failed).toBe(true)
    expect(FIRST_TRIPS).toBe(500)
  }) // prettier-ignore
})
