import { computed, shallowRef, watch } from 'vue'
import { toldRun } from '@/core/log'
import { addRuns, doneRun, dragRun, moveRun, removeRun, replaceRun, typeRun } from '@/actions/runs'
import { logging } from '@/actions/action'
import { addWallDays, dayZero, slotAt, slotNumber, slotOfTime, type Slot } from '@/core/calendar'
import type { Id, Run, Stay } from '@/core/domain'
import { asDone, isOfPlace, nearestSlotSteps, runAnswers, stayCost, type RunAnswer } from '@/core/schedule'
import { useForecastStore } from '@/data/forecastStore'
import { useClockStore } from '@/data/clockStore'
import { usePlacesStore } from '@/data/placesStore'
import { useLogStore } from '@/data/logStore'
import { newId } from '@/data/newId'
import { useUnderWayStore } from '@/data/underWayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { formatDate, formatShortDay } from '@/texts'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { inSlices } from '@/workers/inSlices'

/** The runs of the stay with what each does, and the ways to change them; all of it follows every edit. */
export function useRuns() {
  const forecast = useForecastStore()
  const workspace = useWorkspaceStore()
  const underWay = useUnderWayStore()
  const clock = useClockStore()
  const log = useLogStore()
  const places = usePlacesStore()
  places.follow()
  const answers = computed((): RunAnswer[] => {
    const { model, result } = forecast
    const { stayCase } = places
    return stayCase && model && result ? runAnswers(stayCase, model, result) : []
  })
  /** By day, part, and as they were set. */
  const inOrder = computed(() => [...answers.value].sort((a, b) => slotNumber(a.run) - slotNumber(b.run)))
  const cost = computed(() => (forecast.stayCase ? stayCost(forecast.stayCase, answers.value) : null))
  const stayId = () => forecast.stay!.id

  return {
    answers,
    inOrder,
    cost,
    add: (runs: readonly Run[]) => {
      return workspace.act(addRuns(stayId(), runs))
    },
    move: (run: Id, { day, part }: Slot, isDrag = false) => {
      return workspace.act((isDrag ? dragRun : moveRun)(stayId(), run, day, part))
    },
    replace: (run: Run, coalesce: string | null = null) => {
      return workspace.act(coalesce === null ? replaceRun(stayId(), run) : typeRun(stayId(), run, coalesce))
    },
    remove: (run: Id) => {
      return workspace.act(removeRun(stayId(), run))
    },
    newId: () => newId('run'),
    /** Under way a run of the part that comes next, or of one before, can be said to be done. */
    isNear: (slot: Slot): boolean => {
      const { stay } = forecast
      if (!stay || underWay.phase !== 'under-way') return false
      return slotNumber(slot) <= slotNumber(slotOfTime(stay.start, clock.now)) + 1
    },
    /** Into the log with what it does to the levels of now; it is planned no longer. */
    done: (run: Run) => {
      const { stayCase, model } = forecast
      const id = stayId()
      const did = stayCase && model ? asDone(stayCase, model, run) : []
      if (did.length === 0) return { ok: false as const, faults: [] }
      const entry = log.entryOf(toldRun(clock.now, did, { note: run.name }))
      return workspace.act(logging(doneRun(id, run.id), [{ op: 'put', entry }]))
    },
  }
}

/** A day and part of the stay in words. */
export function whenOf({ start }: Pick<Stay, 'start'>, { day, part }: Slot, isShort = false) {
  const time = addWallDays(dayZero(start), day)
  return t.runs.at(isShort ? formatShortDay(time) : formatDate(time), t.parts[part])
}

/** The slot a part earlier or later. @param by parts */
export function shifted(slot: Slot, by: number): Slot {
  return slotAt(Math.max(0, slotNumber(slot) + by))
}

/** For a run that cannot be done as it is set: the nearest part in which it can, looked for once the screen stands. */
export function useNearest(answer: () => RunAnswer, isSeen: () => boolean) {
  const places = usePlacesStore()
  const nearest = shallowRef<Slot | null>(null)
  const isLooking = shallowRef(false)
  let asked = 0
  watch(
    [answer, isSeen] as const,
    async ([{ run, troubles, isPossible }, seen]) => {
      const own = (asked += 1)
      nearest.value = null
      const isLost = troubles.some(isOfPlace)
      isLooking.value = !isPossible && !isLost
      if (!isLooking.value || !seen) return
      await nextFrame()
      if (own !== asked || !places.stayCase) return
      const found = await inSlices(nearestSlotSteps(places.stayCase, run), () => own === asked)
      if (!found) return
      nearest.value = found.value
      isLooking.value = false
    },
    { immediate: true },
  )
  return { nearest, isLooking }
}
