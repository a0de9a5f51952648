<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import LevelTable from './LevelTable.vue'
import { levelSeries } from './levelSeries'
import { wallDaysBetween } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { formatDays, formatNumber, formatPartOfDay, t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'

const LevelPlot = defineAsyncComponent(() => import('./LevelPlot.vue'))

const forecast = useForecastStore()
const chances = useRiskStore()
const isShown = ref(false)

const series = computed(() => {
  const { stay, model, result } = forecast
  if (!stay || !model || !result) return []
  return levelSeries(model, result, wallDaysBetween(stay.start, stay.leaveAt), chances.risk?.fans)
})
const sentence = computed(() => {
  const { model, result } = forecast
  if (!model || !result) return ''
  if (!result.at) return t.chart.sentenceNone(formatNumber(model.horizonDays, 0))
  const nameOf = (id: string | null) => model.containers.find((container) => container.id === id)?.name ?? ''
  const { day, part } = formatPartOfDay(result.at)
  const others = model.containers
    .map(({ id }, c) => ({ id, days: result.containers[c] ?? null }))
    .filter(
      (entry): entry is { id: string; days: number } => entry.days !== null && entry.id !== result.stopper,
    )
    .sort((a, b) => a.days - b.days)
    .map(({ id, days }) => t.chart.after(nameOf(id), formatDays(days)))
  return t.chart.sentence(nameOf(result.stopper), `${day}, ${part}`, others.join(', '))
})
</script>

<template>
  <section aria-labelledby="chart">
    <div class="flex flex-wrap items-center justify-between gap-x-6">
      <h2 id="chart" class="text-xl font-bold">{{ t.chart.title }}</h2>
      <AppButton kind="quiet" :aria-expanded="isShown" @click="isShown = !isShown">{{
        isShown ? t.chart.hide : t.chart.show
      }}</AppButton>
    </div>
    <figure v-if="isShown">
      <LevelPlot :series="series" />
      <figcaption>
        <p class="max-w-[70ch]" data-testid="chart-sentence">{{ sentence }} {{ t.chart.reading }}</p>
        <details class="mt-1">
          <summary class="min-h-11 cursor-pointer py-2.5 font-semibold">{{ t.chart.table }}</summary>
          <LevelTable :series="series" />
        </details>
      </figcaption>
    </figure>
  </section>
</template>
