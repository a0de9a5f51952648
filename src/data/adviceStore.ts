import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { onBeforeUnmount, onMounted, reactive, ref, shallowRef } from 'vue'
import type { HabitCompany, HabitWorth, Swing } from '@/core/advice'
import { switchHabit, touchesFlush } from '@/core/habits'
import type { Document, Id } from '@/core/model'
import type { FlushRange } from '@/core/risk'
import { spawnAdvice, type AdviceRequest, type AdviceWorker } from '@/workers'
import { useForecastStore } from './forecastStore'
import { SEED } from './riskStore'
import { useWorkspaceStore } from './workspaceStore'

/** Trips on which habits are compared: the same for all, so that fewer will do. */
const TRIALS = 1000
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
  const workspace = useWorkspaceStore()
  const forecast = useForecastStore()
  const worth = shallowRef<ReadonlyMap<Id, HabitWorth>>(new Map())
  /** Whether what is shown is of the stay as it stands. */
  const isWorthCurrent = ref(false)
  const company = shallowRef<ReadonlyMap<Id, HabitCompany>>(new Map())
  const flush = shallowRef<FlushRow[]>([])
  const swings = shallowRef<Swing[] | null>(null)
  /** There are no workers here, or one broke down; asked again at the next edit. */
  const hasFailed = ref(false)
  const watched = reactive(new Map<Advice, number>())
  let worker: AdviceWorker | null = null
  let revision = 0

  async function ask(): Promise<void> {
    const { stay } = forecast
    const own = (revision += 1)
    isWorthCurrent.value = false
    company.value = new Map()
    hasFailed.value = false
    if (!stay || watched.size === 0) return
    const request = { revision: own, document: workspace.document, stay: stay.id, seed: SEED, trials: TRIALS }
    try {
      worker ??= spawnAdvice()
      if (watched.has('worth')) await askWorth(worker, request)
      if (watched.has('flush') && own === revision) await askFlush(worker, request)
      if (!watched.has('sensitivity') || own !== revision) return
      const found = await worker.sensitivity(request)
      if (own === revision) swings.value = found
    } catch {
      hasFailed.value = true
    }
  }

  async function askWorth(on: AdviceWorker, request: AdviceRequest): Promise<void> {
    const ids = request.document.habits.map(({ id }) => id)
    const found = new Map<Id, HabitWorth>()
    for (let k = 0; k < ids.length; k += PIECE) {
      const piece = await on.worth(request, ids.slice(k, k + PIECE))
      if (request.revision !== revision) return
      for (const row of piece) found.set(row.habit, row)
    }
    worth.value = found
    isWorthCurrent.value = true
  }

  async function askFlush(on: AdviceWorker, request: AdviceRequest): Promise<void> {
    const { crew, model, stay } = forecast
    if (!crew || !model || !stay) return
    const savers = request.document.habits.filter((habit) => touchesFlush(habit, crew) && !stay.habits.some((on) => on.habit === habit.id))
    const free = savers.filter(({ id }) => forecast.bought.find(({ habit }) => habit === id)?.blockedBy === null)
    const documents: Document[] = [request.document, ...free.map(({ id }) => switchHabit(request.document, stay.id, id, true))]
    const ranges = await on.flush(request, documents, forecast.stayParts, crew.flushFloor.value)
    if (request.revision !== revision) return
    flush.value = ranges.flatMap((range, k) => (range ? [{ habit: k === 0 ? null : free[k - 1]!.id, range }] : []))
  } // prettier-ignore

  /** What one habit buys in other company; asked for when somebody opens it. */
  async function askCompany(habit: Id): Promise<void> {
    const { stay } = forecast
    if (!stay || company.value.has(habit)) return
    const own = revision
    try {
      worker ??= spawnAdvice()
      const found = await worker.company({ revision: own, document: workspace.document, stay: stay.id, seed: SEED, trials: TRIALS }, habit)
      if (own === revision) company.value = new Map(company.value).set(habit, found)
    } catch {
      hasFailed.value = true
    }
  } // prettier-ignore

  watchDebounced([() => workspace.document, () => forecast.stay?.id], () => void ask(), {
    debounce: WAIT_MS,
    maxWait: 4 * WAIT_MS,
  })

  /** Keeps a piece of advice current as long as the component that calls it is there. */
  function follow(advice: Advice): void {
    onMounted(() => {
      watched.set(advice, (watched.get(advice) ?? 0) + 1)
      void ask()
    })
    onBeforeUnmount(() => {
      const left = (watched.get(advice) ?? 1) - 1
      if (left > 0) watched.set(advice, left)
      else watched.delete(advice)
    })
  }

  return { worth, isWorthCurrent, company, flush, swings, hasFailed, follow, askCompany }
})
