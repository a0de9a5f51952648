import { report } from '@/data/report'
import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import { count } from '@/core/count'
import { compile, type Model } from '@/core/compile'
import { caseOf, type StayCase } from '@/core/domain'
import { riskOf } from '@/core/risk'
import { useJobStore } from '@/data/jobStore'
import { SEED } from '@/data/riskStore'
import { useSettingsStore } from '@/data/settingsStore'
import { startDocument, type StartChoices } from '@/document/starters'
import { useClockStore } from '@/data/clockStore'
import { countWords } from '@/parts/count/useCountWords'
import { riskWords, type RiskWords } from '@/parts/risk/useRiskWords'
import * as t from '@/texts/t'

/** Trips that say what to plan on while somebody still chooses. */
const TRIPS = 1000
const WAIT_MS = 120

/** The choices counted as they stand: the average at once, what to plan on a moment later. */
export function usePreview(choices: StartChoices) {
  const settings = useSettingsStore()
  const clock = useClockStore()
  const jobs = useJobStore()
  const preview = computed(() => {
    let n = 0
    const document = startDocument(
      choices,
      t.starters,
      t.starterNames,
      (kind) => `${kind}-${(n += 1)}`,
      settings.units,
    )
    const stayCase = caseOf(document, document.currentStay!)
    const model = compile(stayCase)
    return { stayCase, model, words: countWords(stayCase.stay, model, count(model), clock.now) }
  })
  const hasFailed = shallowRef(false)
  const planned = shallowRef<{ of: StayCase; risk: RiskWords } | null>(null)

  async function play({ stayCase, model }: { stayCase: StayCase; model: Model }): Promise<void> {
    const { start, leaveAt } = stayCase.stay
    const args = { seed: SEED, from: 0, to: TRIPS, bandParts: 0 }
    try {
      const sample = await jobs.run('advice', 'sample', jobs.subjectOf(stayCase), args)
      const risk = riskOf(model, sample, wallDaysBetween(start, leaveAt))
      planned.value = { of: stayCase, risk: riskWords(risk, stayCase.stay, model, stayCase.stay.start) }
    } catch (error) {
      planned.value = null
      report('the preview', error)
      hasFailed.value = true
    }
  }
  watchDebounced(preview, (now) => void play(now), {
    immediate: true,
    debounce: WAIT_MS,
    maxWait: 3 * WAIT_MS,
  })
  return {
    words: computed(() => preview.value.words),
    /** Of the choices a moment ago, while newer ones are being played. */
    risk: computed(() => planned.value?.risk ?? null),
    isComing: computed(() => planned.value === null && !hasFailed.value),
  }
}
