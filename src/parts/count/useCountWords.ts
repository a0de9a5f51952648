import { computed } from 'vue'
import { dayZero, nightsBetween, wallDaysBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { formatDate, formatDays, formatNumber, formatPartOfDay, t } from '@/texts'

/** The current count in words: what is large, what is said, what is short. Null without a stay. */
export function useCountWords() {
  const forecast = useForecastStore()
  return computed(() => {
    const { stay, result, model, rig } = forecast
    if (!stay || !result || !model) return null
    const nights = nightsBetween(stay.start, stay.leaveAt)
    const horizon = formatNumber(model.horizonDays, 0)
    const stopper = rig?.containers.find(({ id }) => id === result.stopper)?.name ?? null
    const lasts = result.days === null || result.days >= wallDaysBetween(stay.start, stay.leaveAt)
    return {
      days: result.days,
      figure: result.days === null ? horizon : formatDays(result.days),
      isBeyond: result.days === null,
      horizon,
      nights,
      stopper,
      when: result.at ? formatPartOfDay(result.at) : null,
      startsPast: result.days === 0,
      lasts,
      marks: {
        start: formatDate(stay.start),
        stop: result.at && !lasts ? formatDate(dayZero(result.at)) : null,
        end: formatDate(stay.leaveAt),
      },
      /** Nights planned that are not reached. */
      short: result.days === null ? 0 : Math.max(0, nights - Math.floor(result.days + 1e-9)),
      strip: result.days === null ? t.count.stripBeyond(horizon) : formatDays(result.days),
    }
  })
}
