import { jobKit, type Doing } from '@/workers/jobKit'
import type { JobClient } from '@/workers'
import type { Args, JobName, Result, Step, Subject } from '@/workers/jobs'

/** Does a job at once, as a worker would. */
export function doJob<J extends JobName>(
  kit: Doing,
  job: J,
  subject: Subject,
  args: Args<J>,
  tell: (step: Step<J>) => void = () => undefined,
): Result<J> {
  const work = kit[job](subject, args)
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
    if (step.value !== undefined) tell(step.value)
  }
}

/** The machine's own, also where a test holds the time of what it tests. */
const turn = setTimeout

/** A client that notes what it is asked for, and answers when it is let go. */
export function heldClient() {
  const kit = jobKit()
  const asked: { job: JobName; revision: number }[] = []
  const waiting: (() => void)[] = []
  const state = { isBroken: false }
  const client: JobClient = {
    run: (_, job, subject, args, tell) => {
      if (state.isBroken) return Promise.reject(new Error('broken'))
      asked.push({ job, revision: subject.revision })
      return new Promise((resolve, reject) =>
        waiting.push(() => {
          const does = () => resolve(doJob(kit, job, subject, args, tell))
          // Its code is fetched first, as a worker would.
          if (job === 'openings') void Promise.resolve(kit.prepare(job)).then(does).catch(reject)
          else does()
        }),
      )
    },
    end: () => undefined,
  }
  const settle = async () => {
    for (let k = 0; k < 4; k++) await new Promise((resolve) => turn(resolve))
  }
  const go = async () => {
    waiting.splice(0).forEach((letGo) => letGo())
    await settle()
  }
  return { client, asked, state, settle, go }
}

/** There are no workers in a test: what one would do is done at once, also what is never done beside the screen. */
export async function doneHere<J extends JobName>(
  _: string,
  job: J,
  subject: Subject,
  args: Args<J>,
  tell?: (step: Step<J>) => void,
): Promise<Result<J>> {
  const kit = jobKit()
  await kit.prepare(job)
  return doJob(kit, job, subject, args, tell)
}
