import { computed } from 'vue'
import { flushRatios, hasFlushFloor } from '@/core/habits'
import { useForecastStore } from '@/data/forecastStore'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'

/** What the two sides of the flush come to, in a line; null where no solids reach a black tank. */
export function useFlushAnswer() {
  const forecast = useForecastStore()
  const { volume } = useAmounts()
  return computed(() => {
    const { model, result, crew } = forecast
    if (!model || !result || !crew || !hasFlushFloor(model)) return null
    const least = flushRatios(model, result.ledger, forecast.stayParts).flatMap((ratio) => ratio.least ?? [])
    const liquid = least.length === 0 ? null : volume(Math.round(Math.min(...least) * 10) / 10)
    const school = t.flush.schools[crew.flush.school].toLowerCase()
    return liquid === null ? school : t.flush.short(liquid, school)
  })
}
