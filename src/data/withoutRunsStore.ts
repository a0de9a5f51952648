import { report } from './report'
import { defineStore } from 'pinia'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import type { StayCase } from '@/core/domain'
import { PLAN_ON, TRIALS, type OwnCounts } from '@/core/risk'
import { useAtRest } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'

const LATER_MS = 400

/** What the same trips come to without the runs that are set: like with like. Only where one is set, and somebody looks. */
export const useWithoutRunsStore = defineStore('withoutRuns', () => {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const jobs = useJobStore()
  const watchers = ref(0)
  const known = shallowRef<{ of: StayCase; counts: OwnCounts } | null>(null)
  const hasRuns = computed(() => forecast.hasRuns)
  let asked = 0

  async function ask(): Promise<void> {
    const { stayCase, model } = forecast
    if (watchers.value === 0 || !hasRuns.value || !underWay.isReady || !stayCase || !model) return
    if (known.value?.of === stayCase) return
    const own = (asked += 1)
    const args = {
      seed: SEED,
      trials: TRIALS,
      q: PLAN_ON,
      horizonDays: model.horizonDays,
      withRuns: false,
    }
    try {
      const counts = await jobs.run('advice', 'own', jobs.subjectOf(stayCase), args)
      if (own === asked) known.value = { of: stayCase, counts }
    } catch (error) {
      if (own === asked) known.value = null
      report('without runs', error)
    }
  }
  const soon = useAtRest(ask, LATER_MS)
  watch([() => forecast.stayCase, hasRuns, () => underWay.isReady], () => soon())
  watch(
    () => forecast.stay?.id,
    () => (known.value = null),
  )

  /** Keeps it current as long as the component that calls it is there. */
  function follow(): void {
    onMounted(() => {
      watchers.value += 1
      soon()
    })
    onBeforeUnmount(() => void (watchers.value -= 1))
  }
  return {
    /** Days to plan on, infinite: beyond; and the chance to make all nights. Null: not known, or no run is set. */
    counts: computed(() => (hasRuns.value ? (known.value?.counts ?? null) : null)),
    follow,
  }
})
