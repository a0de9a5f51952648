import { computed } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { formatDays, formatNumber, formatPartOfDay } from '@/texts'
import * as t from '@/texts/t'

/** What a picture of the levels would show, in a sentence. */
export function useChartSentence() {
  const forecast = useForecastStore()
  return computed(() => {
    const { model, result } = forecast
    if (!model || !result) return ''
    if (!result.at) return t.chart.sentenceNone(formatNumber(model.horizonDays, 0))
    const nameOf = (id: string | null) =>
      model.containers.find((container) => container.id === id)?.name ?? ''
    const { day, part } = formatPartOfDay(result.at)
    const others = model.containers.flatMap(({ id }, c) => {
      const days = result.containers[c] ?? null
      return days === null || id === result.stopper ? [] : [{ id, days }]
    })
    const after = others.sort((a, b) => a.days - b.days)
    const words = after.map(({ id, days }) => t.chart.after(nameOf(id), formatDays(days)))
    return t.chart.sentence(nameOf(result.stopper), `${day}, ${part}`, words.join(', '))
  })
}
