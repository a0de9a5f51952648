import { usesLeft } from '@/core/count'
import type { VesselContainer } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'

/** How many uses a cassette's warning light leaves this crew; null without a light, or where nothing fills it. */
export function useLightUses() {
  const forecast = useForecastStore()
  return (container: VesselContainer): number | null => {
    const { model, result } = forecast
    if (!model || !result || !container.light) return null
    return usesLeft(model, result.ledger, container, container.light.value)
  }
}
