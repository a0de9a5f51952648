<script setup lang="ts">
import * as t from '@/texts/t'
import { useAskCount } from './useAskCount'
import { useCountWords } from './useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'

const words = useCountWords()
const ask = useAskCount()
const risk = useRiskWords()
</script>

<template>
  <button
    v-if="words"
    type="button"
    class="flex min-h-11 min-w-0 flex-col justify-center text-left sm:flex-row sm:items-baseline sm:gap-2.5 sm:pt-2"
    @click="ask"
  >
    <span
      class="flex items-baseline gap-1.5 whitespace-nowrap"
      :data-testid="risk ? 'plan-strip' : undefined"
    >
      <span class="figure text-2xl leading-none font-bold">{{ risk ? risk.plan : words.strip }}</span>
      <span class="figure text-sm font-semibold">{{ risk ? t.count.planOnStrip : t.count.days }}</span>
    </span>
    <span class="flex items-baseline gap-2 text-sm leading-tight" data-testid="count-strip">
      <span
        v-if="words.stopper"
        class="line-clamp-1 max-w-[8.5rem] font-semibold wrap-anywhere"
        :class="words.lasts ? 'text-soft' : 'text-oxide'"
        >{{ words.stopper }}</span
      >
      <span class="whitespace-nowrap text-soft lg:max-xl:hidden">{{
        t.count.averageStrip(words.strip)
      }}</span>
    </span>
    <span class="sr-only">{{ t.count.why }}</span>
  </button>
</template>
