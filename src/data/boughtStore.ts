import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { StayCase } from '@/core/domain'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { useUnderWayStore } from './underWayStore'
import { useAnswer } from './useAnswer'

/** A dozen counts more at every pixel of a drag would keep the worker from all else. */
const WAIT_MS = 60

/** What each habit buys of the count, a moment behind it; only while somebody looks. */
export const useBoughtStore = defineStore('bought', () => {
  const forecast = useForecastStore()
  const jobs = useJobStore()
  const underWay = useUnderWayStore()
  const { value: lately, follow } = useAnswer({
    where: 'what habits buy',
    waitMs: WAIT_MS,
    question: () => (!forecast.isCounting && underWay.isReady ? forecast.stayCase : null),
    of: () => forecast.stay?.id,
    isOneAtATime: true,
    isKeptOnFailure: true,
    ask: (stayCase: StayCase) => jobs.run('advice', 'bought', jobs.subjectOf(stayCase), null),
  })

  /** What is switched on is of the document as it stands, and so is which habits there are. */
  const rows = computed(() => {
    if (forecast.isCounting) return []
    const on = new Set(forecast.habitsOn.map(({ habit }) => habit))
    const there = new Set(forecast.stayCase?.habits.map(({ id }) => id))
    return (lately.value ?? [])
      .filter(({ habit }) => there.has(habit))
      .map((row) => ({ ...row, on: on.has(row.habit) }))
  })

  return { rows, follow }
})
