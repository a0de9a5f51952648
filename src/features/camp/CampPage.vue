<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import CampEmpty from './CampEmpty.vue'
import CampGauges from './CampGauges.vue'
import CampHabits from './CampHabits.vue'
import CampSetup from './CampSetup.vue'
import { useForecastStore } from '@/data/forecastStore'
import TheCount from '@/parts/count/TheCount.vue'
import { useCountWords } from '@/parts/count/useCountWords'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import { useAskCount } from '@/parts/count/useAskCount'
import { t } from '@/texts'
import { later } from '@/ui/later'

/** The count is there before its chances are. */
const RiskPanel = defineAsyncComponent(() => later().then(() => import('@/parts/risk/RiskPanel.vue')))
const LevelChart = defineAsyncComponent(() => later().then(() => import('@/parts/levels/LevelChart.vue')))
const forecast = useForecastStore()
const askCount = useAskCount()
const words = useCountWords()
const risk = useRiskWords()
</script>

<template>
  <CampEmpty v-if="!forecast.stay" />
  <div v-else>
    <h1 class="sr-only">{{ t.camp.title }}</h1>
    <div class="border-b border-line pt-5 pb-5">
      <TheCount v-if="words" :words="words" :risk="risk"
        ><button
          type="button"
          class="min-h-11 px-1 text-lg font-semibold whitespace-nowrap text-soft underline decoration-line decoration-2 underline-offset-4"
          @click="askCount"
        >
          {{ t.count.why }}
        </button></TheCount
      >
    </div>
    <div class="grid gap-x-12 lg:grid-cols-[minmax(0,7fr)_minmax(0,6fr)]">
      <div>
        <CampGauges class="pt-6" />
        <RiskPanel class="pt-6" />
        <LevelChart class="pt-6" />
        <CampSetup class="pt-6" />
      </div>
      <CampHabits class="pt-6" />
    </div>
  </div>
</template>
