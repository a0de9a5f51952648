<script setup lang="ts">
import { computed } from 'vue'
import type { Id } from '@/core/model'
import { useDecideStore } from '@/data/decideStore'
import { formatDate } from '@/texts'
import * as t from '@/texts/t'

/** How long one container can wait, in as few words as there is room for. */
const props = defineProps<{ container: Id }>()
const decide = useDecideStore()
decide.follow()
const words = computed(() => {
  const answer = decide.answers?.find(({ container }) => container === props.container)
  if (!answer || answer.state === 'before') return null
  const by = answer.ways[0]?.leaveBy
  return by === undefined ? t.decide.rowLate : t.decide.gauge(`${formatDate(by)} ${by.slice(11)}`)
})
</script>

<template>
  <p class="text-[0.95rem] leading-tight text-soft" :data-testid="`wait-${container}`">{{ words }}</p>
</template>
