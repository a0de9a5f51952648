<script setup lang="ts">
import { computed } from 'vue'
import { addWallDays, slotNumber, wallDaysBetween, type WallTime } from '@/core/calendar'
import type { SeasonStay } from '@/core/chain'
import type { Id } from '@/core/domain'
import { formatShortDay } from '@/texts'
import * as t from '@/texts/t'

/** Stays on one line of days: how far each lasts, where it stops, and where it is emptied. */
const props = defineProps<{
  season: readonly SeasonStay[]
  span: { from: WallTime; days: number }
  shown: Id | null
}>()
defineEmits<{ show: [stay: Id] }>()
const W = 1000
const H = 96
const x = (time: WallTime) => (wallDaysBetween(props.span.from, time) / props.span.days) * W
const bars = computed(() =>
  props.season.map(({ stay, holds, lasts, dumps }) => {
    const [left, right] = [x(stay.start), x(stay.leaveAt)]
    const stop = lasts || holds === null ? null : x(addWallDays(stay.start, holds))
    return {
      id: stay.id,
      name: stay.name,
      left,
      width: Math.max(3, right - left),
      stop,
      dumps: dumps.map((run) => ({
        id: run.id,
        x: Math.min(
          right,
          Math.max(
            left,
            x(addWallDays(`${addWallDays(stay.start, -5 / 24).slice(0, 10)}T05:00`, slotNumber(run) / 4)),
          ),
        ),
      })),
    }
  }),
)
/** No more day names than can be read. */
const days = computed(() => {
  const step = Math.max(1, Math.ceil(props.span.days / 14))
  return Array.from({ length: Math.floor(props.span.days / step) + 1 }, (_, i) => {
    const time = addWallDays(props.span.from, i * step)
    return { at: x(time), label: formatShortDay(time) }
  })
})
</script>

<template>
  <figure
    data-testid="season-strip"
    class="overflow-x-auto"
    tabindex="0"
    role="region"
    :aria-label="t.season.strip"
  >
    <svg :viewBox="`-4 0 ${W + 8} ${H}`" class="block w-full min-w-[40rem]" aria-hidden="true">
      <defs>
        <pattern
          id="season-hatch"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="9" height="9" fill="var(--grass)" />
          <line x1="0" y1="0" x2="0" y2="9" stroke="var(--grass-ink)" stroke-width="2.4" />
        </pattern>
      </defs>
      <g stroke="var(--line)" stroke-width="1.5">
        <line v-for="day in days" :key="day.at" :x1="day.at" :x2="day.at" y1="22" :y2="H - 8" />
      </g>
      <g fill="var(--soft)" font-size="14" class="figure">
        <text v-for="day in days" :key="day.at" :x="day.at + 3" y="15">{{ day.label }}</text>
      </g>
      <line x1="0" :x2="W" y1="58" y2="58" stroke="var(--faint)" stroke-width="2" stroke-dasharray="3 6" />
      <g v-for="bar in bars" :key="bar.id">
        <rect
          :x="bar.left"
          y="34"
          :width="bar.width"
          height="48"
          :fill="'url(#season-hatch)'"
          stroke="var(--ink)"
          :stroke-width="bar.id === shown ? 5 : 2.4"
        />
        <rect
          v-if="bar.stop !== null"
          :x="bar.stop"
          y="34"
          :width="Math.max(0, bar.left + bar.width - bar.stop)"
          height="48"
          fill="var(--over)"
          stroke="var(--oxide)"
          stroke-width="3"
        />
        <g v-for="dump in bar.dumps" :key="dump.id" stroke="var(--ink)" stroke-width="4">
          <line :x1="dump.x" :x2="dump.x" y1="26" y2="90" />
          <rect :x="dump.x - 5" y="22" width="10" height="10" fill="var(--ink)" stroke="none" />
        </g>
      </g>
    </svg>
  </figure>
</template>
