<script setup lang="ts">
import { computed, ref } from 'vue'
import { addWallDays, dayAndPartOf } from '@/core/calendar'
import { useClockStore } from '@/data/clockStore'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { dayAndTime } from '@/parts/log/entryWords'
import * as t from '@/texts/t'
import { whenNeeded } from '@/ui/whenNeeded'

/** Where the stay stands in time, when the panel was read, and in the demo the clock that can be moved. */
const StartDialog = whenNeeded(
  () => import('./StartDialog.vue'),
  () => undefined,
)
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const clock = useClockStore()
const log = useLogStore()
const HOUR = 1 / 24

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
  if (underWay.phase === 'planned') return t.phase.planned(dayAndTime(stay.start))
  if (underWay.phase === 'over') return t.phase.over(dayAndTime(underWay.at ?? stay.leaveAt))
  const day = dayAndPartOf(stay.start, clock.now).day + 1
  return t.phase.underWay(day, lastRead.value)
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
const step =
  'grid min-h-11 min-w-11 place-items-center border-2 border-line text-[0.85rem] font-semibold whitespace-nowrap'
</script>

<template>
  <div
    class="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-1 text-[0.95rem]"
    data-testid="phase"
  >
    <p class="flex flex-wrap items-center gap-x-4">
      <span class="py-1">{{ words }}</span>
      <button v-if="canStart" type="button" :class="link" @click="show">{{ t.phase.start }}</button>
    </p>
    <div v-if="clock.isDemo" class="flex flex-wrap items-center gap-1" data-testid="demo-clock">
      <span class="mr-1 leading-tight text-soft"
        ><span class="max-sm:block max-sm:text-[0.8rem]">{{ t.phase.clock }}</span>
        <span class="figure font-bold whitespace-nowrap text-ink">{{ dayAndTime(clock.now) }}</span></span
      >
      <button type="button" :class="step" :aria-label="t.phase.dayBack" @click="clock.move(-1)">−1 d</button>
      <button type="button" :class="step" :aria-label="t.phase.earlier" @click="clock.move(-HOUR)">
        −1 h
      </button>
      <button type="button" :class="step" :aria-label="t.phase.later" @click="clock.move(HOUR)">+1 h</button>
      <button type="button" :class="step" :aria-label="t.phase.dayOn" @click="clock.move(1)">+1 d</button>
      <button v-if="clock.isMoved" type="button" :class="link" @click="clock.backToStart()">
        {{ t.phase.reset }}
      </button>
    </div>
    <StartDialog v-if="wasShown" :open="isShown" @close="isShown = false" />
  </div>
</template>
