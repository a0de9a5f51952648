<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import LevelTable from './LevelTable.vue'
import { useChartSentence } from './useChartSentence'
import { levelSeries } from './levelSeries'
import { wallDaysBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import * as t from '@/texts/t'

const LevelPlot = defineAsyncComponent(() => import('./LevelPlot.vue'))

const forecast = useForecastStore()
const chances = useRiskStore()

const series = computed(() => {
  const { stay, model, result } = forecast
  if (!stay || !model || !result) return []
  return levelSeries(model, result, wallDaysBetween(model.start, stay.leaveAt), chances.risk?.fans)
})
const sentence = useChartSentence()
</script>

<template>
  <figure>
    <LevelPlot :series="series" />
    <figcaption>
      <p class="max-w-[70ch]" data-testid="chart-sentence">{{ sentence }} {{ t.chart.reading }}</p>
      <details class="mt-1">
        <summary class="min-h-11 cursor-pointer py-2.5 font-semibold">{{ t.chart.table }}</summary>
        <LevelTable :series="series" />
      </details>
    </figcaption>
  </figure>
</template>
