import { computed } from 'vue'
import { landUses, overLand } from '@/core/habits'
import { useForecastStore } from '@/data/forecastStore'

/** What the habits put out under the rules of the land that name a limit, and where that is more than they allow. */
export function useLandUse() {
  const forecast = useForecastStore()
  const uses = computed(() => (forecast.stayCase ? landUses(forecast.stayCase) : []))
  const over = computed(() => overLand(uses.value))
  return { uses, over }
}
