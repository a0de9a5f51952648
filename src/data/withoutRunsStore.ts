import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { StayCase } from '@/core/domain'
import { PLAN_ON, TRIALS } from '@/core/risk'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'
import { useAnswer } from './useAnswer'

const LATER_MS = 400

/** What the same trips come to without the runs that are set: like with like. Only where one is set, and somebody looks. */
export const useWithoutRunsStore = defineStore('withoutRuns', () => {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const jobs = useJobStore()
  const { value, follow } = useAnswer({
    where: 'without runs',
    waitMs: LATER_MS,
    question: () => (forecast.hasRuns && underWay.isReady && forecast.model ? forecast.stayCase : null),
    of: () => forecast.stay?.id,
    ask: (stayCase: StayCase) => {
      const horizonDays = forecast.model?.horizonDays ?? stayCase.stay.horizonDays.value
      const args = { seed: SEED, trials: TRIALS, q: PLAN_ON, horizonDays, withRuns: false }
      return jobs.run('advice', 'own', jobs.subjectOf(stayCase), args)
    },
  })
  return {
    /** Days to plan on, infinite: beyond; and the chance to make all nights. Null: not known, or no run is set. */
    counts: computed(() => (forecast.hasRuns ? value.value : null)),
    /** Keeps it current as long as the component that calls it is there. */
    follow: (): void => follow(),
  }
})
