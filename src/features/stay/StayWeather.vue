<script setup lang="ts">
import { computed } from 'vue'
import { changeWeather } from '@/actions/stay'
import { setHeat } from '@/actions/people'
import type { Crew, Stay, Weather } from '@/core/domain'
import { fromSi, owned } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { formatSource } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ stay: Stay; crew: Crew }>()
const workspace = useWorkspaceStore()
const change = (patch: Partial<Weather>) => workspace.act(changeWeather(props.stay.id, patch))
const changeHeat = (what: keyof Crew['heat'], value: number) =>
  workspace.act(setHeat(props.crew.id, what, value))
const settings = useSettingsStore()
/** A difference of 1 °C in the owner's degrees. */
const degree = computed(() => fromSi(1, settings.units.temperature) - fromSi(0, settings.units.temperature))
const heat = computed(() => {
  const step = t.weather.step[settings.units.temperature]
  return [
    { what: 'above', label: t.weather.above, dimension: 'temperature', limits: LIMITS.celsius },
    { what: 'drinking', label: t.weather.drinking(step), dimension: 'volume', limits: LIMITS.volumeL },
    { what: 'showers', label: t.weather.showers(step), dimension: 'percent', limits: LIMITS.factor },
  ] as const
})
</script>

<template>
  <div>
    <p class="text-soft">{{ t.weather.hint }}</p>
    <div class="mt-3 grid grid-cols-2 gap-4 sm:grid-cols-4">
      <QuantityField
        class="col-span-2 sm:col-span-1"
        :label="t.weather.usual"
        :value="stay.weather.usual.value"
        dimension="temperature"
        :min="LIMITS.celsius.min"
        :max="LIMITS.celsius.max"
        :save="(celsius) => change({ usual: owned(celsius) })"
      />
      <QuantityField
        class="col-span-2 sm:col-span-1"
        :label="t.sure.weatherOff(t.units[settings.units.temperature])"
        :value="stay.weather.spread.value * degree"
        dimension="number"
        :min="0"
        :max="LIMITS.celsiusSpread.max * degree"
        :save="(degrees) => change({ spread: owned(degrees / degree) })"
      />
      <TextField
        type="time"
        :label="t.weather.sunrise"
        :value="stay.weather.sunrise"
        :save="(sunrise) => change({ sunrise })"
      />
      <TextField
        type="time"
        :label="t.weather.sunset"
        :value="stay.weather.sunset"
        :save="(sunset) => change({ sunset })"
      />
    </div>
    <h3 class="mt-6 font-bold">{{ t.weather.heat }}</h3>
    <div class="mt-2 grid gap-4 sm:grid-cols-3">
      <div v-for="field in heat" :key="field.what">
        <QuantityField
          :label="field.label"
          :value="crew.heat[field.what].value"
          :dimension="field.dimension"
          :min="field.limits.min"
          :max="field.limits.max"
          :save="(value) => changeHeat(field.what, value)"
        />
        <p class="mt-1 text-[0.95rem] leading-snug text-soft">{{ formatSource(crew.heat[field.what]) }}</p>
      </div>
    </div>
  </div>
</template>
