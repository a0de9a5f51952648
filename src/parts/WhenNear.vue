<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { onBeforeUnmount, ref, useTemplateRef } from 'vue'
import { useJobStore } from '@/data/jobStore'
import { whenCalm } from '@/ui/whenCalm'

/**
 * What is not on the screen yet is made when it comes near, or once nothing has been going on for a while: what is read first
 * does not wait for it. Until then its room is kept.
 */
const NEAR = '30% 0px'
const place = useTemplateRef<HTMLElement>('place')
const isHere = ref(false)
const { stop } = useIntersectionObserver(
  place,
  (seen) => {
    if (seen.some(({ isIntersecting }) => isIntersecting)) show()
  },
  { rootMargin: NEAR },
)
function show(): void {
  isHere.value = true
  stop()
}
const jobs = useJobStore()
let isGone = false
onBeforeUnmount(() => (isGone = true))
void whenCalm(() => jobs.isBusy && !isGone).then(show)
</script>

<template>
  <div ref="place"><slot v-if="isHere" /><slot v-else name="room" /></div>
</template>
