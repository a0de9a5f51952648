import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import type { Document, Model, Stay } from '@/core/model'
import type { Risk, Story } from '@/core/risk'
import { useForecastStore } from './forecastStore'
import { useWorkspaceStore } from './workspaceStore'

type Engine = ReturnType<(typeof import('@/workers'))['riskEngine']>

/** The luck of the trips: one for all, so that what differs between two answers is the stay. */
export const SEED = 20_270
/** none: no stay. running: shown is what is known so far, or what the stay before an edit came to. */
export type RiskState = 'none' | 'running' | 'done' | 'stopped' | 'failed'

/** What may come of the current stay; follows every edit, a first answer soon and a final one after it. */
export const useRiskStore = defineStore('risk', () => {
  const workspace = useWorkspaceStore()
  const forecast = useForecastStore()
  const state = ref<RiskState>('none')
  const risk = shallowRef<Risk | null>(null)
  const story = shallowRef<Story | null>(null)
  let engine: Engine | null = null
  let revision = 0
  /** Between an edit and its first answer further edits wait: only the newest of them is run. */
  let isFirstUnderway = false
  let isBehind = false
  let isDue = false
  /** Tells a start that was stopped while it waited. */
  let asked = 0

  async function start(): Promise<void> {
    const { stay, model } = forecast
    if (!stay || !model) {
      engine?.stop()
      risk.value = story.value = null
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
      // Loaded with the first question: the count does not wait for it.
      const { riskEngine, spawnRisk } = await import('@/workers')
      if (own !== asked) return
      engine ??= riskEngine(spawnRisk(navigator.hardwareConcurrency))
      run(engine, workspace.document, stay, model)
    } catch {
      failed()
    }
  }

  function run(on: Engine, document: Document, stay: Stay, model: Model): void {
    const own = (revision += 1)
    const untilDays = wallDaysBetween(stay.start, stay.leaveAt)
    const request = { revision: own, document, stay: stay.id, seed: SEED, bandParts: forecast.stayParts }
    void on.run(request, model, untilDays, {
      onRisk(found, isLast) {
        risk.value = found
        afterFirst()
        if (isLast && own === revision) state.value = 'done'
      },
      onStory(told) {
        if (own === revision) story.value = told
      },
      onFailed: failed,
    })
  }

  function failed(): void {
    state.value = 'failed'
    afterFirst()
  }

  function afterFirst(): void {
    isFirstUnderway = false
    if (isBehind) void start()
  }

  function stop(): void {
    engine?.stop()
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

  watch([() => workspace.document, () => forecast.stay?.id], startLater, { immediate: true })
  return { state, risk, story, stop, start }
})
