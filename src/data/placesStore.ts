import { report } from './report'
import { defineStore } from 'pinia'
import { tryOnMounted } from '@vueuse/core'
import { computed } from 'vue'
import type { Place, StayCase } from '@/core/domain'
import type { OpeningAnswer } from '@/engines/openingHours'
import { useForecastStore } from './forecastStore'
import { openingsOf, spanOf, useHoursStore } from './hoursStore'
import { useJobStore } from './jobStore'

/** The places of the stay that is shown, and the case that is counted with all of their hours: what asks for places asks with it. */
export const usePlacesStore = defineStore('places', () => {
  const forecast = useForecastStore()
  const store = useHoursStore()
  const jobs = useJobStore()
  const hours = computed(() => (forecast.stay ? store.hoursOf(forecast.stay) : null))
  const stayCase = computed((): StayCase | null => {
    const { stayCase: counted } = forecast
    if (!counted || !hours.value || counted.hours === hours.value) return counted
    return { ...counted, hours: hours.value }
  })
  /** When they are open is known, or cannot be: before that nothing is offered that they might refuse. */
  const isRead = computed(() => hours.value !== null || store.hasFailed)
  const answerOf = (place: Pick<Place, 'opening'>): OpeningAnswer | null =>
    forecast.stay ? store.answerOf(forecast.stay, place) : null

  /** What one text comes to, before it is anybody's; null where it could not be asked. */
  async function tryText(text: string): Promise<OpeningAnswer | null> {
    try {
      const { stay, stayCase: counted } = forecast
      if (!stay || !counted) return null
      const [from, until] = spanOf(stay)
      const { sunrise, sunset } = stay.weather
      // In a worker with a deadline: there are texts that would never be read.
      const [answer] = await openingsOf(jobs, jobs.subjectOf(counted), [
        { text, from, until, sunrise, sunset },
      ])
      return answer ?? null
    } catch (error) {
      // The field says that it could not be tried.
      report('trying an opening text', error)
      return null
    }
  }

  return {
    hours,
    stayCase,
    isRead,
    hasFailed: computed(() => store.hasFailed),
    answerOf,
    tryText,
    /** Reads the hours as long as the application is open, from the first component that asks. */
    follow: () => tryOnMounted(() => void (store.isWanted = true)),
  }
})
