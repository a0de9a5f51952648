import { report } from './report'
import { defineStore } from 'pinia'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import { decideSteps, type DecideBy, type DecideRequest } from '@/core/advice'
import type { StayCase } from '@/core/domain'
import { PLAN_ON, TRIALS, type OwnCounts } from '@/core/risk'
import { inSlices } from '@/workers/inSlices'
import { useAtRest } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { usePlacesStore } from './placesStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'

const LATER_MS = 500
/** Days beyond the end of the stay that are looked at, so that what just lasts is seen to. */
const BEYOND_D = 1

/** How long each container can wait for a service, and what remains after that; only while somebody looks. */
export const useDecideStore = defineStore('decide', () => {
  const forecast = useForecastStore()
  const places = usePlacesStore()
  const underWay = useUnderWayStore()
  const jobs = useJobStore()
  const watchers = ref(0)
  const hasFailed = ref(false)
  const known = shallowRef<{ of: StayCase; counts: OwnCounts } | null>(null)
  const isCurrent = computed(() => known.value?.of === forecast.stayCase)
  let asked = 0

  const mayAsk = () => watchers.value > 0 && forecast.stayCase !== null && underWay.isReady
  async function ask(): Promise<void> {
    const { stayCase, model } = forecast
    if (!mayAsk() || !stayCase || !model || underWay.phase === 'over') return
    const own = (asked += 1)
    const horizonDays = wallDaysBetween(model.start, stayCase.stay.leaveAt) + BEYOND_D
    if (horizonDays <= BEYOND_D) return
    try {
      const args = { seed: SEED, trials: TRIALS, q: PLAN_ON, horizonDays, withRuns: true }
      const counts = await jobs.run('advice', 'own', jobs.subjectOf(stayCase), args)
      if (own !== asked) return
      known.value = { of: stayCase, counts }
      hasFailed.value = false
    } catch (error) {
      if (own === asked) hasFailed.value = true
      report('last moments', error)
    }
  }
  const soon = useAtRest(ask, LATER_MS)
  watch([() => forecast.stayCase, () => underWay.isReady], () => soon())
  watch(
    () => forecast.stay?.id,
    () => (known.value = null),
  )

  const request = computed((): DecideRequest | null => {
    const of = known.value
    const { stayCase } = places
    // What is open is known, or cannot be: no answer stands that the next moment takes back.
    if (!places.isRead) return null
    if (!of || !stayCase || of.of.stay.id !== stayCase.stay.id || underWay.phase === 'over') return null
    const { containers, joint } = of.counts
    return { stayCase, containers, joint, from: of.of.now?.at ?? of.of.stay.start }
  })
  /** Null: not worked out yet, or there is nothing to decide. Follows hours and roads at once, a container at a time. */
  const answers = shallowRef<DecideBy[] | null>(null)
  const decideSoon = useAtRest(() => decide(request.value), 0)
  watch(
    request,
    (asked) => {
      if (asked === null) answers.value = null
      else decideSoon()
    },
    { immediate: true },
  )
  async function decide(asked: DecideRequest | null): Promise<void> {
    if (asked === null) return
    const done = await inSlices(decideSteps(asked), () => request.value === asked)
    if (done) answers.value = done.value
  }
  /** Those that cannot wait until the stay is left, the most pressing first. */
  const pressing = computed(() =>
    (answers.value ?? [])
      .filter(({ state }) => state !== 'before')
      .sort((a, b) => (lastOf(a) < lastOf(b) ? -1 : 1)),
  )

  /** Keeps it current as long as the component that calls it is there. */
  function follow(): void {
    places.follow()
    onMounted(() => {
      watchers.value += 1
      if (!isCurrent.value) soon()
    })
    onBeforeUnmount(() => void (watchers.value -= 1))
  }
  return { answers, pressing, isCurrent, hasFailed, follow }
})

/** What is too late comes before all else. */
function lastOf({ state, ways }: DecideBy): string {
  return state === 'too-late' ? '' : (ways[0]?.leaveBy ?? '')
}
