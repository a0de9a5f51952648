<script setup lang="ts">
import { computed, h } from 'vue'
import CampHabitsRoom from './CampHabitsRoom.vue'
import LeftToday from './LeftToday.vue'
import { useNoticeStore } from '@/data/noticeStore'
import { useUnderWayStore } from '@/data/underWayStore'
import NextBest from '@/parts/today/NextBest.vue'
import WhenNear from '@/parts/WhenNear.vue'
import { nextFrame } from '@/ui/nextFrame'
import { heldSpace } from '@/ui/heldSpace'
import { whenNeeded } from '@/ui/whenNeeded'

const underWay = useUnderWayStore()
const isUnderWay = computed(() => underWay.phase === 'under-way')
/** Below the count on a phone: what first, the levels, what is left today; the rest behind a tap. */
const LineSpace = heldSpace('min-h-11')
/** A row of gauges, planned and under way. */
const PostsRoom = () =>
  h('div', { class: isUnderWay.value ? 'min-h-[7.1rem]' : 'min-h-[12.1rem]', 'aria-hidden': 'true' })
const notices = useNoticeStore()
const notLoaded = () => notices.say({ kind: 'not-loaded' })
const CampGauges = whenNeeded(() => import('./CampGauges.vue'), notLoaded, PostsRoom)
const CampLevels = whenNeeded(() => nextFrame().then(() => import('./CampLevels.vue')), notLoaded, LineSpace)
const CampHabits = whenNeeded(() => import('./CampHabits.vue'), notLoaded, CampHabitsRoom)
const DueChores = whenNeeded(() => nextFrame().then(() => import('@/parts/today/DueChores.vue')), notLoaded)
const CampPrepare = whenNeeded(() => nextFrame().then(() => import('./CampPrepare.vue')), notLoaded)
const CampNights = whenNeeded(() => nextFrame().then(() => import('./CampNights.vue')), notLoaded, LineSpace)
const CampMore = whenNeeded(() => nextFrame().then(() => import('./CampMore.vue')), notLoaded)
</script>

<template>
  <div class="grid gap-y-3 pt-2">
    <div v-if="underWay.phase !== 'over'" class="min-h-[13rem]"><NextBest is-short /></div>
    <WhenNear>
      <CampGauges is-short />
      <template #room><PostsRoom /></template>
    </WhenNear>
    <LeftToday v-if="isUnderWay" />
    <CampLevels />
    <WhenNear>
      <CampHabits />
      <template #room><CampHabitsRoom /></template>
    </WhenNear>
    <WhenNear v-if="isUnderWay"><DueChores /></WhenNear>
    <CampPrepare v-if="underWay.phase === 'planned'" />
    <div>
      <CampNights />
      <CampMore is-short />
    </div>
  </div>
</template>
