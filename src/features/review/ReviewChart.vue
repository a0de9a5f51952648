<script setup lang="ts">
import type { Data, Layout } from 'plotly.js'
import { computed } from 'vue'
import { fromSi } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { chartLayout, themeColours } from '@/parts/chartStyle'
import * as t from '@/texts/t'
import PlotFigure from '@/ui/PlotFigure.vue'

/** Bars lying down, each with its name and its number: no legend is needed. */
const props = defineProps<{ bars: { name: string; litres: number; text: string }[] }>()
const settings = useSettingsStore()
const ROW = 34
const plot = computed(() => {
  void settings.shownTheme
  const colours = themeColours()
  const base = chartLayout(colours)
  const bars = [...props.bars].reverse()
  const data: Data[] = [
    {
      type: 'bar',
      orientation: 'h',
      x: bars.map(({ litres }) => fromSi(litres, settings.units.volume)),
      y: bars.map(({ name }) => name.replaceAll('<', '&lt;')),
      text: bars.map(({ text }) => text),
      textposition: 'outside',
      cliponaxis: false,
      marker: { color: colours.supplyBand, line: { color: colours.ink, width: 2 } },
    },
  ]
  const layout: Partial<Layout> = {
    ...base,
    bargap: 0.35,
    margin: { t: 4, r: 80, b: 8, l: 130 },
    xaxis: { ...base.xaxis, visible: false, rangemode: 'tozero' },
    yaxis: { ...base.yaxis, showgrid: false, ticks: '', automargin: true },
  }
  return { data, layout, height: bars.length * ROW + 20 }
})
</script>

<template>
  <PlotFigure
    :data="plot.data"
    :layout="plot.layout"
    :height="plot.height"
    :loading="t.chart.loading"
    :failed="t.chart.failed"
  />
</template>
