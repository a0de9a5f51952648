import { computed } from 'vue'
import { addWallDays, dayZero } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { formatDate, formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'
import { useWhyStore } from './whyStore'

/** The question in words. */
export function useWhyTitle() {
  const why = useWhyStore()
  const forecast = useForecastStore()
  const workspace = useWorkspaceStore()
  return computed(() => {
    const { question } = why
    const { model, result, stay } = forecast
    if (!question || !model || !result || !stay) return ''
    if (question.kind === 'habit')
      return t.habitRow.why(workspace.document.habits.find(({ id }) => id === question.habit)?.name ?? '')
    if (question.kind === 'use')
      return t.why.use(forecast.crew?.activities.find(({ id }) => id === question.activity)?.name ?? '')
    const index = model.containers.findIndex(({ id }) => id === question.container)
    const name = model.containers[index]?.name ?? ''
    if (question.kind === 'at-stop') return t.why.atStop(name)
    if (question.kind === 'level')
      return t.why.levelAt(name, formatDate(addWallDays(dayZero(stay.start), model.grid.day[question.part]!)))
    const days = result.containers[index]
    return days == null
      ? t.why.never(name, formatNumber(model.horizonDays, 0))
      : t.why.count(name, formatDays(days))
  })
}
