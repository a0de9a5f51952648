<script setup lang="ts">
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

defineProps<{
  /** 0 to 5 */
  bother: number
}>()
</script>

<template>
  <svg
    role="img"
    :aria-label="t.camp.bother(formatNumber(bother, 1))"
    viewBox="0 0 45 15"
    class="h-3.5 w-11"
    fill="none"
    stroke-linecap="round"
    stroke-width="3"
  >
    <title>{{ t.camp.bother(formatNumber(bother, 1)) }}</title>
    <template v-for="n in 5" :key="n">
      <path :d="`M${n * 9 - 6} 2v11`" stroke="var(--faint)" stroke-dasharray="0.1 5.4" />
      <path
        v-if="bother > n - 1"
        :d="`M${n * 9 - 6} 13v${-11 * Math.min(1, bother - n + 1)}`"
        stroke="var(--ink)"
      />
    </template>
  </svg>
</template>
