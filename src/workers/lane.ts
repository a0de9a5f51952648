import type { JobRunner } from './jobRunner'
import { inSlices } from './inSlices'
import type { Args, JobName, Result, Step, Subject } from './jobs'
import type { Doing, JobKit } from './jobKit'

/** A worker and its runner. */
export interface Spawned {
  runner: JobRunner
  /** Resolves when the worker is known to have broken down; never otherwise. */
  died: Promise<void>
  end: () => void
}

/** A job that was given up on purpose: its caller no longer waits for it. */
export class JobStopped extends Error {}

/** A job that fell silent, or could not be begun, and is not to be done beside the screen. */
export class JobGivenUp extends Error {
  /** @param hasBegun false: no worker could be started */
  constructor(readonly hasBegun: boolean) {
    super('given up')
  }
}

class WorkerDied extends Error {
  hasBegun = false
}

export interface LaneOptions {
  /** @throws where there are no workers */
  spawn: () => Spawned
  /** Where jobs are done without a worker; fetched when that is so. */
  kit: () => Promise<JobKit>
  /** A worker broke down; `isOnMain`: from now on jobs are done beside the screen. */
  onBroken: (isOnMain: boolean) => void
  /** Silence after which a worker is taken for dead: until it first answers, and between its signs of life. */
  helloMs: number
  silenceMs: number
  /** What it does may never end: it is done in a worker or not at all, and given up at its first silence. */
  isAlone?: boolean
}

/**
 * One worker's jobs, one after the other. A worker that cannot be had, breaks down or falls silent is replaced once a job;
 * after that its jobs are done here, in slices between which the screen is drawn.
 */
export function lane({ spawn, kit, onBroken, helloMs, silenceMs, isAlone = false }: LaneOptions) {
  let worker: { spawned: Spawned; taken: number; ready: Promise<unknown> } | null = null
  let isOnMain = false
  let own: JobKit | null = null
  /** Grows when what is under way is given up. */
  let turn = 0

  function current() {
    if (worker) return worker
    const spawned = spawnedOrDead()
    worker = { spawned, taken: NaN, ready: guarded(spawned, spawned.runner.hello(), helloMs) }
    return worker
  }

  function spawnedOrDead(): Spawned {
    try {
      return spawn()
    } catch (error) {
      throw new WorkerDied('there are no workers here', { cause: error })
    }
  }

  async function onWorker<J extends JobName>(
    job: J,
    subject: Subject,
    args: Args<J>,
    tell: (step: Step<J>) => void,
  ): Promise<Result<J>> {
    let hasBegun = false
    const at = current()
    try {
      await at.ready
      hasBegun = true
      if (at.taken !== subject.revision) {
        at.taken = subject.revision
        void at.spawned.runner.take(subject)
      }
      let heard: () => void = () => undefined
      const { runner } = at.spawned
      const answer = runner.run(job, subject.revision, args, (step) => {
        heard()
        if (step !== undefined) tell(step)
      })
      return await guarded(at.spawned, answer, silenceMs, (again) => (heard = again))
    } catch (error) {
      if (error instanceof WorkerDied) error.hasBegun = hasBegun
      if (error instanceof WorkerDied && worker === at) {
        at.spawned.end()
        worker = null
      }
      throw error
    }
  }

  async function here<J extends JobName>(
    job: J,
    subject: Subject,
    args: Args<J>,
    tell: (step: Step<J>) => void,
    goesOn: () => boolean,
  ): Promise<Result<J>> {
    own ??= await kit()
    await own.prepare(job)
    if (!goesOn()) throw new JobStopped()
    const doing: Doing = own
    const work = doing[job](subject, args)
    const done = await inSlices(work, goesOn, (step) => step !== undefined && tell(step))
    if (!done) throw new JobStopped()
    return done.value
  }

  return {
    /**
     * @param tell what is known on the way
     * @throws JobStopped where it was given up; whatever the job itself throws
     */
    async run<J extends JobName>(
      job: J,
      subject: Subject,
      args: Args<J>,
      tell: (step: Step<J>) => void = () => undefined,
    ): Promise<Result<J>> {
      const started = turn
      const goesOn = () => started === turn
      const heard = (step: Step<J>) => goesOn() && tell(step)
      for (let attempt = 0; !isOnMain; attempt++) {
        try {
          return await onWorker(job, subject, args, heard)
        } catch (error) {
          if (!goesOn()) throw new JobStopped()
          if (!(error instanceof WorkerDied)) throw error
          if (isAlone) throw new JobGivenUp(error.hasBegun)
          isOnMain ||= attempt > 0
          onBroken(isOnMain)
        }
      }
      return here(job, subject, args, heard, goesOn)
    },
    /** Gives up what is under way, the worker with it. */
    end(): void {
      turn += 1
      worker?.spawned.end()
      worker = null
    },
  }

  /** An answer, or the worker's death: said by the browser, or inferred from silence. */
  function guarded<T>(
    { died }: Spawned,
    answer: Promise<T>,
    ms: number,
    onHeard: (again: () => void) => void = () => undefined,
  ): Promise<T> {
    return new Promise((resolve, reject) => {
      const dead = () => reject(new WorkerDied())
      let timer = setTimeout(dead, ms)
      onHeard(() => {
        clearTimeout(timer)
        timer = setTimeout(dead, ms)
      })
      void died.then(dead)
      answer.then(resolve, reject).finally(() => clearTimeout(timer))
    })
  }
}

export type Lane = ReturnType<typeof lane>
