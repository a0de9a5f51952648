<script setup lang="ts">
import type { RiskWords } from '@/parts/risk/useRiskWords'
import * as t from '@/texts/t'
import type { CountWords } from './useCountWords'

/** Beside the figure or a tap behind it: the average, what is likely, and the chance to make all nights. */
defineProps<{ words: CountWords; risk: RiskWords }>()
</script>

<template>
  <p class="text-lg leading-snug" data-testid="count-range">
    <template v-if="words.runs">
      <span class="font-semibold"
        >{{ t.risk.planOn }} <span data-testid="plan-on" class="figure font-bold">{{ risk.figure }}</span>
        {{ words.isLeft ? t.count.moreDays(risk.figure) : t.count.holds(risk.figure) }}</span
      >;
    </template>
    <span data-testid="count-days" class="figure font-bold">{{ words.figure }}</span>
    {{ t.risk.rest(risk.likely, risk.best) }}
    <span v-if="!words.runs" class="font-semibold">{{ risk.nights }}</span>
  </p>
</template>
