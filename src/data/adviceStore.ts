import { report } from './report'
import { defineStore } from 'pinia'
import { onBeforeUnmount, onMounted, reactive, ref, shallowRef, watch } from 'vue'
import type { HabitCompany, HabitWorth, Swing } from '@/core/advice'
import {
  blockedBy,
  canApply,
  hasFlushFloor,
  isOnFrom,
  switchHabit,
  todayOf,
  touchesFlush,
} from '@/core/habits'
import type { Habit, Id, StayCase } from '@/core/domain'
import type { FlushRange } from '@/core/risk'
import type { Subject } from '@/workers'
import { useAtRest } from './atRest'
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { SEED } from './riskStore'
import { useUnderWayStore } from './underWayStore'

/** Trips on which habits are compared: the same for all, so that fewer will do. */
const TRIALS = 1000
const TRIPS = { seed: SEED, trials: TRIALS }
/** Habits asked for at a time. */
const PIECE = 3
const WAIT_MS = 180

/** What is computed beside the count and only while somebody looks at it. */
export type Advice = 'worth' | 'flush' | 'sensitivity'

/** A way of flushing and what it leaves on the solids; `habit` null: as it stands. */
export interface FlushRow {
  habit: Id | null
  range: FlushRange
}

export const useAdviceStore = defineStore('advice', () => {
  const forecast = useForecastStore()
  const jobs = useJobStore()
  const underWay = useUnderWayStore()
  const worth = shallowRef<ReadonlyMap<Id, HabitWorth>>(new Map())
  /** Whether what is shown is of the stay as it stands. */
  const isWorthCurrent = ref(false)
  const company = shallowRef<ReadonlyMap<Id, HabitCompany>>(new Map())
  const flush = shallowRef<FlushRow[]>([])
  const swings = shallowRef<Swing[] | null>(null)
  /** It cannot be counted; asked again at the next edit. */
  const hasFailed = ref(false)
  const watched = reactive(new Map<Advice, number>())
  let revision = 0
  /** Which kinds are known of the case as it stands: another screen that looks asks nothing anew. */
  let known: { of: StayCase | null; what: Set<Advice> } = { of: null, what: new Set() }

  /** What was known of another stay, or will not be brought up to date, is no answer. */
  function forget(): void {
    worth.value = new Map()
    flush.value = []
    swings.value = null
  }

  async function ask(): Promise<void> {
    const { stayCase, model } = forecast
    const own = (revision += 1)
    if (known.of !== stayCase) {
      known = { of: stayCase, what: new Set() }
      isWorthCurrent.value = false
      company.value = new Map()
    }
    hasFailed.value = false
    if (!stayCase || !model || watched.size === 0 || !underWay.isReady) return
    const subject = jobs.subjectOf(stayCase)
    try {
      for (const [advice, askFor] of Object.entries(ASKED) as [Advice, typeof askWorth][]) {
        if (!watched.has(advice) || known.what.has(advice)) continue
        await askFor(subject, own)
        if (own !== revision) return
        known.what.add(advice)
      }
    } catch (error) {
      if (own === revision) failed()
      report('advice', error)
    }
  }

  async function askSwings(subject: Subject, own: number): Promise<void> {
    const found = await jobs.run('advice', 'sensitivity', subject, null)
    if (own === revision) swings.value = found
  }
  const ASKED = { worth: askWorth, flush: askFlush, sensitivity: askSwings }

  function failed(): void {
    known = { of: null, what: new Set() }
    forget()
    hasFailed.value = true
  }

  async function askWorth(subject: Subject, own: number): Promise<void> {
    const { stay, rig, crew, habits: all } = subject.stayCase
    const isOn = ({ id }: Habit) => isOnFrom(stay.habits, id, todayOf(subject.stayCase))
    const ids = all.filter((habit) => isOn(habit) || canApply(habit, rig, crew)).map(({ id }) => id)
    const found = new Map<Id, HabitWorth>()
    for (let k = 0; k < ids.length; k += PIECE) {
      const habits = ids.slice(k, k + PIECE)
      const piece = await jobs.run('advice', 'worth', subject, { ...TRIPS, habits })
      if (own !== revision) return
      for (const row of piece) found.set(row.habit, row)
    }
    worth.value = found
    isWorthCurrent.value = true
  }

  async function askFlush(subject: Subject, own: number): Promise<void> {
    const { stayCase } = subject
    const { crew, habits, rig, stay } = stayCase
    const { model } = forecast
    if (!model || !hasFlushFloor(model)) {
      flush.value = []
      return
    }
    const savers = habits.filter(
      (habit) => touchesFlush(habit, crew) && !isOnFrom(stay.habits, habit.id, todayOf(stayCase)),
    )
    const free = savers.filter((habit) => blockedBy(habit, rig, stay) === null)
    const cases = [stayCase, ...free.map(({ id }) => switchHabit(stayCase, id, true))]
    const args = { ...TRIPS, cases, parts: forecast.stayParts, floor: crew.flushFloor.value }
    const ranges = await jobs.run('advice', 'flush', subject, args)
    if (own !== revision) return
    flush.value = ranges.flatMap((range, k) =>
      range ? [{ habit: k === 0 ? null : free[k - 1]!.id, range }] : [],
    )
  }

  /** What one habit buys in other company; asked for when somebody opens it. */
  async function askCompany(habit: Id): Promise<void> {
    const { stayCase } = forecast
    if (!stayCase || company.value.has(habit)) return
    const own = revision
    try {
      const subject = jobs.subjectOf(stayCase)
      const found = await jobs.run('advice', 'company', subject, { ...TRIPS, habit })
      if (own === revision) company.value = new Map(company.value).set(habit, found)
    } catch (error) {
      if (own === revision) failed()
      report('advice', error)
    }
  }

  /** The screen is drawn first; and while something is dragged nobody reads what habits would buy. */
  const askSoon = useAtRest(ask, WAIT_MS)
  watch(() => forecast.stay?.id, forget)
  watch([() => forecast.stayCase, () => forecast.model, () => underWay.isReady], () => askSoon())

  /** Keeps a piece of advice current as long as the component that calls it is there. */
  function follow(advice: Advice): void {
    onMounted(() => {
      watched.set(advice, (watched.get(advice) ?? 0) + 1)
      askSoon()
    })
    onBeforeUnmount(() => {
      const left = (watched.get(advice) ?? 1) - 1
      if (left > 0) watched.set(advice, left)
      else watched.delete(advice)
    })
  }

  return { worth, isWorthCurrent, company, flush, swings, hasFailed, follow, askCompany }
})
