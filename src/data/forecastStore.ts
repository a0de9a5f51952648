import { report } from './report'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { dayAndPartOf, PARTS_PER_DAY } from '@/core/calendar'
import { countSteps, type Count } from '@/core/count'
import { isOnFrom, todayOf } from '@/core/habits'
import type { Model } from '@/core/compile'
import type { StayCase } from '@/core/domain'
import type { Steps } from '@/core/slices'
import { inSlices, workFor } from '@/workers/inSlices'
import { useUnderWayStore } from './underWayStore'
import { useWorkspaceStore } from './workspaceStore'

/** The count of the current stay; moves with every edit. */
export const useForecastStore = defineStore('forecast', () => {
  const workspace = useWorkspaceStore()
  const underWay = useUnderWayStore()
  /** From its start, or while it is under way from now on. */
  const stayCase = computed(() => underWay.stayCase)
  const stay = computed(() => stayCase.value?.stay ?? null)
  const rig = computed(() => stayCase.value?.rig ?? null)
  /** As the document has it; the case that is counted has what was learned. */
  const crew = computed(() => underWay.planCase?.crew ?? null)
  /** The day the count begins on. */
  const today = computed(() => (stayCase.value ? todayOf(stayCase.value) : 0))
  /** Habits that are on from today on. */
  const habitsOn = computed(() => {
    const habits = stay.value?.habits ?? []
    return habits.filter(({ habit }) => isOnFrom(habits, habit, today.value))
  })
  /** Counted at once where that takes no time, as it does for nearly everybody; the rest of it in slices. */
  const begun = computed(() => {
    if (!stayCase.value || workspace.state === 'fault') return null
    try {
      const task = begin(stayCase.value)
      if (!task.counted || isSound(task.counted)) return task
      throw new RangeError('a count of what is no number')
    } catch (error) {
      // Rows are counted before they are checked: what cannot be counted is damaged.
      report('counting', error)
      queueMicrotask(workspace.isDamaged)
      return null
    }
  })
  const finished = shallowRef<{ of: object; value: Counted } | null>(null)
  /** How far the count of a stay too large for one frame has come, 0 to 1. */
  const share = ref(0)
  watch(begun, (now) => void (now && !now.counted && finish(now)), { immediate: true })
  async function finish(task: Begun): Promise<void> {
    const done = await inSlices(
      task.steps,
      () => begun.value === task,
      (counted) => (share.value = counted),
    )
    if (done) finished.value = { of: task, value: done.value }
  }
  const counted = computed(
    () =>
      begun.value?.counted ?? (finished.value?.of === begun.value ? (finished.value?.value ?? null) : null),
  )
  /** Nothing to show yet: a very large stay is being counted. */
  const isCounting = computed(() => begun.value !== null && counted.value === null)
  const model = computed(() => counted.value?.model ?? null)
  const result = computed(() => counted.value?.result ?? null)
  /** The dry count: without the runs that are set; the very same where there is none. */
  const dry = computed(() => counted.value?.dry ?? null)
  /** Whether runs that count are set. */
  const hasRuns = computed(() => model.value?.runs.some(({ isPlanned }) => isPlanned) ?? false)
  /** Parts of the grid up to the end of the stay, the one in which it ends included. */
  const stayParts = computed(() => {
    if (!stay.value || !model.value) return 0
    const { day, part } = dayAndPartOf(stay.value.start, stay.value.leaveAt)
    const { grid } = model.value
    return Math.min(grid.count, (day - grid.day[0]!) * PARTS_PER_DAY + part - grid.part[0]! + 1)
  })
  return {
    stayCase,
    stay,
    rig,
    crew,
    model,
    result,
    dry,
    today,
    habitsOn,
    hasRuns,
    isCounting,
    share,
    stayParts,
  }
})

interface Counted {
  model: Model
  result: Count
  dry: Count
}

/** Levels that are no numbers come of rows that are none. */
function isSound({ model, result }: Counted): boolean {
  return (
    !Number.isNaN(result.days) &&
    model.containers.every(({ capacity, start }) => Number.isFinite(capacity) && Number.isFinite(start)) &&
    result.ledger.levels.every((level) => Number.isFinite(level))
  )
}

interface Begun {
  steps: Steps<Counted>
  counted: Counted | null
}

/** What a count may take of the screen before it goes on in slices. */
const FIRST_SLICE_MS = 30

function begin(stayCase: StayCase): Begun {
  const steps = countSteps(stayCase)
  return { steps, counted: timed(() => workFor(steps, FIRST_SLICE_MS))?.value ?? null }
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
