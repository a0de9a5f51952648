<script setup lang="ts">
import { computed } from 'vue'
import { panelMarks } from '@/core/domain'
import type { Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { markNames } from '@/parts/levels/markNames'
import AppChoices from '@/ui/AppChoices.vue'

/** What the panel shows, a row for each tank that has one. */
const props = defineProps<{ seen: Record<Id, number>; only?: readonly Id[] }>()
defineEmits<{ choose: [tank: Id, step: number] }>()
const forecast = useForecastStore()
const rows = computed(() =>
  (forecast.rig?.containers ?? []).flatMap((tank) => {
    const panel = 'panel' in tank ? tank.panel : null
    const isAsked = props.only ? props.only.includes(tank.id) : tank.kind === 'gray' || tank.kind === 'black'
    if (!panel || !isAsked) return []
    const options = markNames(panelMarks(panel)).map((label, step) => ({ value: String(step), label }))
    return [{ tank, options }]
  }),
)
</script>

<template>
  <div class="grid gap-3">
    <AppChoices
      v-for="{ tank, options } in rows"
      :key="tank.id"
      :label="tank.name"
      :value="String(seen[tank.id] ?? '')"
      :options="options"
      :data-testid="`panel-${tank.id}`"
      @choose="$emit('choose', tank.id, Number($event))"
    />
  </div>
</template>
