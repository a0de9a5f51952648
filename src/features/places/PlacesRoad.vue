<script setup lang="ts">
import { setRoad } from '@/actions/people'
import type { Crew, Road } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import * as t from '@/texts/t'

/** What is assumed of roads, and of the time errands take, where nobody knows better. */
const props = defineProps<{ crew: Crew }>()
const workspace = useWorkspaceStore()
const FIELDS = [
  { key: 'factor', dimension: 'number', limits: LIMITS.roadFactor },
  { key: 'speed', dimension: 'distance', limits: LIMITS.kmPerHour },
  { key: 'packing', dimension: 'minutes', limits: LIMITS.runMinutes },
  { key: 'service', dimension: 'minutes', limits: LIMITS.runMinutes },
] as const
function set(key: keyof Road, value: number) {
  return workspace.act(setRoad(props.crew.id, key, value))
}
</script>

<template>
  <div>
    <p class="text-soft">{{ t.places.roadHint }}</p>
    <div class="mt-2 grid grid-cols-2 items-start gap-4 sm:grid-cols-4">
      <QuantityField
        v-for="{ key, dimension, limits } in FIELDS"
        :key="key"
        :label="t.places.roads[key]"
        :value="crew.road[key].value"
        :dimension="dimension"
        :min="limits.min"
        :max="limits.max"
        :save="(value) => set(key, value)"
      />
    </div>
  </div>
</template>
