<script setup lang="ts">
import { computed } from 'vue'
import { chanceWords } from './chanceWords'
import { spacedLabels, spreadShape } from './spreadShape'
import AxisTicks from '../AxisTicks.vue'
import { wallDaysBetween } from '@/core/calendar'
import type { CountQuantile } from '@/core/risk'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { usePlotWidth } from '../usePlotWidth'
import { formatDays } from '@/texts'
import * as t from '@/texts/t'

const chances = useRiskStore()
const forecast = useForecastStore()

const width = usePlotWidth(600)
const FOOT = 132
const TALL = 74

const shape = computed(() => {
  const { risk } = chances
  const { stay, model } = forecast
  if (!risk || !stay || !model) return null
  const until = wallDaysBetween(model.start, stay.leaveAt)
  const daysOf = ({ days, isBeyond }: CountQuantile) => (isBeyond ? Infinity : days)
  const marked = [risk.planOn, risk.likely, risk.atBest].map(daysOf)
  const { span, bars } = spreadShape(risk.sorted, until, marked)
  // What no trip of that kind reaches stands at the end of the axis, as ∞.
  const x = (days: number) => (Math.min(days, span) / span) * width.value
  const step = [1, 2, 4, 10, 20, 40].find((size) => span / size <= width.value / 46) ?? 60
  const marks = (
    [
      { key: 'plan', text: t.risk.plan, at: risk.planOn, strong: true },
      { key: 'likely', text: t.risk.likely, at: risk.likely, strong: false },
      { key: 'best', text: t.risk.atBest, at: risk.atBest, strong: false },
    ] satisfies { key: string; text: string; at: CountQuantile; strong: boolean }[]
  ).map(({ at, ...mark }) => ({ ...mark, x: x(daysOf(at)), days: at.isBeyond ? null : formatDays(at.days) }))
  const labels = spacedLabels(marks.map((mark) => mark.x) as [number, number, number], width.value)
  return {
    bars: bars.map((share, k) => ({
      x: (k / bars.length) * width.value,
      share,
      isSure: k / 4 < risk.planOn.days,
    })),
    barWidth: width.value / bars.length - 1.2,
    marks: marks.map((mark, k) => ({ ...mark, labelX: labels[k]! })),
    leaving: x(until),
    days: Array.from({ length: Math.floor(span / step) + 1 }, (_, k) => ({
      value: k * step,
      at: x(k * step),
    })),
    rows: Array.from({ length: Math.ceil(until) }, (_, k) => ({
      days: k + 1,
      chance: chanceWords(risk.sorted.filter((days) => days >= k + 1).length / risk.trials),
    })),
  }
})
</script>

<template>
  <figure v-if="shape">
    <svg :viewBox="`0 0 ${width} ${FOOT + 28}`" class="w-full max-w-3xl overflow-visible" aria-hidden="true">
      <g v-for="mark in shape.marks" :key="mark.key">
        <path
          :d="`M${mark.labelX} 38L${mark.x} 50V${FOOT}`"
          fill="none"
          stroke="var(--ink)"
          :stroke-width="mark.strong ? 2.5 : 1.25"
          :stroke-dasharray="mark.strong ? 'none' : '3 3'"
        />
        <text
          :x="mark.labelX"
          y="14"
          text-anchor="middle"
          fill="var(--soft)"
          class="text-[14px] font-semibold"
        >
          {{ mark.text }}
        </text>
        <text
          :x="mark.labelX"
          y="34"
          text-anchor="middle"
          fill="var(--ink)"
          class="figure font-bold"
          :class="mark.strong ? 'text-[20px]' : 'text-[17px]'"
        >
          {{ mark.days ?? '∞' }}
        </text>
      </g>
      <rect
        v-for="(bar, k) in shape.bars"
        :key="k"
        :x="bar.x"
        :y="FOOT - bar.share * TALL"
        :width="shape.barWidth"
        :height="bar.share * TALL"
        :fill="bar.isSure ? 'var(--oxide)' : 'var(--soft)'"
        :opacity="bar.isSure ? 1 : 0.55"
      />
      <path :d="`M0 ${FOOT}H${width}`" stroke="var(--ink)" stroke-width="2" />
      <AxisTicks :ticks="shape.days" side="below" :foot="FOOT" />
      <path
        :d="`M${shape.leaving} ${FOOT}V${FOOT - TALL - 6}`"
        stroke="var(--sage)"
        stroke-width="3"
        stroke-dasharray="1 5"
        stroke-linecap="round"
      />
      <text
        :x="shape.leaving - 6"
        :y="FOOT - TALL + 6"
        text-anchor="end"
        fill="var(--sage)"
        class="text-[14px] font-semibold"
      >
        {{ t.risk.stay }}
      </text>
    </svg>
    <figcaption class="sr-only">{{ t.risk.spread }}</figcaption>
    <details>
      <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">{{ t.risk.table }}</summary>
      <table class="w-full max-w-sm text-left">
        <thead>
          <tr class="border-b-2 border-ink">
            <th class="py-1">{{ t.risk.lasts }}</th>
            <th class="py-1 text-right">{{ t.risk.chance }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shape.rows" :key="row.days" class="border-b border-line">
            <th class="py-1 font-normal">{{ t.risk.days(row.days) }}</th>
            <td class="figure py-1 text-right">{{ row.chance }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>
