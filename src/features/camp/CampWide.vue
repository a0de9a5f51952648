<script setup lang="ts">
import { computed } from 'vue'
import CampHabitsRoom from './CampHabitsRoom.vue'
import { useNoticeStore } from '@/data/noticeStore'
import { useUnderWayStore } from '@/data/underWayStore'
import WhenNear from '@/parts/WhenNear.vue'
import { nextFrame } from '@/ui/nextFrame'
import { heldSpace } from '@/ui/heldSpace'
import { whenNeeded } from '@/ui/whenNeeded'

/** Below the count on a laptop: levels and ranges on the left, today and what would change it on the right. */
const CampTodaySpace = heldSpace('min-h-[21rem]')
/** A row of gauges with all that is known of each. */
const GaugesSpace = heldSpace('min-h-[27rem]')
const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
const CampGauges = whenNeeded(() => import('./CampGauges.vue'), notLoaded, GaugesSpace)
const CampToday = whenNeeded(() => import('./CampToday.vue'), notLoaded, CampTodaySpace)
const LogKeys = whenNeeded(() => import('@/parts/log/LogKeys.vue'), notLoaded)
/** Before the stay too: a run that does it comes before a list of habits that do not. */
const NextBest = whenNeeded(() => nextFrame().then(() => import('@/parts/today/NextBest.vue')), notLoaded)
const CampHabits = whenNeeded(() => import('./CampHabits.vue'), notLoaded, CampHabitsRoom)
const CampPrepare = whenNeeded(() => nextFrame().then(() => import('./CampPrepare.vue')), notLoaded)
const CampMore = whenNeeded(() => nextFrame().then(() => import('./CampMore.vue')), notLoaded)
const underWay = useUnderWayStore()
const isUnderWay = computed(() => underWay.phase === 'under-way')
</script>

<template>
  <div class="grid grid-cols-[minmax(0,7fr)_minmax(0,6fr)] grid-rows-[auto_1fr] gap-x-12">
    <div class="col-start-2 row-span-2 row-start-1 flex flex-col">
      <WhenNear v-if="isUnderWay" class="pt-6">
        <CampToday />
        <template #room><CampTodaySpace /></template>
      </WhenNear>
      <LogKeys v-if="isUnderWay" class="pt-6" />
      <WhenNear v-if="underWay.phase === 'planned'" class="min-h-[17rem] pt-6">
        <NextBest />
      </WhenNear>
      <WhenNear class="pt-6">
        <CampHabits />
        <template #room><CampHabitsRoom /></template>
      </WhenNear>
      <CampPrepare v-if="underWay.phase === 'planned'" class="pt-6" />
    </div>
    <WhenNear class="col-start-1 row-start-1 pt-6">
      <CampGauges />
      <template #room><GaugesSpace /></template>
    </WhenNear>
    <div class="col-start-1 row-start-2 pt-4"><CampMore /></div>
  </div>
</template>
