<script setup lang="ts">
import { computed } from 'vue'

/** Steps as strokes: those done, the one in hand taller, those to come faint. */
const props = defineProps<{ at: number; all: number }>()
const STEP = 9
const strokes = computed(() => Array.from({ length: props.all }, (_, k) => ({ k, x: 4 + k * STEP })))
</script>

<template>
  <svg
    :viewBox="`0 0 ${all * STEP + 2} 28`"
    class="h-7 max-w-[75%] min-w-0"
    preserveAspectRatio="xMinYMid meet"
    aria-hidden="true"
  >
    <line
      v-for="{ k, x } in strokes"
      :key="k"
      :x1="x"
      :x2="x"
      :y1="k === at - 1 ? 1 : 8"
      y2="26"
      :stroke="k < at ? 'var(--ink)' : 'var(--faint)'"
      :stroke-width="k === at - 1 ? 5 : 3"
      stroke-linecap="round"
    />
  </svg>
</template>
