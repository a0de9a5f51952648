<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from '@/core/domain'
import { parsePosition, showPosition } from '@/core/places'
import type { Quantity } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { LIMITS } from '@/document'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import MaybeQuantity from '@/parts/fields/MaybeQuantity.vue'
import { usePlaceEdit } from './usePlaceEdit'
import { usePlaceWords } from './usePlaceWords'

/** Where a place is, and the road there: worked out, or the owner's own, which wins. */
const props = defineProps<{ place: Place }>()
const forecast = useForecastStore()
const edit = usePlaceEdit()
const words = usePlaceWords()
const own = computed(
  () =>
    forecast.stay?.ways.find(({ place }) => place === props.place.id) ?? {
      place: props.place.id,
      kilometres: null,
      minutes: null,
    },
)
function wrong(text: string): string | null {
  const read = parsePosition(text)
  return read.ok ? null : t.places[read.code](read.found)
}
function save(text: string) {
  const read = parsePosition(text)
  return edit.put({ ...props.place, position: read.ok ? read.value : props.place.position }, 'position')
}
const leg = computed(() => words.legTo(props.place))
</script>

<template>
  <div class="grid grid-cols-2 items-start gap-4">
    <TextField
      class="col-span-2"
      :label="t.places.position"
      :value="place.position ? showPosition(place.position) : ''"
      :wrong="wrong"
      :save="save"
    />
    <p v-if="leg && !leg.isOwn" class="col-span-2 text-soft">
      {{ t.places.workedOut }}: {{ words.road(place) }}, {{ words.drive(place) }}
    </p>
    <MaybeQuantity
      :label="t.places.road"
      :value="own.kilometres"
      dimension="distance"
      :limits="LIMITS.kilometres"
      :first="Math.round(leg?.kilometres ?? 10)"
      is-assumed
      :save="(kilometres: Quantity | null) => edit.setWay({ ...own, kilometres })"
    />
    <MaybeQuantity
      :label="t.places.drive"
      :value="own.minutes"
      dimension="number"
      :limits="LIMITS.runMinutes"
      :first="Math.round(leg?.minutes ?? 15)"
      is-assumed
      :save="(minutes: Quantity | null) => edit.setWay({ ...own, minutes })"
    />
  </div>
</template>
