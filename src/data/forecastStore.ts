import { defineStore } from 'pinia'
import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { dayAndPartOf, PARTS_PER_DAY } from '@/core/calendar'
import { count } from '@/core/count'
import { compile, type Document } from '@/core/model'
import { daysBoughtByTurns, type DaysBought } from '@/core/habits'
import { useWorkspaceStore } from './workspaceStore'

/** How long counting habits keeps the screen waiting at a time. */
const HABITS_SLICE_MS = 4

/** The count of the current stay; moves with every edit. */
export const useForecastStore = defineStore('forecast', () => {
  const workspace = useWorkspaceStore()
  const stay = computed(() => {
    const { stays, currentStay } = workspace.document
    return stays.find(({ id }) => id === currentStay) ?? null
  })
  const rig = computed(() => workspace.document.rigs.find(({ id }) => id === stay.value?.rig) ?? null)
  const crew = computed(() => workspace.document.crews.find(({ id }) => id === stay.value?.crew) ?? null)
  const counted = computed(() =>
    stay.value ? timed(() => countStay(workspace.document, stay.value!.id)) : null,
  )
  const model = computed(() => counted.value?.model ?? null)
  const result = computed(() => counted.value?.result ?? null)
  /** Follows a moment behind the count: a dozen counts more at every pixel of a drag would cost frames. */
  const lately = shallowRef<DaysBought[]>([])
  let asked = 0
  async function countHabits(sliceMs: number): Promise<void> {
    const own = (asked += 1)
    const found: DaysBought[] = []
    let since = performance.now()
    for (const row of stay.value ? daysBoughtByTurns(workspace.document, stay.value.id) : []) {
      found.push(row)
      if (performance.now() - since < sliceMs) continue
      await new Promise((resolve) => setTimeout(resolve))
      if (own !== asked) return
      since = performance.now()
    }
    lately.value = found
  }
  watch(() => stay.value?.id, () => void countHabits(Infinity), { immediate: true }) // prettier-ignore
  watchDebounced(() => workspace.document, () => void countHabits(HABITS_SLICE_MS), { debounce: 60, maxWait: 300 }) // prettier-ignore
  /** What is switched on is of the document as it stands, and so is which habits there are. */
  const bought = computed(() => {
    const on = new Set(stay.value?.habits.map(({ habit }) => habit))
    const known = new Set(workspace.document.habits.map(({ id }) => id))
    return lately.value
      .filter(({ habit }) => known.has(habit))
      .map((row) => ({ ...row, on: on.has(row.habit) }))
  })
  /** Parts of the grid up to the end of the stay, the one in which it ends included. */
  const stayParts = computed(() => {
    if (!stay.value || !model.value) return 0
    const { day, part } = dayAndPartOf(stay.value.start, stay.value.leaveAt)
    const { grid } = model.value
    return Math.min(grid.count, day * PARTS_PER_DAY + part - grid.part[0]! + 1)
  })
  return { stay, rig, crew, model, result, bought, stayParts }
})

function countStay(document: Document, stay: string) {
  const model = compile(document, stay)
  return { model, result: count(model) }
}

/** What `npm run bench` watches in the browser; the entry is dropped at once. */
export const COUNT_MEASURE = 'dry-count:count'

function timed<T>(work: () => T): T {
  const start = performance.now()
  const result = work()
  performance.measure(COUNT_MEASURE, { start })
  performance.clearMeasures(COUNT_MEASURE)
  return result
}
