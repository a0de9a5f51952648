import { computed } from 'vue'
import { nightsBetween } from '@/core/calendar'
import type { CountQuantile } from '@/core/risk'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { formatDays, formatNumber, t } from '@/texts'
import { chanceWords } from './chanceWords'

export type RiskWords = NonNullable<ReturnType<typeof useRiskWords>['value']>

/** What the trips say, in words. Null before the first answer. */
export function useRiskWords() {
  const chances = useRiskStore()
  const forecast = useForecastStore()
  const text = ({ days, isBeyond }: CountQuantile) =>
    isBeyond ? t.risk.beyond(formatNumber(days, 0)) : formatDays(days)
  return computed(() => {
    const { risk } = chances
    const { stay } = forecast
    if (!risk || !stay) return null
    const nights = nightsBetween(stay.start, stay.leaveAt)
    return {
      planOn: risk.planOn,
      figure: risk.planOn.isBeyond ? formatNumber(risk.planOn.days, 0) : formatDays(risk.planOn.days),
      plan: text(risk.planOn),
      likely: text(risk.likely),
      best: text(risk.atBest),
      nights: t.risk.nights(nights, chanceWords(risk.nights)),
      sentence: t.risk.sentence(text(risk.planOn), text(risk.likely), text(risk.atBest)),
    }
  })
}
