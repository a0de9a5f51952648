<script setup lang="ts">
import { t } from '@/texts'
import { useCountWords } from './useCountWords'

const words = useCountWords()
</script>

<template>
  <p v-if="words" class="flex items-baseline gap-2" data-testid="count-strip">
    <span class="figure text-2xl font-bold">{{ words.strip }}</span>
    <span class="figure hidden text-sm font-semibold sm:inline">{{ t.count.of(words.nights) }}</span>
    <span
      v-if="words.stopper"
      class="text-sm font-semibold"
      :class="words.lasts ? 'text-soft' : 'text-oxide'"
      >{{ words.stopper }}</span
    >
  </p>
</template>
