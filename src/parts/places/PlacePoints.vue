<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import {
  ACCEPTED,
  PLACE_RULES,
  PLACE_WATER,
  pointsOf,
  type Accepted,
  type Place,
  type PlaceRule,
  type PlaceWater,
  type Point,
} from '@/core/domain'
import type { Quantity } from '@/core/quantities'
import { newId } from '@/data/newId'
import { LIMITS } from '@/document'
import { newPlace } from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import MaybeQuantity from '@/parts/fields/MaybeQuantity.vue'
import { usePlaceEdit } from './usePlaceEdit'

/** What each point of a place takes, what its water is, and what must not be in the tanks. */
const props = defineProps<{ place: Place }>()
const edit = usePlaceEdit()

/** The first point is the place itself. */
function put(point: Point, next: Partial<Point>, what: string | null = null) {
  const { place } = props
  if (point.id === place.id) return edit.put({ ...place, ...next }, what)
  const points = place.points.map((one) => (one.id === point.id ? { ...one, ...next } : one))
  return edit.put({ ...place, points }, what)
}
function toggle(point: Point, what: Accepted) {
  const known = point.accepts ?? []
  put(point, { accepts: known.includes(what) ? known.filter((one) => one !== what) : [...known, what] })
}
function add() {
  const { id, name, accepts, water, rule, flow } = newPlace(newId('place'), t.places.newPoint)
  edit.put({ ...props.place, points: [...props.place.points, { id, name, accepts, water, rule, flow }] })
}
const removePoint = (point: Point) =>
  edit.put({ ...props.place, points: props.place.points.filter(({ id }) => id !== point.id) })
const box = (isOn: boolean) => (isOn ? 'border-ink bg-ink font-semibold text-paper' : 'border-line')
</script>

<template>
  <div>
    <div
      v-for="point in pointsOf(place)"
      :key="point.id"
      class="grid gap-3 pb-3"
      :class="point.id === place.id ? '' : 'border-t border-line pt-3'"
      :data-testid="`point-${point.id}`"
    >
      <div v-if="point.id !== place.id" class="flex items-end gap-2">
        <TextField
          class="grow"
          :label="t.places.pointName"
          :value="point.name"
          :save="(name) => put(point, { name }, 'point')"
        />
        <AppButton kind="quiet" :aria-label="t.places.removePoint(point.name)" @click="removePoint(point)"
          ><Trash2 :size="20" aria-hidden="true"
        /></AppButton>
      </div>
      <fieldset>
        <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.runs.places.accepts }}</legend>
        <div class="flex flex-wrap gap-2">
          <button
            type="button"
            role="checkbox"
            :aria-checked="point.accepts === null"
            class="min-h-11 border-2 px-3"
            :class="box(point.accepts === null)"
            @click="put(point, { accepts: point.accepts === null ? [] : null })"
          >
            {{ t.runs.places.unknown }}
          </button>
          <button
            v-for="what in ACCEPTED"
            :key="what"
            type="button"
            role="checkbox"
            :aria-checked="point.accepts?.includes(what) ?? false"
            class="min-h-11 border-2 px-3"
            :class="box(point.accepts?.includes(what) ?? false)"
            @click="toggle(point, what)"
          >
            {{ t.runs.accepted[what] }}
          </button>
        </div>
      </fieldset>
      <div class="grid grid-cols-2 items-start gap-4">
        <ChoiceField
          :label="t.runs.places.water"
          :value="point.water"
          :options="PLACE_WATER.map((value) => ({ value, label: t.runs.places.waters[value] }))"
          @choose="put(point, { water: $event as PlaceWater })"
        />
        <ChoiceField
          :label="t.cards.placeRule"
          :value="point.rule"
          :options="PLACE_RULES.map((value) => ({ value, label: t.placeRules[value] }))"
          @choose="put(point, { rule: $event as PlaceRule })"
        />
        <MaybeQuantity
          :label="t.places.flow"
          :value="point.flow"
          dimension="volume"
          :limits="LIMITS.perMinuteL"
          :first="10"
          :save="(flow: Quantity | null) => put(point, { flow }, 'flow')"
        />
      </div>
    </div>
    <AppButton v-if="place.points.length < LIMITS.points" @click="add">{{ t.places.addPoint }}</AppButton>
  </div>
</template>
