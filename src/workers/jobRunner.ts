import type { Args, JobName, Result, Step, Subject } from './jobs'
import { jobKit, type Doing } from './jobKit'

/** How often a worker says that it is still at it, at least where its work stops for breath. */
const BEAT_MS = 1000

/** What the other side of a worker offers; calls are answered in their order. */
export interface JobRunner {
  /** Answers as soon as its code is there. */
  hello: () => Promise<true>
  take: (subject: Subject) => Promise<void>
  /** @param tell what there is to tell on the way, or nothing: a sign of life */
  run: <J extends JobName>(
    job: J,
    revision: number,
    args: Args<J>,
    tell: (step?: Step<J>) => unknown,
  ) => Promise<Result<J>>
}

export function jobRunner(): JobRunner {
  const kit = jobKit()
  const doing: Doing = kit
  let subject: Subject | null = null
  return {
    hello: () => Promise.resolve(true),
    take: (next) => {
      subject = next
      return Promise.resolve()
    },
    run: async (job, revision, args, tell) => {
      if (subject?.revision !== revision) throw new Error('the subject of this job was never taken')
      const missing = kit.prepare(job)
      const of = subject
      if (missing) await missing
      const work = doing[job](of, args)
      for (let beat = performance.now(); ;) {
        const step = work.next()
        if (step.done) return step.value
        const now = performance.now()
        if (step.value === undefined && now - beat < BEAT_MS) continue
        beat = now
        tell(step.value)
      }
    },
  }
}
