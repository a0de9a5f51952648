import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import { rankOf, riskOf, tripAt, PLAN_ON, TRIALS, type Risk, type Sample, type Story } from '@/core/risk'
import type { Document, Model, Stay } from '@/core/model'
import { riskRunner, spawnRisk } from '@/workers'
import { useForecastStore } from './forecastStore'
import { useWorkspaceStore } from './workspaceStore'

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
  let runner: ReturnType<typeof riskRunner> | null = null
  let revision = 0
  /** Between an edit and its first answer further edits wait: only the newest of them is run. */
  let isFirstUnderway = false
  let isBehind = false

  function start(): void {
    const { stay, model } = forecast
    if (!stay || !model) {
      runner?.stop()
      risk.value = story.value = null
      state.value = 'none'
      return
    }
    if (isFirstUnderway) {
      isBehind = true
      return
    }
    try {
      runner ??= riskRunner(spawnRisk(navigator.hardwareConcurrency))
    } catch {
      state.value = 'failed'
      return
    }
    void run(runner, workspace.document, stay, model)
  }

  async function run(on: NonNullable<typeof runner>, document: Document, stay: Stay, model: Model): Promise<void> {
    const own = (revision += 1)
    const untilDays = wallDaysBetween(stay.start, stay.leaveAt)
    isFirstUnderway = true
    isBehind = false
    state.value = 'running'
    const request = { revision: own, document, stay: stay.id, seed: SEED, bandParts: forecast.stayParts }
    await on.run(request, {
      onSample(sample, isLast) {
        risk.value = riskOf(model, sample, untilDays)
        afterFirst()
        if (!isLast || own !== revision) return
        state.value = 'done'
        void tell(on, own, sample)
      },
      onFailed() {
        state.value = 'failed'
        afterFirst()
      },
    })
  } // prettier-ignore

  function afterFirst(): void {
    isFirstUnderway = false
    if (isBehind) start()
  }

  /** The trip to plan on, told once the answer is final. */
  async function tell(on: NonNullable<typeof runner>, own: number, { days }: Sample): Promise<void> {
    const told = await on.story(own, tripAt(days, rankOf(days.length, PLAN_ON)))
    if (own === revision) story.value = told
  }

  function stop(): void {
    runner?.stop()
    isFirstUnderway = isBehind = false
    state.value = 'stopped'
  }

  watch([() => workspace.document, () => forecast.stay?.id], start, { immediate: true })
  return { state, risk, story, trials: TRIALS, stop, start }
})
