<script setup lang="ts">
import { computed } from 'vue'
import type { LevelSeries } from './levelSeries'
import { formatDate, formatNumber } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ series: LevelSeries[] }>()

const percent = (value: number) => `${formatNumber(value, 0)} %`
/** A row per day: the levels when it ends, at 05:00. */
const rows = computed(() =>
  (props.series[0]?.times ?? []).flatMap((time, i) =>
    i > 0 && time.endsWith('T05:00')
      ? [
          {
            time,
            cells: props.series.map(({ percent: average, fan }) => ({
              average: percent(average[i]!),
              range: fan ? t.chart.range(percent(fan.low[i - 1]!), percent(fan.high[i - 1]!)) : null,
            })),
          },
        ]
      : [],
  ),
)
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" :aria-label="t.chart.table">
    <table class="w-full max-w-3xl text-left">
      <thead>
        <tr class="border-b-2 border-ink">
          <th class="py-1 pr-4">{{ t.chart.day }}, 05:00</th>
          <th v-for="line in series" :key="line.id" class="py-1 pr-4 text-right">{{ line.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.time" class="border-b border-line">
          <th class="py-1 pr-4 font-normal whitespace-nowrap">{{ formatDate(row.time) }}</th>
          <td v-for="(cell, i) in row.cells" :key="i" class="figure py-1 pr-4 text-right">
            {{ cell.average }}
            <span v-if="cell.range" class="block text-[0.85rem] whitespace-nowrap text-soft">{{
              cell.range
            }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
