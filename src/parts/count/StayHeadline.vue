<script setup lang="ts">
import CountSentence from '@/parts/count/CountSentence.vue'
import { useCountWords } from '@/parts/count/useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import * as t from '@/texts/t'

/** The same answer as everywhere: what to plan on, then where the average stops. */
const words = useCountWords()
const risk = useRiskWords()
const daysWord = (figure: string) => (words.value?.runs ? t.count.holds(figure) : t.count.dryDays(figure))
</script>

<template>
  <div v-if="words">
    <p class="figure text-[1.55rem] leading-[1.18] font-semibold sm:text-[1.9rem]" data-testid="stay-plan-on">
      <template v-if="risk"
        >{{ words.runs ? t.count.planOnWith(words.runs.count) : t.risk.planOn }} {{ risk.plan }}
        {{ words.isLeft ? t.count.moreDays(risk.figure) : daysWord(risk.figure) }}.</template
      >
      <span v-else class="invisible" aria-hidden="true"
        >{{ t.risk.planOn }} 0.0 {{ t.count.dryDays('0.0') }}.</span
      >
    </p>
    <CountSentence :words="words" is-average />
    <p v-if="words.runs" class="text-lg text-soft" data-testid="count-dry">{{ words.runs.dry }}</p>
  </div>
</template>
