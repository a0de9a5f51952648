<script setup lang="ts">
import { computed } from 'vue'

/** Strokes, four and a bar across. */
const props = defineProps<{ n: number }>()
const MOST = 30
const strokes = computed(() =>
  Array.from({ length: Math.min(MOST, props.n) }, (_, k) => {
    const group = Math.floor(k / 5) * 40
    return k % 5 === 4
      ? { x1: group - 2, y1: 17, x2: group + 29, y2: 5 }
      : { x1: group + (k % 5) * 8 + 3, y1: 2, x2: group + (k % 5) * 8 + 3, y2: 20 }
  }),
)
</script>

<template>
  <svg
    :viewBox="`-4 0 ${Math.max(1, Math.ceil(strokes.length / 5)) * 40} 22`"
    class="h-5 max-w-full"
    fill="none"
    stroke="currentColor"
    stroke-width="3.6"
    stroke-linecap="round"
    preserveAspectRatio="xMinYMid meet"
    aria-hidden="true"
  >
    <path v-for="(one, k) in strokes" :key="k" :d="`M${one.x1} ${one.y1}L${one.x2} ${one.y2}`" />
  </svg>
</template>
