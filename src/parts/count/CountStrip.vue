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
  <span
    v-if="risk"
    class="figure pr-1 text-sm leading-tight font-bold max-sm:max-w-[4.6rem] max-sm:text-[0.8rem] sm:whitespace-nowrap"
    data-testid="plan-strip"
    >{{ t.risk.strip(risk.plan) }}</span
  >
  <button
    v-if="words"
    type="button"
    class="flex min-h-11 min-w-0 flex-col justify-center text-left sm:flex-row sm:items-baseline sm:gap-2 sm:pt-1"
    data-testid="count-strip"
    @click="ask"
  >
    <span class="flex items-baseline gap-1.5">
      <span class="figure text-2xl leading-none font-bold">{{ words.strip }}</span>
      <span class="figure text-sm font-semibold">{{ t.count.days }}</span>
      <span class="figure hidden text-sm font-semibold whitespace-nowrap xl:inline">{{
        words.lasts ? t.count.covered(words.nights) : t.count.of(words.nights)
      }}</span>
    </span>
    <span
      v-if="words.stopper"
      class="line-clamp-1 max-w-[8.5rem] text-sm leading-tight font-semibold wrap-anywhere"
      :class="words.lasts ? 'text-soft' : 'text-oxide'"
      >{{ words.stopper }}</span
    >
    <span class="sr-only">{{ t.count.why }}</span>
  </button>
</template>
