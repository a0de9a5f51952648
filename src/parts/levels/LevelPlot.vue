<script setup lang="ts">
import type { Data, Layout } from 'plotly.js'
import { computed } from 'vue'
import type { LevelSeries } from './levelSeries'
import { useSettingsStore } from '@/data/settingsStore'
import { chartLayout, themeColours } from '@/parts/chartStyle'
import * as t from '@/texts/t'
import PlotFigure from '@/ui/PlotFigure.vue'

const props = defineProps<{ series: LevelSeries[] }>()
const settings = useSettingsStore()

/** Height of one tank's panel, and of what is around all of them, px. */
const PANEL = 118
const AROUND = 60

type Colours = ReturnType<typeof themeColours>

/**
 * A panel for each tank, its name in the corner its line does not begin in: the band of eight trips in ten, the average, and
 * the limit it runs against.
 */
const plot = computed(() => {
  void settings.shownTheme
  const colours = themeColours()
  const base = chartLayout(colours)
  const n = props.series.length
  const axes = Object.fromEntries(
    props.series.map((line, k) => [
      k === 0 ? 'yaxis' : `yaxis${k + 1}`,
      {
        ...base.yaxis,
        domain: [1 - (k + 0.9) / n, 1 - k / n],
        range: [0, line.side === 'supply' ? 106 : 128],
        tickvals: [0, 50, 100],
        ticktext: ['0', '50', '100 %'],
      },
    ]),
  )
  const layout: Partial<Layout> = {
    ...base,
    xaxis: { ...base.xaxis, type: 'date', tickformat: '%a %-d', anchor: n === 1 ? 'y' : (`y${n}` as 'y2') },
    ...axes,
    margin: { ...base.margin!, r: 14, t: 6, l: 60 },
    annotations: props.series.map((line, k) => ({
      xref: 'paper',
      yref: 'paper',
      x: line.side === 'supply' ? 1 : 0,
      y: 1 - k / n,
      text: `<b>${line.name.replaceAll('&', '&amp;')}</b>`,
      showarrow: false,
      xanchor: line.side === 'supply' ? 'right' : 'left',
      yanchor: 'top',
      xshift: line.side === 'supply' ? 0 : 6,
      font: { color: line.isStopper ? colours.oxide : colours.ink, size: 16 },
      bgcolor: colours.paper,
      borderpad: 2,
    })),
  }
  return { data: props.series.flatMap((line, k) => traces(line, k, colours)), layout }
})

function traces(line: LevelSeries, k: number, colours: Colours): Data[] {
  const yaxis = (k === 0 ? 'y' : `y${k + 1}`) as 'y'
  const isSupply = line.side === 'supply'
  const edge = isSupply ? colours.water : colours.grass
  const common = { yaxis, mode: 'lines' } as const
  const fan: Data[] = line.fan
    ? [
        { ...common, x: line.times.slice(1), y: line.fan.low, line: { color: edge, width: 1 } },
        {
          ...common,
          x: line.times.slice(1),
          y: line.fan.high,
          line: { color: edge, width: 1 },
          fill: 'tonexty',
          fillcolor: isSupply ? colours.supplyBand : colours.wasteBand,
        },
      ]
    : []
  const limit: Data[] =
    line.limitPercent === null
      ? []
      : [
          {
            ...common,
            x: [line.times[0]!, line.times.at(-1)!],
            y: [line.limitPercent, line.limitPercent],
            line: { color: line.isStopper ? colours.oxide : colours.ink, width: 2, dash: 'dot' },
          },
        ]
  const average = {
    ...common,
    x: line.times,
    y: line.percent,
    line: { color: colours.ink, width: 3, dash: isSupply ? 'dash' : 'solid' },
  }
  return [...fan, ...limit, average as Data]
}
</script>

<template>
  <PlotFigure
    :data="plot.data"
    :layout="plot.layout"
    :height="AROUND + PANEL * series.length"
    :loading="t.chart.loading"
    :failed="t.chart.failed"
  />
</template>
