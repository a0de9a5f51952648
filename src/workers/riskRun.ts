import { joinSamples, TRIALS, type Sample } from '@/core/risk'
import type { RiskRequest, RiskWorker } from './riskJob'

/** Trips of the first answer, and how many trips there are after each further one. */
export const FIRST_TRIPS = 500
export const WAVES = [FIRST_TRIPS, 2_000, 5_000, TRIALS] as const

export interface RunHooks {
  /** All trips so far, after each wave. */
  onSample: (sample: Sample, isLast: boolean) => void
  onFailed: () => void
}

/**
 * Plays the trips of one stay at a time on all workers, in waves: a first answer soon, the last one exact. Starting
 * another run, or stopping, leaves what is under way unanswered; a worker is busy with it for one piece at most.
 * Trips are told apart by number, so the result does not depend on how many workers there are.
 */
export function riskRunner(workers: readonly RiskWorker[]) {
  let running = 0

  async function run(request: RiskRequest, { onSample, onFailed }: RunHooks): Promise<void> {
    const own = (running = request.revision)
    try {
      await Promise.all(workers.map((worker) => worker.prepare(request)))
      let sample: Sample | null = null
      let from = 0
      for (const to of WAVES) {
        if (own !== running) return
        const pieces = await Promise.all(
          shares(from, to, workers.length).map(([first, last], w) => workers[w]!.sample(own, first, last)),
        )
        if (own !== running || pieces.some((piece) => piece === null)) return
        sample = joinSamples([...(sample ? [sample] : []), ...(pieces as Sample[])])
        from = to
        onSample(sample, to === TRIALS)
      }
    } catch {
      if (own === running) onFailed()
    }
  }

  return {
    run,
    stop: () => {
      running = -1
    },
    story: (revision: number, trip: number) => workers[0]!.story(revision, trip),
  }
}

/** Trips `from` to `to` − 1 in pieces of nearly equal size, in order. */
function shares(from: number, to: number, n: number): [number, number][] {
  return Array.from({ length: n }, (_, k) => [
    from + Math.floor(((to - from) * k) / n),
    from + Math.floor(((to - from) * (k + 1)) / n),
  ])
}
