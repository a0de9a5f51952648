import { describe, expect, it, vi } from 'vitest'
import { trailerDemo } from '../../scripts/demo/trailer'
import { caseOf } from '@/core/domain'
import { sampleTrips } from '@/core/risk'
import { readOpening } from '@/engines/openingHours'
import { samplerFor } from '../../tests/support/spreads'
import { doJob } from '../../tests/support/heldClient'
import { jobRunner, type JobRunner } from './jobRunner'
import type { Subject } from './jobs'
import { JobStopped, lane, type LaneOptions } from './lane'
import { jobKit } from './jobKit'

const document = trailerDemo()
const subject: Subject = { revision: 1, stayCase: caseOf(document, 'harrow-ridge') }
const args = { seed: 1, from: 0, to: 40, bandParts: 8 }
const right = doJob(jobKit(), 'sample', subject, args)

/** Workers one after the other, each with what it does instead of answering. */
function workers(...each: ('well' | 'never loads' | 'is refused' | 'dies at work' | 'falls silent')[]) {
  const ended: number[] = []
  let spawned = 0
  const spawn: LaneOptions['spawn'] = () => {
    const n = spawned++
    const how = each[n] ?? 'well'
    if (how === 'is refused') throw new DOMException('no workers here', 'SecurityError')
    const inner = jobRunner()
    const silence = new Promise<never>(() => undefined)
    let die: () => void = () => undefined
    const died = new Promise<void>((resolve) => (die = resolve))
    const runner: JobRunner = {
      ...inner,
      hello: () => (how === 'never loads' ? silence : inner.hello()),
      run: (...given) => {
        if (how === 'dies at work') die()
        return how === 'well' ? inner.run(...given) : silence
      },
    }
    return { runner, died, end: () => ended.push(n) }
  }
  const broken = vi.fn<(isOnMain: boolean) => void>()
  const kit = () => Promise.resolve(jobKit())
  const own = lane({ spawn, kit, onBroken: broken, helloMs: 60, silenceMs: 60 })
  return { own, broken, ended, spawned: () => spawned }
}

describe('one worker’s jobs', () => {
  it('are done by it, one subject sent once', async () => {
    const { own, broken, spawned } = workers('well')
    expect(await own.run('sample', subject, args)).toEqual(right)
    expect(await own.run('sample', subject, args)).toEqual(right)
    expect([spawned(), broken.mock.calls]).toEqual([1, []])
  })

  it.each(['never loads', 'dies at work', 'falls silent'] as const)(
    'one that %s is replaced once, and the answer is the same',
    async (how) => {
      const { own, broken, spawned, ended } = workers(how, 'well')
      expect(await own.run('sample', subject, args)).toEqual(right)
      expect([spawned(), ended, broken.mock.calls]).toEqual([2, [0], [[false]]])
    },
  )

  it.each(['never loads', 'dies at work', 'falls silent'] as const)(
    'two that each %s leave it to the screen’s own thread, said, with the same answer',
    async (how) => {
      const { own, broken, spawned } = workers(how, how)
      expect(await own.run('sample', subject, args)).toEqual(right)
      expect([spawned(), broken.mock.calls]).toEqual([2, [[false], [true]]])
      expect(await own.run('sensitivity', subject, null)).toEqual(
        doJob(jobKit(), 'sensitivity', subject, null),
      )
      expect(spawned()).toBe(2)
    },
  )

  it('where there are no workers at all', async () => {
    const { own, broken } = workers('is refused', 'is refused')
    expect(await own.run('sample', subject, args)).toEqual(right)
    expect(broken.mock.calls.at(-1)).toEqual([true])
  })

  it('on the screen’s own thread it lets go again and again, tells its steps, and can be given up', async () => {
    const { own } = workers('is refused', 'is refused')
    let turns = 0
    const counting = setInterval(() => turns++)
    const sample = await own.run('sample', subject, { ...args, to: 6000 })
    clearInterval(counting)
    expect(turns).toBeGreaterThan(4)
    expect(sample).toEqual(sampleTrips(samplerFor(document, 'harrow-ridge'), { ...args, to: 6000 }))
    const told: number[] = []
    const search = own.run('reach', subject, { seed: 1, untilDays: 8, trips: 40 }, ({ curve }) => {
      told.push(curve.length)
      if (told.length === 2) own.end()
    })
    await expect(search).rejects.toBeInstanceOf(JobStopped)
    expect(told).toEqual([1, 1])
  }, 30_000)

  it('code that one job alone needs is fetched with its first, in a worker and without one', async () => {
    const text = { from: '2027-09-11T00:00', until: '2027-09-12T00:00', sunrise: '07:00', sunset: '19:00' }
    const asked = ['09:00-12:00', 'sunrise-10:00', 'whenever'].map((one) => ({ text: one, ...text }))
    for (const how of ['well', 'is refused'] as const) {
      const answers = await workers(how, how).own.run('openings', subject, asked)
      expect(answers).toEqual(asked.map(readOpening))
      expect(answers.map(({ ok }) => ok)).toEqual([true, true, false])
    }
  })

  it('an error of the job itself is the caller’s, not the worker’s', async () => {
    const { own, broken, spawned } = workers('well')
    await expect(
      own.run(
        'sample',
        {
          revision: 3,
          stayCase: { ...subject.stayCase, stay: { ...subject.stayCase.stay, start: 'nowhere' } },
        },
        args,
      ),
    ).rejects.toThrow()
    expect([spawned(), broken.mock.calls]).toEqual([1, []])
  })

  it('given up, the worker goes with it and the next job has a new one', async () => {
    const { own, ended, spawned } = workers('falls silent', 'well')
    const search = own.run('sample', subject, args)
    await new Promise((resolve) => setTimeout(resolve, 10))
    own.end()
    await expect(search).rejects.toBeInstanceOf(JobStopped)
    expect(await own.run('sample', subject, args)).toEqual(right)
    expect([ended[0], spawned()]).toEqual([0, 2])
  })
})
