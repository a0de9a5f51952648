<script setup lang="ts">
import { t } from '@/texts'
import { useAskCount } from './useAskCount'
import { useCountWords } from './useCountWords'

const words = useCountWords()
const ask = useAskCount()
</script>

<template>
  <button
    v-if="words"
    type="button"
    class="flex min-h-11 items-baseline gap-2 pt-1"
    data-testid="count-strip"
    @click="ask"
  >
    <span class="figure text-2xl font-bold">{{ words.strip }}</span>
    <span class="figure hidden text-sm font-semibold sm:inline">{{ t.count.of(words.nights) }}</span>
    <span
      v-if="words.stopper"
      class="text-sm font-semibold"
      :class="words.lasts ? 'text-soft' : 'text-oxide'"
      >{{ words.stopper }}</span
    >
    <span class="sr-only">{{ t.count.why }}</span>
  </button>
</template>
