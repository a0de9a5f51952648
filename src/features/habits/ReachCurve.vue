<script setup lang="ts">
import { computed } from 'vue'
import AxisTicks from '@/parts/AxisTicks.vue'
import { reachShape } from './reachShape'
import type { HabitSet } from '@/core/reach'
import { usePlotWidth } from '@/parts/usePlotWidth'
import { formatDays, formatNumber } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{
  curve: readonly HabitSet[]
  goal: HabitSet | null
  untilDays: number
  nights: number
  picked: HabitSet | null
}>()
const emit = defineEmits<{ pick: [set: HabitSet] }>()

const width = usePlotWidth(520)
const HEIGHT = 250
const shape = computed(() => reachShape(props.curve, props.untilDays, width.value, HEIGHT))
const pickedIndex = computed(() => {
  const index = props.curve.findIndex(({ bother }) => bother >= (props.picked?.bother ?? 0) - 1e-9)
  return index < 0 ? props.curve.length - 1 : index
})
const words = ({ bother, days, isBeyond }: HabitSet) =>
  t.reach.point(formatNumber(bother, 1), isBeyond ? t.risk.beyond(formatDays(days)) : formatDays(days))
function pickAt(index: number) {
  const set = props.curve[index]
  if (set) emit('pick', set)
}
</script>

<template>
  <figure class="min-w-0">
    <svg
      :viewBox="`-44 -14 ${width + 70} ${HEIGHT + 64}`"
      class="w-full overflow-visible"
      aria-hidden="true"
      data-testid="reach-curve"
    >
      <AxisTicks :ticks="shape.dayTicks" side="left" :across="width" />
      <text x="-40" y="-4" fill="var(--soft)" class="text-[14px] font-semibold">{{ t.reach.days }}</text>
      <AxisTicks :ticks="shape.botherTicks" side="below" :foot="HEIGHT" />
      <text
        :x="width"
        :y="HEIGHT + 42"
        text-anchor="end"
        fill="var(--soft)"
        class="text-[14px] font-semibold"
      >
        {{ t.reach.bother }}
      </text>
      <path :d="`M0 ${HEIGHT}H${width}`" stroke="var(--ink)" stroke-width="2" />
      <path
        :d="`M0 ${shape.goalY}H${width}`"
        stroke="var(--sage)"
        stroke-width="3"
        stroke-dasharray="1 6"
        stroke-linecap="round"
      />
      <text x="6" :y="shape.goalY - 8" fill="var(--sage)" class="text-[14px] font-semibold">
        {{ t.camp.nights(nights) }}
      </text>
      <path :d="shape.path" fill="none" stroke="var(--ink)" stroke-width="2.5" />
      <g v-for="(point, k) in shape.points" :key="k">
        <circle
          :cx="point.x"
          :cy="point.y"
          r="14"
          fill="transparent"
          class="cursor-pointer"
          @click="pickAt(k)"
        />
        <circle
          :cx="point.x"
          :cy="point.y"
          :r="k === pickedIndex ? 8 : 4.5"
          :fill="k === pickedIndex ? 'var(--ink)' : 'var(--card)'"
          stroke="var(--ink)"
          stroke-width="2.5"
          class="pointer-events-none"
        />
      </g>
    </svg>
    <label class="mt-1 block">
      <span class="text-[0.92rem] font-semibold text-soft">{{ t.reach.slide }}</span>
      <input
        type="range"
        min="0"
        :max="curve.length - 1"
        step="1"
        :value="pickedIndex"
        :aria-valuetext="words(curve[pickedIndex]!)"
        class="h-11 w-full accent-(--ink)"
        @input="pickAt(Number(($event.target as HTMLInputElement).value))"
      />
    </label>
    <figcaption>
      <details>
        <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">{{ t.reach.table }}</summary>
        <ul class="figure">
          <li v-for="(set, k) in curve" :key="k" class="border-b border-line py-1">{{ words(set) }}</li>
        </ul>
      </details>
    </figcaption>
  </figure>
</template>
