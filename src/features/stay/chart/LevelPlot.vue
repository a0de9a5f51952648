<script setup lang="ts">
import type { Data, Layout } from 'plotly.js'
import { computed } from 'vue'
import type { LevelSeries } from './levelSeries'
import { useSettingsStore } from '@/data/settingsStore'
import { chartLayout, themeColours } from '@/parts/chartStyle'
import { t } from '@/texts'
import PlotFigure from '@/ui/PlotFigure.vue'

const props = defineProps<{ series: LevelSeries[] }>()
const settings = useSettingsStore()

/** Solid for waste, dashed for supply, so that colour is not needed; the name stands at the end of its line. */
const plot = computed(() => {
  void settings.shownTheme
  const colours = themeColours()
  const data: Data[] = props.series.flatMap((line): Data[] => {
    const color = line.isStopper ? colours.oxide : line.side === 'supply' ? colours.water : colours.ink
    const limit: Data[] =
      line.limitPercent === null || !line.isStopper
        ? []
        : [
            {
              x: line.times,
              y: line.times.map(() => line.limitPercent!),
              mode: 'lines',
              line: { color, width: 1.5, dash: 'dot' },
            },
          ]
    return [
      {
        x: line.times,
        y: line.percent,
        mode: 'lines',
        line: { color, width: 3.5, dash: line.side === 'supply' ? 'dash' : 'solid' },
      },
      ...limit,
    ]
  })
  const base = chartLayout(colours)
  const layout: Partial<Layout> = {
    ...base,
    xaxis: { ...base.xaxis, type: 'date', tickformat: '%a %-d' },
    yaxis: { ...base.yaxis, range: [0, 118], tickvals: [0, 25, 50, 75, 100], ticksuffix: ' %' },
    annotations: lineLabels(props.series).map(({ line, x, y }) => ({
      x,
      y,
      text: `<b>${line.name.replaceAll('&', '&amp;')}</b>`,
      showarrow: false,
      xanchor: 'left',
      xshift: 8,
      font: { color: line.isStopper ? colours.oxide : line.side === 'supply' ? colours.water : colours.ink },
    })),
  }
  return { data, layout }
})

const LABEL_GAP = 9
const FRAME = { low: 2, high: 110 }

/** A label stands where its line leaves the frame, or at its end; those that end together are pushed apart. */
function lineLabels(series: LevelSeries[]): { line: LevelSeries; x: string; y: number; isEnd: boolean }[] {
  const labels = series.map((line) => {
    const leaves = line.percent.findIndex((percent) =>
      line.side === 'supply' ? percent < FRAME.low : percent > FRAME.high,
    )
    const at = leaves > 0 ? leaves : line.percent.length - 1
    const y = Math.min(FRAME.high, Math.max(FRAME.low + 3, line.percent[at]!))
    return { line, x: line.times[at]!, y, isEnd: at === line.percent.length - 1 }
  })
  const ends = labels.filter(({ isEnd }) => isEnd).sort((a, b) => b.y - a.y)
  for (let i = 1; i < ends.length; i++) ends[i]!.y = Math.min(ends[i]!.y, ends[i - 1]!.y - LABEL_GAP)
  return labels
}
</script>

<template>
  <PlotFigure :data="plot.data" :layout="plot.layout" :loading="t.chart.loading" :failed="t.chart.failed" />
</template>
