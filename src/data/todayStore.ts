import { report } from './report'
import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import type { NextStep } from '@/core/advice'
import type { Budget, SwapOffer } from '@/core/budget'
import type { LogEntry } from '@/core/log'
import type { Id } from '@/core/domain'
import type { SinceYesterday } from '@/core/underway'
import { useAtRest } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { useLogStore } from './logStore'
import { usePlacesStore } from './placesStore'
import { SEED } from './seed'
import { useUnderWayStore } from './underWayStore'

/** Trips of the first answer, and of the one that confirms it. */
const FIRST = 2_000
const CONFIRMED = 10_000
/** Trips on which single changes, and yesterday, are compared: the same for all, so that fewer will do. */
const COMPARED = 1_000
/** A moment for the screen first, ms; and how long nothing must change before what takes longer begins. */
const SOON_MS = 30
const QUIET_MS = 350
const LATER_MS = 900

/** What `npm run bench` watches in the browser; dropped at once. */
export const BUDGET_MARK = 'dry-count:budget'

/** What is asked of today: what may be used, what helps most, and what moved since yesterday; only while somebody looks. */
export const useTodayStore = defineStore('today', () => {
  const forecast = useForecastStore()
  const underWay = useUnderWayStore()
  const log = useLogStore()
  const jobs = useJobStore()
  const places = usePlacesStore()
  const budget = shallowRef<Budget | null>(null)
  /** Whether it is of the stay as it stands. */
  const isCurrent = ref(false)
  const next = shallowRef<NextStep[] | null>(null)
  const isNextCurrent = ref(false)
  const since = shallowRef<SinceYesterday | null>(null)
  const hasFailed = ref(false)
  const watchers = ref(0)
  /** Of those, who wants to know what may be used. */
  const budgetWatchers = ref(0)
  /** Of what it is asked about, and the newest that was answered. */
  let revision = 0
  let answered = 0
  let isAsking = false
  let isBehind = false
  /** Of which revision the rest is known, or is being worked out. */
  let restOf = -1

  const uses = computed((): LogEntry[] =>
    underWay.phase === 'under-way' ? log.entries.filter(({ kind }) => kind === 'use') : [],
  )
  const mayAsk = () => watchers.value > 0 && forecast.stayCase !== null && underWay.isReady

  function forget(): void {
    budget.value = next.value = since.value = null
  }

  /** One at a time: of what is asked meanwhile only the newest is worked out. */
  async function askBudget(): Promise<void> {
    if (!mayAsk() || budgetWatchers.value === 0) return
    if (isAsking) {
      isBehind = true
      return
    }
    isAsking = true
    isBehind = false
    const own = revision
    try {
      await askFor('risk-0', FIRST, own)
      void confirmSoon(own)
    } catch (error) {
      if (own === revision) fail()
      report('the budget', error)
    } finally {
      isAsking = false
      if (isBehind) void askBudget()
    }
  }
  function fail(): void {
    hasFailed.value = true
    forget()
  }

  /** An answer to what was asked a moment ago is shown until the newest comes. */
  async function askFor(lane: 'risk-0' | 'advice', trials: number, own: number): Promise<void> {
    const subject = jobs.subjectOf(forecast.stayCase!)
    const args = { seed: SEED, trials, log: uses.value, guess: budget.value?.factor ?? 1 }
    const found = await jobs.run(lane, 'budget', subject, args)
    const isOfIt = subject.stayCase.stay.id === forecast.stay?.id
    if (own < answered || !isOfIt || (trials !== FIRST && own !== revision)) return
    answered = own
    budget.value = found
    performance.mark(BUDGET_MARK)
    performance.clearMarks(BUDGET_MARK)
    isCurrent.value = own === revision
    hasFailed.value = false
  }
  /** Beside the lane of the first answers, so that the next use need not wait for it. */
  const confirmSoon = useDebounceFn(async (own: number) => {
    if (own !== revision || !mayAsk() || !budget.value || budget.value.trials === 0) return
    await askFor('advice', CONFIRMED, own).catch(() => undefined)
  }, QUIET_MS)

  /** What helps most, and yesterday: they take longer, and nobody looks at them while something is dragged. */
  async function askRest(): Promise<void> {
    const own = revision
    if (!mayAsk() || !places.isRead || restOf === own) return
    restOf = own
    const { stay } = forecast.stayCase!
    const trips = { seed: SEED, trials: COMPARED }
    try {
      // An errand is offered at a time its place is open.
      const subject = jobs.subjectOf(places.stayCase ?? forecast.stayCase!)
      const found = await jobs.run('advice', 'next', subject, { ...trips, declined: stay.budget.declined })
      if (own !== revision) return
      next.value = found
      isNextCurrent.value = true
      const { planCase, at } = underWay
      if (underWay.phase !== 'under-way' || !planCase || at === null) return
      const request = { ...trips, log: log.entries, at, earlier: earlier() }
      const moved = await jobs.run('advice', 'since', jobs.subjectOf(planCase), request)
      if (own === revision) since.value = moved
    } catch (error) {
      // Asked again at the next change, or when somebody looks again.
      report('since yesterday', error)
      restOf = -1
    }
  }
  /** Stays before this one that taught something of it. */
  function earlier() {
    return forecast.stayCase ? underWay.earlierOf(forecast.stayCase) : []
  }

  /** What a swap would buy; null where it cannot be said. */
  async function swap(less: Id, more: Id): Promise<SwapOffer | null> {
    if (!mayAsk() || !budget.value) return null
    const subject = jobs.subjectOf(forecast.stayCase!)
    const args = { seed: SEED, trials: FIRST, log: uses.value, budget: budget.value, less, more }
    return jobs.run('risk-0', 'swap', subject, args).catch(() => null)
  }

  const soon = useDebounceFn(askBudget, SOON_MS)
  const rest = useAtRest(askRest, LATER_MS)
  watch(() => forecast.stay?.id, forget)
  watch([() => forecast.stayCase, uses, () => underWay.isReady], () => {
    revision += 1
    isCurrent.value = isNextCurrent.value = false
    void soon()
    rest()
  })

  // When places are open makes a difference to what is offered, and to nothing else.
  watch(
    () => [places.hours, places.isRead],
    () => {
      isNextCurrent.value = false
      restOf = -1
      rest()
    },
  )

  /** Keeps it current as long as the component that calls it is there. @param what all of it, or what helps most alone */
  function follow(what: 'all' | 'next' = 'all'): void {
    const isAll = what === 'all'
    places.follow()
    onMounted(() => {
      watchers.value += 1
      if (isAll) budgetWatchers.value += 1
      // The screen that asked may be gone by now.
      if (budget.value === null || !isCurrent.value) void soon()
      else if (budget.value.trials === FIRST) void confirmSoon(revision)
      rest()
    })
    onBeforeUnmount(() => {
      watchers.value -= 1
      if (isAll) budgetWatchers.value -= 1
    })
  }

  return { budget, isCurrent, next, isNextCurrent, since, hasFailed, follow, swap }
})
