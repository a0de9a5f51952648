<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'
import { computed, ref, useId } from 'vue'
import { slotNumber, type WallTime } from '@/core/calendar'
import type { Place } from '@/core/model'
import { greatCircleKm } from '@/core/places'
import { toSi } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import { badgeOf, bearingOf, frameOf, labelsOf, marksOf, neighbourOf, reachOf, ringsOf } from './mapShape'
import { usePlotWidth } from '@/parts/usePlotWidth'
import { usePlaceWords } from './usePlaceWords'

/** The places about the site without any tiles: rings of road, what is open at an hour, the runs in their order. */
const props = defineProps<{ at: WallTime }>()
const emit = defineEmits<{ open: [place: string] }>()
const forecast = useForecastStore()
const settings = useSettingsStore()
const words = usePlaceWords()
const id = useId()
const zoom = ref(0)
const chosen = ref<string | null>(null)
const svg = ref<SVGSVGElement | null>(null)

const width = usePlotWidth(600, 400)
const frame = computed(() => frameOf(width.value))
const site = computed(() => forecast.stay?.site.position ?? null)
const placed = computed(() => (forecast.stay?.places ?? []).filter(({ position }) => position !== null))
/** Without a site the map is about the first place. */
const centre = computed(() => site.value ?? placed.value[0]?.position ?? null)
const reach = computed(() => {
  const about = centre.value
  // Home may be far: it stands on the rim rather than pressing all else together.
  const near = placed.value.filter(({ isHome }) => !isHome)
  return about
    ? reachOf(
        (near.length > 0 ? near : placed.value).map(({ position }) => greatCircleKm(about, position!)),
        zoom.value,
      )
    : 1
})
const rings = computed(() => {
  const unit = settings.units.distance
  const factor = forecast.crew?.road.factor.value ?? 1
  return ringsOf(frame.value, reach.value, factor, toSi(1, unit)).map((ring) => ({
    ...ring,
    words: `${formatNumber(ring.at, 1)} ${t.units[unit]}`,
  }))
})

type Shape = 'station' | 'tap' | 'town' | 'home'
function shapeOf(place: Place): Shape {
  if (place.isHome) return 'home'
  if (place.accepts === null || place.accepts.length > 0 || place.points.length > 0) return 'station'
  return place.offers.length > 0 && place.water !== 'potable' ? 'town' : 'tap'
}
/** Runs to each place by their number in the order of time. */
const runs = computed(() =>
  [...(forecast.stay?.runs ?? [])]
    .sort((a, b) => slotNumber(a) - slotNumber(b))
    .flatMap(({ place }, i) => (place === null ? [] : [{ place, n: i + 1 }])),
)
const marks = computed(() => {
  const about = centre.value
  if (!about) return []
  const byId = new Map(placed.value.map((place) => [place.id, place]))
  return marksOf(frame.value, about, placed.value, reach.value).map((mark) => {
    const place = byId.get(mark.id)!
    const road = words.road(place)
    const hours = words.hoursAt(place, props.at)
    const numbers = runs.value.filter((run) => run.place === place.id).map(({ n }) => n)
    return {
      ...mark,
      place,
      shape: shapeOf(place),
      state: words.stateAt(place, props.at),
      name: road ? `${place.name}, ${road}` : place.name,
      hours,
      numbers,
      spoken: [place.name, road ?? t.places.noRoad, hours, words.takes(place)].join(', '),
    }
  })
})
/** Beyond the rim the first line says all there is room for. */
const labels = computed(() => {
  const siteMark = {
    id: '',
    ...frame.value.centre,
    ways: [[site.value ? (forecast.stay?.name.length ?? 0) : 0]],
  }
  // Those that runs go to come first.
  const inOrder = [...marks.value].sort((a, b) => b.numbers.length - a.numbers.length)
  const of = inOrder.map(({ id: mark, x, y, name, hours, isBeyond, place }) => ({
    id: mark,
    x,
    y,
    ways: [...(isBeyond ? [] : [[name.length, hours.length * 0.86]]), [name.length], [place.name.length]],
  }))
  const known = new Map(marks.value.map((mark) => [mark.id, mark]))
  return labelsOf(frame.value, [siteMark, ...of]).map((label) => {
    const mark = known.get(label.id)
    if (!mark) return { ...label, first: site.value ? (forecast.stay?.name ?? '') : '', second: null }
    // Beyond the rim all there is room for is one line.
    const way = label.way + (mark.isBeyond ? 1 : 0)
    return { ...label, first: way === 2 ? mark.place.name : mark.name, second: way === 0 ? mark.hours : null }
  })
})
/** Where the rings say how far they are: in the direction with the most room. */
const bearing = computed(() => bearingOf(frame.value, marks.value, labels.value))
/** Each trip from the site by its stops, in the order of the runs. */
const trips = computed(() => {
  const byId = new Map(marks.value.map((mark) => [mark.id, mark]))
  const stops = new Map<number, string[]>()
  for (const run of forecast.stay?.runs ?? []) {
    const mark = run.place === null ? undefined : byId.get(run.place)
    if (!mark) continue
    const at = slotNumber(run)
    stops.set(at, [...(stops.get(at) ?? []), `L${mark.x} ${mark.y}`])
  }
  const { x, y } = frame.value.centre
  return [...new Set([...stops.values()].map((legs) => `M${x} ${y} ${legs.join(' ')}`))]
})
const badges = computed(() =>
  marks.value.flatMap((mark) =>
    mark.numbers.length === 0
      ? []
      : [{ ...badgeOf(mark, marks.value), id: mark.id, text: mark.numbers.join(' ') }],
  ),
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
        stroke-width="4"
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
      <ul class="flex flex-wrap gap-x-4 px-2 pb-1 text-[0.9rem] text-soft" :aria-labelledby="id">
        <li
          v-for="key in ['open', 'shut', 'unknown', 'tap', 'town', 'home'] as const"
          :key="key"
          class="flex items-center gap-1.5"
        >
          <svg viewBox="-14 -14 28 28" class="h-5 w-5" aria-hidden="true">
            <g
              stroke="var(--ink)"
              stroke-width="3"
              :fill="key === 'open' ? 'var(--ink)' : 'var(--card)'"
              :stroke-dasharray="key === 'unknown' ? '4 3' : undefined"
            >
              <circle v-if="key === 'tap'" r="9" />
              <path v-else-if="key === 'town'" d="M0 -12 12 0 0 12 -12 0 z" />
              <path v-else-if="key === 'home'" d="M-10 10 V-2 L0 -12 10 -2 V10 z" />
              <rect v-else x="-9" y="-9" width="18" height="18" />
            </g>
          </svg>
          {{ t.places.key[key] }}
        </li>
      </ul>
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
