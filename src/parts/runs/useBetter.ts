import { shallowRef, watch } from 'vue'
import type { BetterTime } from '@/core/errands'
import type { Id } from '@/core/domain'
import { useAtRest } from '@/data/atRest'
import { useForecastStore } from '@/data/forecastStore'
import { useJobStore } from '@/data/jobStore'
import { usePlacesStore } from '@/data/placesStore'
import { SEED } from '@/data/seed'
import { chanceWords } from '@/parts/risk/chanceWords'
import * as t from '@/texts/t'
import { whenOf } from './useRuns'

const TRIALS = 1_000
const LATER_MS = 600

/** For a run that many trips do not reach: when it would do more, in words; null: not known, or nowhere. */
export function useBetter(run: () => Id | null) {
  const forecast = useForecastStore()
  const places = usePlacesStore()
  const jobs = useJobStore()
  places.follow()
  const better = shallowRef<(BetterTime & { words: string }) | null>(null)
  let asked = 0
  async function ask(): Promise<void> {
    const own = (asked += 1)
    const id = run()
    const { stayCase } = places
    better.value = null
    if (id === null || !stayCase || !places.isRead) return
    const args = { seed: SEED, trials: TRIALS, run: id }
    const found = await jobs.run('advice', 'better', jobs.subjectOf(stayCase), args).catch(() => null)
    if (own !== asked || !found || !forecast.stay) return
    const words = t.count.earlier(whenOf(forecast.stay, found.run, true), chanceWords(found.chance))
    better.value = { ...found, words }
  }
  const soon = useAtRest(ask, LATER_MS)
  watch([run, () => places.stayCase, () => places.isRead], () => soon(), { immediate: true })
  return better
}
