<script setup lang="ts">
import SmallTally from '@/parts/log/SmallTally.vue'
import type { BudgetRow } from './useBudgetWords'

/** What is left, a stroke for each use; without any the words say when the next is. */
defineProps<{ rows: BudgetRow[]; isBehind?: boolean }>()
const MOST_STROKES = 10
</script>

<template>
  <ul :class="isBehind ? 'text-soft' : ''" :aria-busy="isBehind">
    <li
      v-for="row in rows"
      :key="row.id"
      class="grid min-h-11 items-center gap-x-3 border-b border-line py-1"
      :class="'grid-cols-[minmax(0,1fr)_auto] sm:grid-cols-[8.5rem_minmax(0,auto)_minmax(0,1fr)]'"
      :data-testid="`budget-${row.id}`"
    >
      <span class="leading-tight font-bold">{{ row.name }}</span>
      <span class="flex items-center justify-end gap-2 sm:justify-start">
        <SmallTally v-if="row.n > 0 && row.n <= MOST_STROKES" :n="row.n" />
        <span class="figure font-bold" :class="row.n > MOST_STROKES ? 'text-xl' : 'sr-only'">{{
          row.n
        }}</span>
        <slot name="more" :row="row" />
      </span>
      <span class="col-span-2 text-[0.95rem] leading-tight text-soft sm:col-span-1 sm:text-right">{{
        row.side
      }}</span>
    </li>
  </ul>
</template>
