<script setup lang="ts">
import { computed } from 'vue'
import { tallyShape } from '@/parts/count/tally'

/** Uses as strokes: the tally of the nights, small. */
const props = defineProps<{ n: number }>()
const MOST = 30
const shape = computed(() =>
  tallyShape(
    Array.from({ length: Math.min(MOST, props.n) }, (_, k) => k + 1),
    null,
  ),
)
</script>

<template>
  <svg
    :viewBox="`0 10 ${shape.width} ${shape.height - 20}`"
    class="h-6 max-w-full"
    fill="none"
    stroke="currentColor"
    stroke-width="9"
    stroke-linecap="round"
    preserveAspectRatio="xMinYMid meet"
    aria-hidden="true"
  >
    <path
      v-for="stroke in shape.strokes"
      :key="stroke.index"
      :d="`M${stroke.x1} ${stroke.y1}L${stroke.x2} ${stroke.y2}`"
    />
  </svg>
</template>
