import { PLAN_ON, rankOf, riskOf, tripAt, type Risk, type Story } from '@/core/risk'
import type { Model } from '@/core/model'
import type { Days } from '@/core/quantities'
import type { RiskRequest, RiskWorker } from './riskJob'
import { riskRunner } from './riskRun'

export interface EngineHooks {
  /** After each wave, what the trips so far say. */
  onRisk: (risk: Risk, isLast: boolean) => void
  /** The trip to plan on, told after the last wave; null: nothing stops it. */
  onStory: (story: Story | null) => void
  onFailed: () => void
}

/** Runs of trips and what they say of a stay. */
export function riskEngine(workers: readonly RiskWorker[]) {
  const runner = riskRunner(workers)
  return {
    stop: runner.stop,
    run(request: RiskRequest, model: Model, untilDays: Days, { onRisk, onStory, onFailed }: EngineHooks) {
      return runner.run(request, {
        onFailed,
        onSample(sample, isLast) {
          onRisk(riskOf(model, sample, untilDays), isLast)
          if (!isLast) return
          const trip = tripAt(sample.days, rankOf(sample.days.length, PLAN_ON))
          void runner.story(request.revision, trip).then(onStory, onFailed)
        },
      })
    },
  }
}
