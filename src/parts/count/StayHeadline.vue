<script setup lang="ts">
import { computed } from 'vue'
import { useComing } from '@/parts/count/useComing'
import { useCountWords } from '@/parts/count/useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import RunsHeadline from '@/parts/runs/RunsHeadline.vue'
import { useForecastStore } from '@/data/forecastStore'
import * as t from '@/texts/t'

/** Whether the plan lasts: the chance to make all nights. What stops it, and when, is on Camp and in the bar. */
const words = useCountWords()
const risk = useRiskWords()
const isComing = useComing()
const forecast = useForecastStore()
const answer = computed(() => {
  if (!words.value || !risk.value) return null
  const { runs, nights, isLeft } = words.value
  if (!runs) return t.count.lastsIn(risk.value.chance, nights, isLeft)
  return `${t.count.chanceWith(runs.count)} ${risk.value.of100} ${t.count.makeAll(nights, isLeft)}.`
})
</script>

<template>
  <div v-if="words">
    <p class="figure text-[1.55rem] leading-[1.18] font-semibold sm:text-[1.9rem]" data-testid="stay-plan-on">
      <template v-if="answer">{{ answer }}</template>
      <span v-else-if="isComing" class="text-soft">{{ t.count.coming }}…</span>
    </p>
    <p v-if="words.runs && risk" class="text-lg leading-snug">
      {{ t.count.planOnToo(risk.plan) }}
      <span class="text-soft" data-testid="count-dry">{{ words.runs.dry }}</span>
    </p>
    <RunsHeadline v-if="forecast.stay!.runs.length > 0" class="mt-1" />
  </div>
</template>
