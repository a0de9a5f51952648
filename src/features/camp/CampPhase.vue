<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { addWallDays, dayAndPartOf } from '@/core/calendar'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { dayAndTime } from '@/texts'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { heldSpace } from '@/ui/heldSpace'
import { whenNeeded } from '@/ui/whenNeeded'

/** Where the stay stands in time, when the panel was read, and in the demo the clock that can be moved. */
const StartDialog = whenNeeded(
  () => import('./StartDialog.vue'),
  () => undefined,
)
/** Its room is kept: the count does not wait for it. */
const DemoClock = whenNeeded(
  () => nextFrame().then(() => import('./DemoClock.vue')),
  () => undefined,
  heldSpace('min-h-11'),
)
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const clock = useClockStore()
const log = useLogStore()

/** On a phone the levels say when they were read. */
const isWide = useMediaQuery('(min-width: 64rem)')
const isShown = ref(false)
const wasShown = ref(false)
function show() {
  isShown.value = wasShown.value = true
}
const lastRead = computed(() => {
  const at = log.entries.findLast(({ kind }) => kind === 'reading')?.at
  return at === undefined ? t.phase.neverRead : t.phase.lastRead(dayAndTime(at))
})
const words = computed(() => {
  const { stay } = forecast
  if (!stay) return ''
  if (underWay.phase === 'planned')
    return (isWide.value ? t.phase.planned : t.phase.begins)(dayAndTime(stay.start))
  if (underWay.phase === 'over') return t.phase.over(dayAndTime(underWay.at ?? stay.leaveAt))
  const day = dayAndPartOf(stay.start, clock.now).day + 1
  if (!isWide.value && !underWay.hasFailed) return t.phase.day(day)
  return t.phase.underWay(day, underWay.hasFailed ? t.phase.failed : lastRead.value)
})
/** A stay can be started when it is about to begin. */
const SOON_DAYS = 2
const canStart = computed(
  () =>
    underWay.phase === 'planned' &&
    forecast.stay !== null &&
    addWallDays(clock.now, SOON_DAYS) >= forecast.stay.start,
)
const link =
  'min-h-11 font-semibold underline decoration-line decoration-2 underline-offset-4 whitespace-nowrap'
</script>

<template>
  <div
    class="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 py-1 text-[0.9rem] sm:gap-x-6 sm:text-[0.95rem]"
    data-testid="phase"
  >
    <p class="flex flex-wrap items-center gap-x-4">
      <span class="py-1">{{ words }}</span>
      <button v-if="canStart" type="button" :class="link" @click="show">{{ t.phase.start }}</button>
    </p>
    <DemoClock v-if="clock.isDemo" />
    <StartDialog v-if="wasShown" :open="isShown" @close="isShown = false" />
  </div>
</template>
