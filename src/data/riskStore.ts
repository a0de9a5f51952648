import { report } from './report'
import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import type { Model } from '@/core/compile'
import type { StayCase } from '@/core/domain'
import type { Risk, Story } from '@/core/risk'
import { useLetGo } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'

type Runner = ReturnType<(typeof import('@/workers'))['tripWaves']>

export { SEED }
/** none: no stay. running: shown is what is known so far, or what this stay came to before its last edit. */
export type RiskState = 'none' | 'running' | 'done' | 'stopped' | 'failed'

/** What may come of the current stay; follows every edit, a first answer soon and a final one after it. */
export const useRiskStore = defineStore('risk', () => {
  const forecast = useForecastStore()
  const jobs = useJobStore()
  const underWay = useUnderWayStore()
  const state = ref<RiskState>('none')
  const risk = shallowRef<Risk | null>(null)
  const story = shallowRef<Story | null>(null)
  const letGo = useLetGo()
  let runner: Runner | null = null
  let revision = 0
  /** Between an edit and its first answer further edits wait: only the newest of them is run. */
  let isFirstUnderway = false
  let isBehind = false
  let isDue = false
  /** Tells a start that was stopped while it waited. */
  let asked = 0

  /** Figures of another stay, or that nobody will bring up to date, are no figures. */
  function forget(): void {
    risk.value = story.value = null
  }

  async function start(): Promise<void> {
    const { stayCase, model } = forecast
    // What is not known yet of a stay under way has no chances.
    if (stayCase && !underWay.isReady) {
      if (state.value === 'done') state.value = 'running'
      return
    }
    if (!stayCase || !model) {
      runner?.stop()
      asked += 1
      isFirstUnderway = isBehind = false
      forget()
      state.value = 'none'
      return
    }
    if (isFirstUnderway) {
      isBehind = true
      return
    }
    isFirstUnderway = true
    isBehind = false
    state.value = 'running'
    const own = (asked += 1)
    try {
      const [{ tripWaves, workersFor }, client] = await Promise.all([import('@/workers'), jobs.client()])
      if (own !== asked) return
      runner ??= tripWaves(client, workersFor(navigator.hardwareConcurrency))
      run(runner, stayCase, model)
    } catch (error) {
      if (own === asked) failed()
      report('chances', error)
    }
  }

  function run(on: Runner, stayCase: StayCase, model: Model): void {
    const own = (revision += 1)
    const { stay } = stayCase
    const untilDays = wallDaysBetween(model.start, stay.leaveAt)
    const subject = jobs.subjectOf(stayCase)
    const request = { subject, model, untilDays, seed: SEED, bandParts: forecast.stayParts }
    void on.run(request, {
      onRisk(found, isLast) {
        if (forecast.stay?.id === stay.id) risk.value = found
        afterFirst()
        if (isLast && own === revision) state.value = 'done'
      },
      onStory(told) {
        if (own === revision) story.value = told
      },
      onFailed: () => own === revision && failed(),
      atRest: letGo,
    })
  }

  function failed(): void {
    forget()
    state.value = 'failed'
    afterFirst()
  }

  function afterFirst(): void {
    isFirstUnderway = false
    if (isBehind) void start()
  }

  function stop(): void {
    runner?.stop()
    asked += 1
    isFirstUnderway = isBehind = false
    state.value = 'stopped'
  }

  /** Not at once: the count is shown before its chances are asked for. */
  function startLater(): void {
    if (isDue) return
    isDue = true
    setTimeout(() => {
      isDue = false
      void start()
    })
  }

  watch(() => forecast.stay?.id, forget)
  watch([() => forecast.stayCase, () => forecast.model, () => underWay.isReady], startLater, {
    immediate: true,
  })
  return { state, risk, story, stop, start }
})
