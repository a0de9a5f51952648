<script setup lang="ts">
import { computed } from 'vue'
import AxisTicks from '@/parts/AxisTicks.vue'
import { wallDaysBetween } from '@/core/calendar'
import type { FlushPoint } from '@/core/habits'
import type { Crew } from '@/core/domain'
import { fromSi } from '@/core/quantities'
import type { FlushRange } from '@/core/risk'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { usePlotWidth } from '@/parts/usePlotWidth'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ points: FlushPoint[]; crew: Crew; now: FlushRange | null }>()
const forecast = useForecastStore()
const settings = useSettingsStore()

const width = usePlotWidth(520)
const HEIGHT = 230

/** Little water from the left: a mound; much from the right: the tank. The days a toilet lasts fall as its water grows. */
const shape = computed(() => {
  const { stay, model } = forecast
  const until = stay && model ? wallDaysBetween(model.start, stay.leaveAt) : 0
  const widest = Math.max(...props.points.map(({ liquid }) => liquid), props.crew.flush.plenty.value * 1.3)
  const most = Math.max(...props.points.map(({ toiletDays }) => toiletDays))
  const longest = Math.max(until * 1.12, Math.min(most, Math.max(until * 2, 6)))
  const x = (litres: number) => Math.min(1, litres / widest) * width.value
  const y = (days: number) => HEIGHT * (1 - Math.min(1, days / (longest * 1.02)))
  const dayStep = longest > 40 ? 10 : longest > 16 ? 5 : 2
  const unit = settings.units.volume
  const step = [0.5, 1, 2, 5, 10].find((size) => fromSi(widest, unit) / size <= 6) ?? 20
  const line = props.points
    .map(({ liquid, toiletDays }, k) => `${k === 0 ? 'M' : 'L'}${x(liquid)} ${y(toiletDays)}`)
    .join('')
  const current = props.points.find(({ factor }) => factor === 1)
  return {
    line,
    floorX: x(props.crew.flushFloor.value),
    plentyX: x(props.crew.flush.plenty.value),
    untilY: y(until),
    until,
    band: props.now
      ? { x: x(props.now.low), width: Math.max(3, x(props.now.high) - x(props.now.low)) }
      : null,
    current: current ? { x: x(current.liquid), y: y(current.toiletDays) } : null,
    litres: Array.from({ length: Math.floor(fromSi(widest, unit) / step) + 1 }, (_, k) => ({
      value: formatNumber(k * step, 1),
      at: ((k * step) / fromSi(widest, unit)) * width.value,
    })),
    days: Array.from({ length: Math.floor(longest / dayStep) + 1 }, (_, k) => ({
      value: k * dayStep,
      at: y(k * dayStep),
    })),
    unit: t.units[unit],
  }
})
</script>

<template>
  <figure class="min-w-0">
    <svg :viewBox="`-40 -28 ${width + 52} ${HEIGHT + 80}`" class="w-full overflow-visible" aria-hidden="true">
      <defs>
        <pattern
          id="mound-hatch"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V9" stroke="var(--oxide)" stroke-width="2.5" />
        </pattern>
      </defs>
      <rect
        v-if="shape.band"
        :x="shape.band.x"
        y="0"
        :width="shape.band.width"
        :height="HEIGHT"
        fill="var(--grass)"
        stroke="var(--grass-ink)"
        stroke-width="1"
        opacity="0.75"
      />
      <rect x="0" y="0" :width="shape.floorX" :height="HEIGHT" fill="url(#mound-hatch)" opacity="0.4" />
      <text :x="Math.max(4, shape.floorX + 6)" y="-6" fill="var(--oxide)" class="text-[14px] font-semibold">
        {{ t.flush.moundAnswer }}
      </text>
      <path
        :d="`M${shape.plentyX} 0V${HEIGHT}`"
        stroke="var(--sage)"
        stroke-width="2.5"
        stroke-dasharray="1 6"
        stroke-linecap="round"
      />
      <text :x="shape.plentyX + 6" :y="HEIGHT - 8" fill="var(--sage)" class="text-[14px] font-semibold">
        {{ t.flush.plentyAnswer }}
      </text>
      <path
        :d="`M0 ${shape.untilY}H${width}`"
        stroke="var(--ink)"
        stroke-width="1.5"
        stroke-dasharray="2 5"
      />
      <text
        :x="width"
        :y="shape.untilY - 7"
        text-anchor="end"
        fill="var(--soft)"
        class="text-[14px] font-semibold"
      >
        {{ t.risk.stay }}
      </text>
      <path :d="shape.line" fill="none" stroke="var(--ink)" stroke-width="3" />
      <circle v-if="shape.current" :cx="shape.current.x" :cy="shape.current.y" r="7" fill="var(--ink)" />
      <path :d="`M0 0V${HEIGHT}H${width}`" fill="none" stroke="var(--ink)" stroke-width="2" />
      <AxisTicks :ticks="shape.days" side="left" />
      <AxisTicks :ticks="shape.litres" side="below" :foot="HEIGHT" />
      <text
        :x="width"
        :y="HEIGHT + 44"
        text-anchor="end"
        fill="var(--soft)"
        class="text-[14px] font-semibold"
      >
        {{ t.flush.axis(shape.unit) }}
      </text>
    </svg>
    <figcaption class="text-[0.95rem] leading-snug text-soft">{{ t.flush.reading }}</figcaption>
  </figure>
</template>
