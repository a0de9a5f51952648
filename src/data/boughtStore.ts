import { report } from './report'
import { defineStore } from 'pinia'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import type { DaysBought } from '@/core/habits'
import { useAtRest } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { useUnderWayStore } from './underWayStore'

/** A dozen counts more at every pixel of a drag would keep the worker from all else. */
const WAIT_MS = 60

/** What each habit buys of the count, a moment behind it; only while somebody looks. */
export const useBoughtStore = defineStore('bought', () => {
  const forecast = useForecastStore()
  const jobs = useJobStore()
  const underWay = useUnderWayStore()
  const lately = shallowRef<DaysBought[]>([])
  const watchers = ref(0)
  /** What `lately` is of, and whether more is asked while one is being counted. */
  let known: object | null = null
  let isUnderway = false
  let isBehind = false

  async function ask(): Promise<void> {
    const { stayCase } = forecast
    const isDue = stayCase !== null && !forecast.isCounting && underWay.isReady && known !== stayCase
    if (watchers.value === 0 || !isDue) return
    isBehind = isUnderway
    if (isUnderway) return
    isUnderway = true
    try {
      const found = await jobs.run('advice', 'bought', jobs.subjectOf(stayCase), null)
      if (forecast.stay?.id === stayCase.stay.id) lately.value = found
      known = stayCase
    } catch (error) {
      // What cannot be counted is said beside the count; asked again at the next edit.
      report('what habits buy', error)
    } finally {
      isUnderway = false
      if (isBehind) void ask()
    }
  }
  const soon = useAtRest(ask, WAIT_MS)
  watch(
    () => forecast.stay?.id,
    () => {
      lately.value = []
      known = null
    },
    { flush: 'sync' },
  )
  watch([() => forecast.stayCase, () => forecast.isCounting, () => underWay.isReady], () => soon())

  /** What is switched on is of the document as it stands, and so is which habits there are. */
  const rows = computed(() => {
    if (forecast.isCounting) return []
    const on = new Set(forecast.habitsOn.map(({ habit }) => habit))
    const there = new Set(forecast.stayCase?.habits.map(({ id }) => id))
    return lately.value
      .filter(({ habit }) => there.has(habit))
      .map((row) => ({ ...row, on: on.has(row.habit) }))
  })

  /** Keeps it current as long as the component that calls it is there, and looking. */
  function follow(isLooking: () => boolean = () => true): void {
    let counts = false
    const look = (now: boolean) => {
      if (now === counts) return
      counts = now
      watchers.value += now ? 1 : -1
      if (now) void ask()
    }
    onMounted(() => watch(isLooking, look, { immediate: true }))
    onBeforeUnmount(() => look(false))
  }
  return { rows, follow }
})
