import { proxy, wrap } from 'comlink'
import type { JobRunner } from './jobRunner'
import type { Args, JobName, Result, Step, Subject } from './jobs'
import { lane, type Lane, type LaneOptions, type Spawned } from './lane'

const HELLO_MS = 20_000
const SILENCE_MS = 60_000

/**
 * Jobs of one lane wait for each other; those of different lanes do not. Every lane is a worker more that has to warm up:
 * what takes a moment and is waited for (to learn, what may be used today) goes between two waves of `risk-0`, what takes
 * longer or can wait to `advice`. What may never end is done in `hours`, and given up after a while.
 */
export type LaneName = 'advice' | 'reach' | 'hours' | `risk-${number}`

/** A text that takes longer than this to read would take for ever. */
const DEADLINE_MS = 4_000
/** Code is there by then, or the worker dies each time. */
const ALONE_HELLO_MS = 5_000

export interface JobClient {
  run: <J extends JobName>(
    on: LaneName,
    job: J,
    subject: Subject,
    args: Args<J>,
    tell?: (step: Step<J>) => void,
  ) => Promise<Result<J>>
  /** Gives up what a lane is doing. */
  end: (on: LaneName) => void
}

/** The one way to have anything computed beside the screen. @param onBroken a worker broke down */
export function jobClient(onBroken: LaneOptions['onBroken'], options: Partial<LaneOptions> = {}): JobClient {
  const lanes = new Map<LaneName, Lane>()
  const at = (name: LaneName) => {
    const known =
      lanes.get(name) ??
      lane({
        spawn: spawnWorker,
        kit: () => import('./jobKit').then(({ jobKit }) => jobKit()),
        helloMs: HELLO_MS,
        silenceMs: SILENCE_MS,
        onBroken,
        ...(name === 'hours' ? { isAlone: true, helloMs: ALONE_HELLO_MS, silenceMs: DEADLINE_MS } : {}),
        ...options,
      })
    lanes.set(name, known)
    return known
  }
  return {
    run: (on, job, subject, args, tell) => at(on).run(job, subject, args, tell),
    end: (on) => lanes.get(on)?.end(),
  }
}

/** @throws where the browser has no workers */
function spawnWorker(): Spawned {
  const worker = new Worker(new URL('./job.worker.ts', import.meta.url), { type: 'module' })
  const runner = wrap<JobRunner>(worker) as unknown as JobRunner
  const died = new Promise<void>((resolve) => {
    worker.addEventListener('error', () => resolve())
    worker.addEventListener('messageerror', () => resolve())
  })
  return {
    runner: {
      ...methodsOf(runner),
      run: (job, revision, args, tell) => runner.run(job, revision, args, proxy(tell)),
    },
    died,
    end: () => worker.terminate(),
  }
}

function methodsOf(runner: JobRunner): Pick<JobRunner, 'hello' | 'take'> {
  return { hello: () => runner.hello(), take: (subject) => runner.take(subject) }
}
