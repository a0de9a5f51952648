<script setup lang="ts">
import { computed } from 'vue'
import * as t from '@/texts/t'
import { useAskCount } from './useAskCount'
import { useCountWords } from './useCountWords'
import { useComing } from './useComing'
import { useRiskWords } from '@/parts/risk/useRiskWords'

const words = useCountWords()
const ask = useAskCount()
const risk = useRiskWords()
const isComing = useComing()
/** With runs the chance to make all nights leads: what to plan on jumps with them. */
const lead = computed(() => {
  if (!words.value) return null
  if (risk.value)
    return words.value.runs
      ? { figure: risk.value.of100, unit: t.count.makeAllStrip }
      : { figure: risk.value.plan, unit: t.count.planOnStrip }
  return isComing.value
    ? { figure: t.count.comingFigure, unit: t.count.planOnStrip }
    : { figure: words.value.strip, unit: t.count.days }
})
</script>

<template>
  <button
    v-if="words && lead"
    type="button"
    class="flex min-h-11 min-w-0 flex-col justify-center text-left sm:flex-row sm:items-baseline sm:gap-2.5 sm:pt-2"
    @click="ask"
  >
    <span
      class="flex items-baseline gap-1.5 whitespace-nowrap"
      :data-testid="risk ? 'plan-strip' : undefined"
    >
      <span class="figure text-2xl leading-none font-bold">{{ lead.figure }}</span>
      <span class="figure text-sm font-semibold">{{ lead.unit }}</span>
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
