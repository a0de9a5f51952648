<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'
import { computed, ref, useId } from 'vue'
import type { WallTime } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { usePlotWidth } from '@/parts/usePlotWidth'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import MapKey from './MapKey.vue'
import { frameOf, neighbourOf } from './mapShape'
import { useMapMarks } from './useMapMarks'

/** The places about the site without any tiles: rings of road, what is open at an hour, the runs in their order. */
const props = defineProps<{ at: WallTime }>()
const emit = defineEmits<{ open: [place: string] }>()
const forecast = useForecastStore()
const id = useId()
const zoom = ref(0)
const chosen = ref<string | null>(null)
const svg = ref<SVGSVGElement | null>(null)

const width = usePlotWidth(600, 400)
const frame = computed(() => frameOf(width.value))
const { site, centre, rings, marks, labels, bearing, trips, badges } = useMapMarks(
  frame,
  zoom,
  () => props.at,
)

function keyed(event: KeyboardEvent) {
  if (event.key === '+' || event.key === '=') zoom.value = Math.min(4, zoom.value + 1)
  else if (event.key === '-' || event.key === '−') zoom.value = Math.max(-2, zoom.value - 1)
  else {
    const from = marks.value.find((mark) => mark.id === chosen.value)
    const next = neighbourOf(
      marks.value,
      from ?? { id: '', ...frame.value.centre, isBeyond: false },
      event.key,
    )
    if (!next) return
    focusOn(next.id)
  }
  event.preventDefault()
}
function focusOn(mark: string) {
  chosen.value = mark
  svg.value?.querySelector<SVGElement>(`[data-mark="${mark}"]`)?.focus()
}
/** Degrees clockwise from the right. */
const outward = ({ x, y }: { x: number; y: number }) =>
  (Math.atan2(y - frame.value.centre.y, x - frame.value.centre.x) * 180) / Math.PI
/** One mark is in the order of the page, the arrow keys go to the others. */
const inOrder = computed(() => chosen.value ?? marks.value[0]?.id ?? null)
</script>

<template>
  <figure v-if="centre" class="border-2 border-ink bg-card" data-testid="places-map">
    <svg
      ref="svg"
      :viewBox="`0 0 ${frame.width} ${frame.height}`"
      class="block w-full"
      role="group"
      :aria-label="t.places.mapOf(forecast.stay?.name ?? '')"
      @keydown="keyed"
    >
      <g fill="none" stroke="var(--line)" stroke-width="1.6">
        <circle
          v-for="ring in rings"
          :key="ring.at"
          :cx="frame.centre.x"
          :cy="frame.centre.y"
          :r="ring.radius"
        />
      </g>
      <g fill="var(--soft)" font-size="14" class="figure" aria-hidden="true">
        <text
          v-for="ring in rings"
          :key="ring.at"
          :x="frame.centre.x + ring.radius * bearing.x"
          :y="frame.centre.y + ring.radius * bearing.y + 5"
          text-anchor="middle"
          stroke="var(--card)"
          stroke-width="6"
          paint-order="stroke"
        >
          {{ ring.words }}
        </text>
      </g>
      <g fill="none" stroke="var(--ink)" stroke-linecap="round" aria-hidden="true">
        <path v-for="trip in trips" :key="trip" :d="trip" stroke-width="4.5" stroke-linejoin="round" />
      </g>
      <path
        v-if="site"
        :d="`M${frame.centre.x} ${frame.centre.y - 15} l14 25 h-28 z`"
        fill="var(--ink)"
        stroke="var(--card)"
        stroke-width="2"
        aria-hidden="true"
      />
      <g
        v-for="mark in marks"
        :key="mark.id"
        role="button"
        class="map-mark cursor-pointer"
        :tabindex="mark.id === inOrder ? 0 : -1"
        :data-mark="mark.id"
        :aria-label="mark.spoken"
        @click="emit('open', mark.id)"
        @focus="chosen = mark.id"
        @keydown.enter.stop.prevent="emit('open', mark.id)"
        @keydown.space.stop.prevent="emit('open', mark.id)"
      >
        <circle :cx="mark.x" :cy="mark.y" r="24" fill="transparent" />
        <circle class="map-ring" :cx="mark.x" :cy="mark.y" r="19" fill="none" />
        <!-- Farther than the map: an arrow points on. -->
        <path
          v-if="mark.isBeyond"
          :transform="`translate(${mark.x} ${mark.y}) rotate(${outward(mark)})`"
          d="M15 -6 l7 6 -7 6"
          fill="none"
          stroke="var(--ink)"
          stroke-width="3"
        />
        <g
          :transform="`translate(${mark.x} ${mark.y})`"
          stroke="var(--ink)"
          stroke-width="3"
          :stroke-dasharray="mark.state === null || mark.state === 'perhaps' ? '4 3' : undefined"
          :fill="
            mark.state === 'open' ? (mark.shape === 'tap' ? 'var(--water-ink)' : 'var(--ink)') : 'var(--card)'
          "
        >
          <rect v-if="mark.shape === 'station'" x="-9" y="-9" width="18" height="18" />
          <circle v-else-if="mark.shape === 'tap'" r="9" />
          <path v-else-if="mark.shape === 'town'" d="M0 -12 12 0 0 12 -12 0 z" />
          <path v-else d="M-10 10 V-2 L0 -12 10 -2 V10 z" />
        </g>
      </g>
      <g v-for="badge in badges" :key="badge.id" class="pointer-events-none" aria-hidden="true">
        <rect
          :x="badge.x - 7 - 4.2 * badge.text.length"
          :y="badge.y - 10"
          :width="14 + 8.4 * badge.text.length"
          height="20"
          fill="var(--ink)"
          stroke="var(--card)"
          stroke-width="2"
        />
        <text
          :x="badge.x"
          :y="badge.y + 5"
          text-anchor="middle"
          fill="var(--paper)"
          font-size="14"
          font-weight="700"
          class="figure"
        >
          {{ badge.text }}
        </text>
      </g>
      <g
        v-for="label in labels"
        :key="label.id"
        class="pointer-events-none"
        stroke="var(--card)"
        stroke-width="7"
        stroke-linejoin="round"
        paint-order="stroke"
        :text-anchor="label.anchor"
        aria-hidden="true"
      >
        <text :x="label.x" :y="label.y + 14" fill="var(--ink)" font-size="16" font-weight="700">
          {{ label.first }}
        </text>
        <text v-if="label.second" :x="label.x" :y="label.y + 31" fill="var(--soft)" font-size="14">
          {{ label.second }}
        </text>
      </g>
    </svg>
    <figcaption class="flex flex-wrap items-center gap-x-2 border-t border-line px-2 py-1">
      <AppButton kind="quiet" :aria-label="t.places.zoomIn" :disabled="zoom >= 4" @click="zoom += 1"
        ><Plus :size="20" aria-hidden="true"
      /></AppButton>
      <AppButton kind="quiet" :aria-label="t.places.zoomOut" :disabled="zoom <= -2" @click="zoom -= 1"
        ><Minus :size="20" aria-hidden="true"
      /></AppButton>
      <MapKey :aria-labelledby="id" />
      <span :id="id" class="sr-only">{{ t.places.mapHint }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.map-ring {
  stroke: none;
}
.map-mark:focus-visible {
  outline: none;
}
.map-mark:focus-visible .map-ring {
  stroke: var(--focus);
  stroke-width: 4;
}
</style>
