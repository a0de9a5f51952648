import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { wallDaysBetween } from '@/core/calendar'
import { decideSteps, type DecideBy, type DecideRequest } from '@/core/advice'
import type { Id, StayCase } from '@/core/domain'
import { PLAN_ON, TRIALS, planOnOfEach } from '@/core/risk'
import { inSlices } from '@/workers/inSlices'
import { useAtRest } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { usePlacesStore } from './placesStore'
import { useRiskStore } from './riskStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'
import { useAnswer } from './useAnswer'

const LATER_MS = 500
/** Days beyond the end of the stay that are looked at, so that what just lasts is seen to. */
const BEYOND_D = 1

/** How long each container can wait for a service, and what remains after that; only while somebody looks. */
export const useDecideStore = defineStore('decide', () => {
  const forecast = useForecastStore()
  const places = usePlacesStore()
  const underWay = useUnderWayStore()
  const jobs = useJobStore()
  const chances = useRiskStore()
  const horizonDays = computed(() => {
    const { stay, model } = forecast
    if (!stay || !model || underWay.phase === 'over') return null
    const days = wallDaysBetween(model.start, stay.leaveAt) + BEYOND_D
    return days > BEYOND_D ? days : null
  })

  const own = useAnswer({
    where: 'last moments',
    waitMs: LATER_MS,
    question: () => (underWay.isReady && horizonDays.value !== null ? forecast.stayCase : null),
    // Days from the start and days from now are not each other's: with the phase, what is known goes.
    of: () => `${forecast.stay?.id} ${underWay.phase}`,
    isKeptOnFailure: true,
    ask: (stayCase: StayCase) =>
      jobs.run('advice', 'own', jobs.subjectOf(stayCase), {
        ...{ seed: SEED, trials: TRIALS, q: PLAN_ON, withRuns: true },
        horizonDays: horizonDays.value ?? BEYOND_D,
      }),
  })
  const request = computed((): DecideRequest | null => {
    const [of, counts] = [own.answered.value, own.value.value]
    const { stayCase } = places
    // What is open is known, or cannot be: no answer stands that the next moment takes back.
    if (!places.isRead) return null
    if (!of || !counts || !stayCase || of.stay.id !== stayCase.stay.id || underWay.phase === 'over')
      return null
    const { containers, joint } = counts
    return { stayCase, containers, joint, from: of.now?.at ?? of.stay.start }
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

  /** What stops the stay: in most trips, as the sentence of the count says; on average until they are drawn. Null: nothing. */
  const stops = computed((): Id | null =>
    chances.risk ? (chances.risk.stoppers[0]?.container ?? null) : (forecast.result?.stopper ?? null),
  )
  /** Days to plan on of each container; null: not known yet. */
  const planOn = computed((): ReadonlyMap<Id, number> | null =>
    own.answered.value && own.value.value ? planOnOfEach(own.value.value, stops.value) : null,
  )

  /** Keeps it current as long as the component that calls it is there. */
  function follow(): void {
    places.follow()
    own.follow()
  }
  return { planOn, stops, answers, pressing, isCurrent: own.isCurrent, hasFailed: own.hasFailed, follow }
})

/** What is too late comes before all else. */
function lastOf({ state, offers }: DecideBy): string {
  return state === 'too-late' ? '' : (offers[0]?.leaveBy ?? '')
}
