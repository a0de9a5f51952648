import { report } from './report'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
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
import { useForecastStore } from './forecastStore'
import { useJobStore } from './jobStore'
import { SEED } from './riskStore'
import { useUnderWayStore } from './underWayStore'
import { useAnswer } from './useAnswer'

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
  /** The screen is drawn first; and while something is dragged nobody reads what habits would buy. */
  const usual = {
    where: 'advice',
    waitMs: WAIT_MS,
    question: () => (forecast.model && underWay.isReady ? forecast.stayCase : null),
    of: () => forecast.stay?.id,
  }
  const worth = useAnswer({
    ...usual,
    async ask(stayCase: StayCase, isNewest): Promise<ReadonlyMap<Id, HabitWorth>> {
      const { stay, rig, crew, habits: all } = stayCase
      const isOn = ({ id }: Habit) => isOnFrom(stay.habits, id, todayOf(stayCase))
      const ids = all.filter((habit) => isOn(habit) || canApply(habit, rig, crew)).map(({ id }) => id)
      const found = new Map<Id, HabitWorth>()
      for (let k = 0; k < ids.length && isNewest(); k += PIECE) {
        const habits = ids.slice(k, k + PIECE)
        const piece = await jobs.run('advice', 'worth', jobs.subjectOf(stayCase), { ...TRIPS, habits })
        for (const row of piece) found.set(row.habit, row)
      }
      return found
    },
  })
  const flush = useAnswer({ ...usual, ask: askFlush })
  const sensitivity = useAnswer({
    ...usual,
    ask: (stayCase: StayCase): Promise<Swing[]> =>
      jobs.run('advice', 'sensitivity', jobs.subjectOf(stayCase), null),
  })
  const kinds = { worth, flush, sensitivity }

  async function askFlush(stayCase: StayCase): Promise<FlushRow[]> {
    const { crew, habits, rig, stay } = stayCase
    const { model } = forecast
    if (!model || !hasFlushFloor(model)) return []
    const savers = habits.filter(
      (habit) => touchesFlush(habit, crew) && !isOnFrom(stay.habits, habit.id, todayOf(stayCase)),
    )
    const free = savers.filter((habit) => blockedBy(habit, rig, stay) === null)
    const cases = [stayCase, ...free.map(({ id }) => switchHabit(stayCase, id, true))]
    const args = { ...TRIPS, cases, parts: forecast.stayParts, floor: crew.flushFloor.value }
    const ranges = await jobs.run('advice', 'flush', jobs.subjectOf(stayCase), args)
    return ranges.flatMap((range, k) => (range ? [{ habit: free[k - 1]?.id ?? null, range }] : []))
  }

  /** What each habit buys in other company, as far as somebody asked. */
  const company = shallowRef<ReadonlyMap<Id, HabitCompany>>(new Map())
  const isCompanyLost = ref(false)
  watch(
    () => forecast.stayCase,
    () => {
      company.value = new Map()
      isCompanyLost.value = false
    },
    { flush: 'sync' },
  )
  /** What one habit buys in other company; asked for when somebody opens it. */
  async function askCompany(habit: Id): Promise<void> {
    const { stayCase } = forecast
    if (!stayCase || company.value.has(habit)) return
    const isOfIt = () => forecast.stayCase === stayCase
    try {
      const subject = jobs.subjectOf(stayCase)
      const found = await jobs.run('advice', 'company', subject, { ...TRIPS, habit })
      if (isOfIt()) company.value = new Map(company.value).set(habit, found)
    } catch (error) {
      report('advice', error)
      isCompanyLost.value ||= isOfIt()
    }
  }

  return {
    worth: computed((): ReadonlyMap<Id, HabitWorth> => worth.value.value ?? new Map()),
    /** Whether what is shown is of the stay as it stands. */
    isWorthCurrent: worth.isCurrent,
    company,
    flush: computed(() => flush.value.value ?? []),
    swings: sensitivity.value,
    /** It cannot be counted; asked again at the next edit. */
    hasFailed: computed(
      () => isCompanyLost.value || Object.values(kinds).some(({ hasFailed }) => hasFailed.value),
    ),
    /** Keeps a piece of advice current as long as the component that calls it is there. */
    follow: (advice: Advice): void => kinds[advice].follow(),
    askCompany,
  }
})
