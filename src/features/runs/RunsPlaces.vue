<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import {
  ACCEPTED,
  PLACE_RULES,
  PLACE_WATER,
  type Accepted,
  type Place,
  type PlaceRule,
  type PlaceWater,
  type Stay,
} from '@/core/model'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { putPlace, removePlace } from '@/document/edits'
import { newPlace } from '@/document/starters'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** Where runs go: a name is enough; what it takes and what its water is, as far as it is known. */
const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()

function put(place: Place, what: string | null = null) {
  const { id } = props.stay
  const coalesce = what === null ? null : `${what} ${place.id}`
  return workspace.edit('place', (draft) => putPlace(draft, id, place), coalesce)
}
function remove(place: Place) {
  const { id } = props.stay
  workspace.edit('place', (draft) => removePlace(draft, id, place.id))
}
const takes = (place: Place, what: Accepted) => place.accepts?.includes(what) ?? false
function toggle(place: Place, what: Accepted) {
  const known = place.accepts ?? []
  const accepts = takes(place, what) ? known.filter((one) => one !== what) : [...known, what]
  put({ ...place, accepts })
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.runs.places.hint }}</p>
    <ul class="mt-2">
      <li
        v-for="place in stay.places"
        :key="place.id"
        class="grid items-start gap-x-6 gap-y-3 border-t border-line py-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,5fr)_minmax(0,2fr)_minmax(0,2fr)_3rem]"
        :data-testid="`place-${place.id}`"
      >
        <TextField
          :label="t.runs.places.name"
          :value="place.name"
          :save="(name) => put({ ...place, name }, 'name')"
        />
        <fieldset>
          <legend class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.runs.places.accepts }}</legend>
          <div class="flex flex-wrap gap-2">
            <button
              type="button"
              role="checkbox"
              :aria-checked="place.accepts === null"
              class="min-h-11 border-2 px-3 text-[0.95rem]"
              :class="place.accepts === null ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
              @click="put({ ...place, accepts: place.accepts === null ? [...ACCEPTED] : null })"
            >
              {{ t.runs.places.unknown }}
            </button>
            <button
              v-for="what in ACCEPTED"
              :key="what"
              type="button"
              role="checkbox"
              :aria-checked="takes(place, what)"
              class="min-h-11 border-2 px-3 text-[0.95rem]"
              :class="takes(place, what) ? 'border-ink bg-ink font-semibold text-paper' : 'border-line'"
              @click="toggle(place, what)"
            >
              {{ t.runs.accepted[what] }}
            </button>
          </div>
        </fieldset>
        <ChoiceField
          :label="t.runs.places.water"
          :value="place.water"
          :options="PLACE_WATER.map((water) => ({ value: water, label: t.runs.places.waters[water] }))"
          @choose="put({ ...place, water: $event as PlaceWater })"
        />
        <ChoiceField
          :label="t.cards.placeRule"
          :value="place.rule"
          :options="PLACE_RULES.map((rule) => ({ value: rule, label: t.placeRules[rule] }))"
          @choose="put({ ...place, rule: $event as PlaceRule })"
        />
        <AppButton
          kind="quiet"
          class="self-end justify-self-end"
          :aria-label="t.rig.remove(place.name)"
          @click="remove(place)"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
      </li>
    </ul>
    <div class="border-t border-line pt-4">
      <AppButton @click="put(newPlace(newId('place'), t.runs.places.newName))">{{
        t.runs.places.add
      }}</AppButton>
    </div>
  </div>
</template>
