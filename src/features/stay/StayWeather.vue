<script setup lang="ts">
import { addWallDays, dayZero, nightsBetween } from '@/core/calendar'
import { warmestOf, type Stay, type Weather } from '@/core/model'
import { owned } from '@/core/quantities'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { stayOf } from '@/document/edits'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { formatShortDay, t } from '@/texts'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
const days = () =>
  Array.from({ length: nightsBetween(props.stay.start, props.stay.leaveAt) + 1 }, (_, day) => ({
    day,
    label: t.weather.day(formatShortDay(addWallDays(dayZero(props.stay.start), day))),
  }))

function change(what: string, recipe: (draft: Weather) => void) {
  const { id } = props.stay
  return workspace.edit('stay', (draft) => recipe(stayOf(draft, id).weather), `weather ${what} ${id}`)
}
/** A day like the usual one is not kept apart. */
const setDay = (day: number, celsius: number) =>
  change(`day ${day}`, (draft) => {
    draft.days = draft.days.filter((entry) => entry.day !== day)
    if (celsius !== draft.usual.value) draft.days.push({ day, warmest: owned(celsius) })
  })
</script>

<template>
  <section class="pt-8" aria-labelledby="weather" data-anchor="weather">
    <h2 id="weather" class="text-xl font-bold">{{ t.weather.title }}</h2>
    <p class="text-soft">{{ t.weather.hint }}</p>
    <div class="mt-3 grid grid-cols-2 gap-4 sm:grid-cols-3">
      <QuantityField
        class="col-span-2 sm:col-span-1"
        :label="t.weather.usual"
        :value="stay.weather.usual.value"
        dimension="temperature"
        :min="LIMITS.celsius.min"
        :max="LIMITS.celsius.max"
        :save="(celsius) => change('usual', (draft) => void (draft.usual = owned(celsius)))"
      />
      <TextField
        type="time"
        :label="t.weather.sunrise"
        :value="stay.weather.sunrise"
        :save="(clock) => change('sunrise', (draft) => void (draft.sunrise = clock))"
      />
      <TextField
        type="time"
        :label="t.weather.sunset"
        :value="stay.weather.sunset"
        :save="(clock) => change('sunset', (draft) => void (draft.sunset = clock))"
      />
    </div>
    <details class="mt-2">
      <summary class="min-h-11 cursor-pointer py-2.5 font-semibold text-soft">{{ t.weather.days }}</summary>
      <div class="grid grid-cols-2 gap-4 sm:grid-cols-4">
        <QuantityField
          v-for="entry in days()"
          :key="entry.day"
          :label="entry.label"
          :value="warmestOf(stay, entry.day)"
          dimension="temperature"
          :min="LIMITS.celsius.min"
          :max="LIMITS.celsius.max"
          :save="(celsius) => setDay(entry.day, celsius)"
        />
      </div>
    </details>
  </section>
</template>
