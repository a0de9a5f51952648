import { useForecastStore } from '@/data/forecastStore'
import { useWhyStore } from '../why/whyStore'

/** Asks why the stopper stops; where nothing does, why the first container does not. */
export function useAskCount() {
  const forecast = useForecastStore()
  const why = useWhyStore()
  return () => {
    const container = forecast.result?.stopper ?? forecast.model?.containers[0]?.id
    if (container !== undefined) why.ask({ kind: 'count', container })
  }
}
