import { computed, ref, watch } from 'vue'
import type { HabitWorth } from '@/core/advice'
import { daysPerBother } from '@/core/habits'
import type { Id } from '@/core/domain'
import { useAdviceStore } from '@/data/adviceStore'
import { useBoughtStore } from '@/data/boughtStore'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'

/** By the days alone, or by the days for the bother. */
export type HabitOrder = 'days' | 'worth'

/**
 * Every habit that does something in this rig, with what it buys: most to plan on first, as it stood when it was first
 * known, so that nothing moves under the thumb while switches are tried. Until then the average has to do.
 */
export function useHabitRows(by: HabitOrder) {
  const forecast = useForecastStore()
  const workspace = useWorkspaceStore()
  const advice = useAdviceStore()
  const bought = useBoughtStore()
  advice.follow('worth')
  bought.follow()
  const order = ref<Id[]>([])
  let isFinal = false

  const habitOf = (id: Id) => workspace.document.habits.find((habit) => habit.id === id)
  /** To plan on; where runs are set, days held on average, which do not leap with a run. */
  const bringsOf = ({ planOn, held }: HabitWorth) => (forecast.hasRuns ? held : planOn)
  const brought = (id: Id) => {
    const worth = advice.worth.get(id)
    return worth ? bringsOf(worth) : null
  }
  const weigh = (id: Id, days: number) =>
    by === 'days' ? days : daysPerBother(days, habitOf(id)?.bother.value ?? 0)
  const sorted = (all: readonly { habit: Id; days: number }[]) =>
    [...all].sort((a, b) => weigh(b.habit, b.days) - weigh(a.habit, a.days)).map(({ habit }) => habit)

  watch(
    () => forecast.stay?.id,
    () => {
      isFinal = false
      order.value = []
    },
  )
  watch(
    () => bought.rows,
    (rows) => {
      if (order.value.length === 0) order.value = sorted(rows)
    },
    { immediate: true },
  )
  watch(
    () => advice.worth,
    (worth) => {
      if (isFinal || worth.size === 0) return
      isFinal = true
      order.value = sorted([...worth.values()].map((one) => ({ habit: one.habit, days: bringsOf(one) })))
    },
    { immediate: true },
  )
  return computed(() => {
    const place = (id: Id) => (order.value.includes(id) ? order.value.indexOf(id) : order.value.length)
    return bought.rows
      .filter(({ applies, on }) => applies || on)
      .sort((a, b) => place(a.habit) - place(b.habit))
      .map((row) => ({
        ...row,
        /** Days it brings; null: not worked out yet. */
        planOn: brought(row.habit),
        isLost: advice.hasFailed,
        habit: habitOf(row.habit)!,
      }))
  })
}

/** Days below which a habit buys nothing worth a word. */
const LEAST_DAYS = 0.05

export function isWorthAWord({
  days,
  planOn,
  on,
}: {
  days: number
  planOn: number | null
  on: boolean
}): boolean {
  return on || Math.abs(planOn ?? days) >= LEAST_DAYS
}
