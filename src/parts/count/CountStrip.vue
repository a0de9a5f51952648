<script setup lang="ts">
import { t } from '@/texts'
import { useAskCount } from './useAskCount'
import { useCountWords } from './useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'

const words = useCountWords()
const ask = useAskCount()
const risk = useRiskWords()
</script>

<template>
  <span v-if="risk" class="figure pr-2 text-sm font-bold whitespace-nowrap" data-testid="plan-strip">{{
    t.risk.strip(risk.plan)
  }}</span>
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
