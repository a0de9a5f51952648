import {
  joinSamples,
  PLAN_ON,
  rankOf,
  riskOf,
  tripAt,
  TRIALS,
  type Risk,
  type Sample,
  type Story,
} from '@/core/risk'
import type { Model } from '@/core/compile'
import type { Days } from '@/core/quantities'
import type { JobClient } from './client'
import type { Subject } from './jobs'
import { JobStopped } from './lane'

/** Trips of the first answer, and how many trips there are after each further one. */
export const FIRST_TRIPS = 500
export const WAVES = [FIRST_TRIPS, 2_000, 5_000, TRIALS] as const
/** Beyond this many workers the first answer gets no faster. */
const MOST_WORKERS = 8

/** As many as the machine offers beside the one that draws the screen, at least one. */
export function workersFor(cores: number): number {
  return Math.min(MOST_WORKERS, Math.max(1, Math.floor(cores) - 1 || 1))
}

/** What is to be known of a stay's trips. */
export interface WavesRequest {
  subject: Subject
  model: Model
  seed: number
  untilDays: Days
  /** Parts whose levels are wanted. */
  bandParts: number
}

export interface WavesHooks {
  /** After each wave, what all trips so far say. */
  onRisk: (risk: Risk, isLast: boolean) => void
  /** The trip to plan on, told after the last wave; null: nothing stops it. */
  onStory: (story: Story | null) => void
  onFailed: () => void
  /** Waited for between two waves: the later ones wait while something is held. */
  atRest?: () => Promise<unknown>
}

/**
 * Plays the trips of one stay at a time on all workers, in waves: a first answer soon, the last one exact. Starting
 * another run, or stopping, leaves what is under way unanswered; a worker is busy with it for one piece at most.
 * Trips are told apart by number, so the result does not depend on how many workers there are.
 */
export function tripWaves(client: JobClient, workers: number) {
  let running = 0

  async function run(request: WavesRequest, hooks: WavesHooks): Promise<void> {
    const { onRisk, onStory, onFailed, atRest } = hooks
    const own = (running += 1)
    try {
      let sample: Sample | null = null
      let from = 0
      for (const to of WAVES) {
        if (sample) await atRest?.()
        if (own !== running) return
        const pieces: Sample[] = await Promise.all(piecesOf(request, from, to))
        if (own !== running) return
        sample = joinSamples([...(sample ? [sample] : []), ...pieces])
        from = to
        onRisk(riskOf(request.model, sample, request.untilDays), to === TRIALS)
      }
      const trip = tripAt(sample!.days, rankOf(sample!.days.length, PLAN_ON))
      const story = await client.run('risk-0', 'story', request.subject, { seed: request.seed, trip })
      if (own === running) onStory(story)
    } catch (error) {
      if (own === running && !(error instanceof JobStopped)) onFailed()
    }
  }

  function piecesOf({ subject, seed, bandParts }: WavesRequest, from: number, to: number): Promise<Sample>[] {
    return shares(from, to, workers).map(([first, last], w) =>
      client.run(`risk-${w}`, 'sample', subject, { seed, from: first, to: last, bandParts }),
    )
  }

  return {
    run,
    stop: () => {
      running += 1
    },
  }
}

/** Trips `from` to `to` − 1 in pieces of nearly equal size, in order. */
function shares(from: number, to: number, n: number): [number, number][] {
  return Array.from({ length: n }, (_, k) => [
    from + Math.floor(((to - from) * k) / n),
    from + Math.floor(((to - from) * (k + 1)) / n),
  ])
}
