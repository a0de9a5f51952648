import { report } from '@/data/report'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { leaveAfterNights, wallDaysBetween } from '@/core/calendar'
import type { Id } from '@/core/domain'
import type { HabitSet, Hold, ReachSoFar } from '@/core/reach'
import { useForecastStore } from '@/data/forecastStore'
import { useJobStore } from '@/data/jobStore'
import { SEED } from '@/data/riskStore'

type State = 'idle' | 'running' | 'done' | 'stopped' | 'failed'

/** One search for the least bother: started, stopped, shown as it goes, and what is picked from it. */
export function useReach() {
  const forecast = useForecastStore()
  const jobs = useJobStore()
  const state = ref<State>('idle')
  const result = shallowRef<ReachSoFar | null>(null)
  const askedNights = ref(0)
  const askedDays = ref(0)
  /** Habits these people will not take. */
  const without = ref<Id[]>([])
  /** Whether sets may leave less liquid on the solids than the floor. */
  const isUnderFloor = ref(false)
  const picked = shallowRef<HabitSet | null>(null)
  /** The answer went, since it was of a stay, or of habits, that are no longer so. */
  const isGone = ref(false)
  let running = 0

  /** What was picked, or else the answer itself; of a search that found none, what lasts longest. */
  const shown = computed((): HabitSet | null => {
    const { curve = [], goal, most } = result.value ?? {}
    return picked.value ?? goal ?? most ?? curve.at(-1) ?? null
  })

  async function start(nights: number): Promise<void> {
    const { stayCase } = forecast
    if (!stayCase) return
    const { stay } = stayCase
    stop()
    const own = (running += 1)
    forget()
    state.value = 'running'
    askedNights.value = nights
    askedDays.value = wallDaysBetween(
      stayCase.now?.at ?? stay.start,
      leaveAfterNights(stay.start, stay.leaveAt, nights),
    )
    const subject = jobs.subjectOf(stayCase)
    const options = {
      seed: SEED,
      untilDays: askedDays.value,
      without: [...without.value],
      underFloor: isUnderFloor.value,
    }
    try {
      const found = await jobs.run('reach', 'reach', subject, options, (soFar) => {
        if (own === running) result.value = soFar
      })
      if (own !== running) return
      result.value = found
      state.value = 'done'
    } catch (error) {
      if (own === running) state.value = 'failed'
      report('the finder', error)
    }
  }

  function forget(): void {
    result.value = picked.value = null
    isGone.value = false
  }

  function stop(): void {
    if (state.value !== 'running') return
    running += 1
    state.value = 'stopped'
    void jobs.end('reach')
  }

  /** An answer is of the habits, the rig, the crew and the stay as they were; taking it does not make it old. */
  let isTaking = false
  watch(
    () => forecast.stayCase,
    () => {
      if (!isTaking && result.value) {
        stop()
        forget()
        state.value = 'idle'
        isGone.value = true
      }
      isTaking = false
    },
    { flush: 'sync' },
  )
  onBeforeUnmount(stop)

  const again = () => start(askedNights.value)
  return {
    state,
    result,
    askedNights,
    askedDays,
    without,
    isUnderFloor,
    shown,
    isGone,
    start,
    stop,
    refuse(habit: Id): void {
      without.value = [...without.value, habit]
      void again()
    },
    allow(habit: Id): void {
      without.value = without.value.filter((id) => id !== habit)
      void again()
    },
    /** Searches again with something allowed that was held back. @param save what the school asks of the crew */
    allowHold(by: Hold, save: () => void): void {
      if (by === 'school') save()
      else if (by === 'floor') isUnderFloor.value = true
      else without.value = []
      void again()
    },
    keepFloor(): void {
      isUnderFloor.value = false
      void again()
    },
    pick(set: HabitSet): void {
      picked.value = set
    },
    /** Makes an edit that puts a set of this answer into the stay. */
    taking(edit: () => void): void {
      isTaking = true
      edit()
      isTaking = false
    },
  }
}
