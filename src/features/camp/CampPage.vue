<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import CampGaugesRoom from './CampGaugesRoom.vue'
import CampHabitsRoom from './CampHabitsRoom.vue'
import LineRoom from './LineRoom.vue'
import CampPhase from './CampPhase.vue'
import CampTodayRoom from './CampTodayRoom.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useNoticeStore } from '@/data/noticeStore'
import TheCount from '@/parts/count/TheCount.vue'
import { useComing } from '@/parts/count/useComing'
import { useCountWords } from '@/parts/count/useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import { useAskCount } from '@/parts/count/useAskCount'
import DecideRoom from '@/parts/decide/DecideRoom.vue'
import SinceRoom from '@/parts/today/SinceRoom.vue'
import WhenNear from '@/parts/WhenNear.vue'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { whenNeeded } from '@/ui/whenNeeded'

const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
/** Fetched when it is needed: the count does not wait for a picture. */
const CampEmpty = whenNeeded(() => import('./CampEmpty.vue'), notLoaded)
const CampNights = whenNeeded(() => nextFrame().then(() => import('./CampNights.vue')), notLoaded, LineRoom)
const CampMore = whenNeeded(() => nextFrame().then(() => import('./CampMore.vue')), notLoaded)
const CampGauges = whenNeeded(() => import('./CampGauges.vue'), notLoaded, CampGaugesRoom)
/** What habits buy comes after the count stands, in the room that is kept for it. */
const CampHabits = whenNeeded(() => import('./CampHabits.vue'), notLoaded, CampHabitsRoom)
/** One tap logs a use, at the thumb. */
const LogKeys = whenNeeded(() => import('@/parts/log/LogKeys.vue'), notLoaded)
/** What is left today and what helps most: worked out once the count stands. */
const CampToday = whenNeeded(() => import('./CampToday.vue'), notLoaded, CampTodayRoom)
const SinceLine = whenNeeded(
  () => nextFrame().then(() => import('@/parts/today/SinceLine.vue')),
  () => undefined,
  SinceRoom,
)
const RunsHeadline = whenNeeded(
  () => nextFrame().then(() => import('@/parts/runs/RunsHeadline.vue')),
  () => undefined,
)
const DecideLine = whenNeeded(
  () => nextFrame().then(() => import('@/parts/decide/DecideLine.vue')),
  () => undefined,
  DecideRoom,
)
/** Before the stay too: a run that does it comes before a list of habits that do not. */
const NextBest = whenNeeded(() => nextFrame().then(() => import('@/parts/today/NextBest.vue')), notLoaded)
const CampPrepare = whenNeeded(() => nextFrame().then(() => import('./CampPrepare.vue')), notLoaded)
/** A card that was left in the middle. */
const WalkLine = whenNeeded(() => nextFrame().then(() => import('@/parts/walk/WalkLine.vue')), notLoaded)
const CampOver = whenNeeded(() => nextFrame().then(() => import('./CampOver.vue')), notLoaded)
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const isWide = useMediaQuery('(min-width: 64rem)')
const isUnderWay = computed(() => underWay.phase === 'under-way')
const askCount = useAskCount()
const words = useCountWords()
const isComing = useComing()
/** What is wrong with the runs that are set; nothing where none is. */
const hasRuns = computed(() => (forecast.stay?.runs.length ?? 0) > 0)
const risk = useRiskWords()
</script>

<template>
  <CampEmpty v-if="!forecast.stay" />
  <div v-else>
    <h1 class="sr-only">{{ t.camp.title }}</h1>
    <CampPhase class="border-b border-line pt-1" />
    <WalkLine />
    <CampOver v-if="underWay.phase === 'over'" class="border-b border-line py-4" />
    <div class="border-b border-line pt-4 pb-4">
      <TheCount v-if="words" :words="words" :risk="risk" :is-coming="isComing"
        ><button
          type="button"
          class="-my-2 min-h-11 px-1 text-lg font-semibold whitespace-nowrap text-soft underline decoration-line decoration-2 underline-offset-4"
          @click="askCount"
        >
          {{ t.count.why }}
        </button>
        <template #below>
          <RunsHeadline v-if="hasRuns && underWay.phase !== 'over'" class="mt-2" />
          <SinceLine v-if="isUnderWay" class="mt-1" />
          <!-- On a phone under way the levels come first. -->
          <DecideLine v-if="underWay.phase !== 'over'" class="mt-1" />
          <CampNights v-if="!isUnderWay || isWide" class="mt-1" />
        </template>
      </TheCount>
    </div>
    <div class="grid gap-x-12 lg:grid-cols-[minmax(0,7fr)_minmax(0,6fr)] lg:grid-rows-[auto_1fr]">
      <!-- While a stay is planned, what changes the answer comes right after it on a phone; under way the levels do. -->
      <div
        class="flex flex-col lg:col-start-2 lg:row-span-2 lg:row-start-1"
        :class="isUnderWay ? 'max-lg:order-2' : ''"
      >
        <WhenNear v-if="isUnderWay" class="pt-6">
          <CampToday />
          <template #room><CampTodayRoom /></template>
        </WhenNear>
        <LogKeys v-if="isUnderWay && isWide" class="pt-6" />
        <WhenNear v-if="underWay.phase === 'planned'" class="min-h-[11rem] pt-6">
          <NextBest />
        </WhenNear>
        <WhenNear class="pt-6">
          <CampHabits />
          <template #room><CampHabitsRoom /></template>
        </WhenNear>
        <CampPrepare v-if="underWay.phase === 'planned'" class="pt-6" />
      </div>
      <WhenNear class="pt-6 lg:col-start-1 lg:row-start-1" :class="isUnderWay ? 'max-lg:order-1' : ''">
        <CampGauges />
        <template #room><CampGaugesRoom /></template>
      </WhenNear>
      <div class="pt-4 max-lg:order-3 lg:col-start-1 lg:row-start-2">
        <CampNights v-if="isUnderWay && !isWide" />
        <CampMore />
      </div>
    </div>
    <LogKeys
      v-if="isUnderWay && !isWide"
      class="sticky bottom-[calc(3.85rem+env(safe-area-inset-bottom))] z-30 -mx-4 bg-paper sm:-mx-8"
    />
  </div>
</template>
