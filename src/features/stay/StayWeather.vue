<script setup lang="ts">
import type { Stay, Weather } from '@/core/model'
import { owned } from '@/core/quantities'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { stayOf } from '@/document/edits'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { t } from '@/texts'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
function change(what: string, recipe: (draft: Weather) => void) {
  const { id } = props.stay
  return workspace.edit('stay', (draft) => recipe(stayOf(draft, id).weather), `weather ${what} ${id}`)
}
</script>

<template>
  <section class="pt-8" aria-labelledby="weather" data-anchor="weather">
    <h2 id="weather" class="text-xl font-bold">{{ t.weather.title }}</h2>
    <p class="text-soft">{{ t.weather.hint }}</p>
    <div class="mt-3 grid grid-cols-2 gap-4 sm:grid-cols-4">
      <QuantityField
        class="col-span-2 sm:col-span-1"
        :label="t.weather.usual"
        :value="stay.weather.usual.value"
        dimension="temperature"
        :min="LIMITS.celsius.min"
        :max="LIMITS.celsius.max"
        :save="(celsius) => change('usual', (draft) => void (draft.usual = owned(celsius)))"
      />
      <QuantityField
        class="col-span-2 sm:col-span-1"
        :label="t.sure.weatherOff"
        :value="stay.weather.spread.value"
        dimension="number"
        :min="0"
        :max="LIMITS.celsiusSpread.max"
        :save="(celsius) => change('spread', (draft) => void (draft.spread = owned(celsius)))"
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
  </section>
</template>
