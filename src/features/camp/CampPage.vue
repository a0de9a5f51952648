<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import CampPhase from './CampPhase.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { useNoticeStore } from '@/data/noticeStore'
import TheCount from '@/parts/count/TheCount.vue'
import { useComing } from '@/parts/count/useComing'
import { useCountWords } from '@/parts/count/useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import { useAskCount } from '@/parts/count/useAskCount'
import { sinceSpace } from '@/parts/today/sinceSpace'
import * as t from '@/texts/t'
import { nextFrame } from '@/ui/nextFrame'
import { heldSpace } from '@/ui/heldSpace'
import { whenNeeded } from '@/ui/whenNeeded'

const LineSpace = heldSpace('min-h-11')
const BelowSpace = heldSpace('min-h-screen')
const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
/** What is below the count comes after it, in the room that is kept for it. */
const CampPhone = whenNeeded(() => import('./CampPhone.vue'), notLoaded, BelowSpace)
const CampWide = whenNeeded(() => import('./CampWide.vue'), notLoaded, BelowSpace)
/** Fetched when it is needed: the count does not wait for a picture. */
const CampEmpty = whenNeeded(() => import('./CampEmpty.vue'), notLoaded)
const CampNights = whenNeeded(() => nextFrame().then(() => import('./CampNights.vue')), notLoaded, LineSpace)
/** One tap logs a use, at the thumb. */
const LogKeys = whenNeeded(() => import('@/parts/log/LogKeys.vue'), notLoaded)
const SinceLine = whenNeeded(
  () => nextFrame().then(() => import('@/parts/today/SinceLine.vue')),
  () => undefined,
  sinceSpace,
)
const RunsHeadline = whenNeeded(
  () => nextFrame().then(() => import('@/parts/runs/RunsHeadline.vue')),
  () => undefined,
)
const DecideLine = whenNeeded(
  () => nextFrame().then(() => import('@/parts/decide/DecideLine.vue')),
  () => undefined,
  heldSpace('min-h-[7rem] sm:min-h-[3.6rem]'),
)
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
    <div class="border-b border-line pt-2 pb-2 lg:pt-4 lg:pb-4">
      <TheCount v-if="words" :words="words" :risk="risk" :is-coming="isComing" :is-short="!isWide"
        ><button
          type="button"
          class="-my-2 min-h-11 px-1 text-lg font-semibold whitespace-nowrap text-soft underline decoration-line decoration-2 underline-offset-4"
          @click="askCount"
        >
          {{ t.count.why }}
        </button>
        <template v-if="isWide" #below>
          <RunsHeadline v-if="hasRuns && underWay.phase !== 'over'" class="mt-2" />
          <SinceLine v-if="isUnderWay" class="mt-1" />
          <DecideLine v-if="underWay.phase !== 'over'" class="mt-1" />
          <CampNights class="mt-1" />
        </template>
      </TheCount>
      <RunsHeadline v-if="!isWide && hasRuns && underWay.phase !== 'over'" class="mt-2" />
    </div>
    <component :is="isWide ? CampWide : CampPhone" />
    <LogKeys
      v-if="isUnderWay && !isWide"
      class="sticky bottom-[calc(3.85rem+env(safe-area-inset-bottom))] z-30 -mx-4 bg-paper sm:-mx-8"
    />
  </div>
</template>
