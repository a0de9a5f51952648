import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { leaveAfterNights, wallDaysBetween } from '@/core/calendar'
import type { Id } from '@/core/model'
import type { HabitSet, Reach, ReachSoFar } from '@/core/reach'
import { useForecastStore } from '@/data/forecastStore'
import { SEED } from '@/data/riskStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { spawnReach } from '@/workers'

type State = 'idle' | 'running' | 'done' | 'stopped' | 'failed'

/** One search for the least bother: started, stopped, shown as it goes, and what is picked from it. */
export function useReach() {
  const workspace = useWorkspaceStore()
  const forecast = useForecastStore()
  const state = ref<State>('idle')
  const result = shallowRef<(ReachSoFar & Partial<Pick<Reach, 'stopper'>>) | null>(null)
  const askedNights = ref(0)
  const askedDays = ref(0)
  /** Habits these people will not take. */
  const without = ref<Id[]>([])
  const pickedBother = ref<number | null>(null)
  /** The stay is no longer what was searched, other than by taking a set of habits. */
  const isStale = ref(false)
  let running: ReturnType<typeof spawnReach> | null = null

  const picked = computed((): HabitSet | null => {
    const { curve = [], goal = null } = result.value ?? {}
    const sets = goal ? [...curve, goal] : curve
    const bother = pickedBother.value ?? goal?.bother ?? curve.at(-1)?.bother ?? 0
    return sets.find((set) => set.bother === bother) ?? sets.at(-1) ?? null
  })

  function start(nights: number): void {
    const { stay } = forecast
    if (!stay) return
    running?.stop()
    state.value = 'running'
    result.value = null
    pickedBother.value = null
    isStale.value = false
    askedNights.value = nights
    askedDays.value = wallDaysBetween(stay.start, leaveAfterNights(stay.start, stay.leaveAt, nights))
    const request = { document: workspace.document, stay: stay.id, seed: SEED, untilDays: askedDays.value, without: [...without.value] }
    try {
      const own = (running = spawnReach(request, (soFar) => {
        if (own === running && state.value === 'running') result.value = soFar
      }))
      own.result.then(
        (found) => {
          if (own !== running || state.value !== 'running') return
          result.value = found
          state.value = 'done'
        },
        () => {
          if (own === running && state.value === 'running') state.value = 'failed'
        },
      )
    } catch {
      state.value = 'failed'
    }
  } // prettier-ignore

  function stop(): void {
    running?.stop()
    running = null
    if (state.value === 'running') state.value = 'stopped'
  }

  /** Habits apart, what a search depends on: taking a set of them does not make it stale. */
  const searched = computed(() => {
    const { stays, currentStay, ...rest } = workspace.document
    return [rest.rigs, rest.crews, rest.habits, stays.map((stay) => ({ ...stay, habits: [] })), currentStay]
  })
  watch(searched, (now, before) => {
    if (JSON.stringify(now) !== JSON.stringify(before)) isStale.value = true
  })
  onBeforeUnmount(stop)

  function refuse(habit: Id): void {
    without.value = [...without.value, habit]
    start(askedNights.value)
  }
  function allow(habit: Id): void {
    without.value = without.value.filter((id) => id !== habit)
    start(askedNights.value)
  }

  return {
    state, result, askedNights, askedDays, without, picked, isStale, start, stop, refuse, allow,
    pick: (set: HabitSet) => {
      pickedBother.value = set.bother
    },
  } // prettier-ignore
}
