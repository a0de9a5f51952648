<script setup lang="ts">
import { computed } from 'vue'
import type { TankContainer } from '@/core/domain'
import * as t from '@/texts/t'

const props = defineProps<{
  gray: TankContainer
  black: TankContainer
  /** L in each now. */
  grayL: number
  blackL: number
  /** L that may go. */
  moved: number
}>()

const WIDTH = 420
const HEIGHT = 210
const TANK = 150

/** Both tanks at their heights over the same ground, to scale. */
const tanks = computed(() => {
  const both = [
    { tank: props.gray, level: props.grayL, after: props.grayL - props.moved, x: 20 },
    { tank: props.black, level: props.blackL, after: props.blackL + props.moved, x: WIDTH - TANK - 20 },
  ]
  const top = Math.max(...both.map(({ tank }) => tank.shape!.bottom.value + tank.shape!.height.value))
  const y = (metres: number) => HEIGHT - 24 - (metres / top) * (HEIGHT - 50)
  return both.map(({ tank, level, after, x }) => {
    const { bottom, height } = tank.shape!
    const surface = (litres: number) =>
      y(bottom.value + Math.min(1, Math.max(0, litres / tank.capacity.value)) * height.value)
    return {
      x,
      name: tank.name,
      top: y(bottom.value + height.value),
      base: y(bottom.value),
      surface: surface(level),
      after: surface(after),
      safe: surface(tank.safeFill.value * tank.capacity.value),
    }
  })
})
</script>

<template>
  <div class="max-w-[34rem]" aria-hidden="true">
    <p class="figure flex justify-between gap-4 text-lg font-bold">
      <span v-for="tank in tanks" :key="tank.x" class="w-[42%] text-center leading-tight wrap-anywhere">{{
        tank.name
      }}</span>
    </p>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="w-full">
      <defs>
        <pattern
          id="transfer-hatch"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="9" height="9" fill="var(--grass)" />
          <path d="M0 0v9" stroke="var(--grass-ink)" stroke-width="3" />
        </pattern>
      </defs>
      <path :d="`M0 ${HEIGHT - 14}H${WIDTH}`" stroke="var(--line)" stroke-width="3" />
      <path
        :d="`M${20 + TANK} ${tanks[0]!.base - 6}H${WIDTH / 2}V${tanks[1]!.base - 6}H${WIDTH - TANK - 20}`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="9"
      />
      <g v-for="tank in tanks" :key="tank.x">
        <rect :x="tank.x" :y="tank.top" :width="TANK" :height="tank.base - tank.top" fill="var(--post)" />
        <rect
          :x="tank.x"
          :y="tank.surface"
          :width="TANK"
          :height="Math.max(0, tank.base - tank.surface)"
          fill="url(#transfer-hatch)"
        />
        <path
          v-if="moved > 0"
          :d="`M${tank.x} ${tank.after}h${TANK}`"
          stroke="var(--ink)"
          stroke-width="4"
          stroke-dasharray="9 6"
        />
        <path :d="`M${tank.x - 9} ${tank.safe}h16`" stroke="var(--ink)" stroke-width="3" />
        <rect
          :x="tank.x"
          :y="tank.top"
          :width="TANK"
          :height="tank.base - tank.top"
          fill="none"
          stroke="var(--ink)"
          stroke-width="4"
        />
        <text
          v-if="moved > 0"
          :x="tank.x + TANK + (tank.x < 100 ? 7 : -TANK - 7)"
          :y="tank.after + 5"
          :text-anchor="tank.x < 100 ? 'start' : 'end'"
          font-size="15"
          fill="var(--ink)"
        >
          {{ t.transfer.after }}
        </text>
      </g>
    </svg>
  </div>
</template>
