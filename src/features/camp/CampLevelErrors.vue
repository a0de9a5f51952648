<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import type { LevelError } from '@/core/model'
import { owned } from '@/core/quantities'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { stayOf } from '@/document/edits'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { t } from '@/texts'

const forecast = useForecastStore()
const route = useRoute()
const workspace = useWorkspaceStore()
const SHAPES = [
  { value: 'even', label: t.sure.readEven },
  { value: 'normal', label: t.sure.readNormal },
]

const rows = computed(() =>
  (forecast.rig?.containers ?? []).flatMap((container) => {
    const entry = forecast.stay?.levels.find((level) => level.container === container.id)
    const isUses = container.kind === 'solids'
    return entry && 'spread' in container
      ? [{ id: container.id, name: container.name, error: entry.error, isUses }]
      : []
  }),
)
function change(container: string, what: string, recipe: (error: LevelError) => void) {
  const { id } = forecast.stay!
  return workspace.edit(
    'level',
    (draft) => recipe(stayOf(draft, id).levels.find((level) => level.container === container)!.error),
    `level ${what} ${container}`,
  )
}
</script>

<template>
  <details
    class="mt-1 border-b border-line"
    data-anchor="level-errors"
    :open="route.query.show === 'level-errors'"
  >
    <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
      {{ t.sure.levels }}
    </summary>
    <ul class="grid gap-3 pb-4">
      <li v-for="row in rows" :key="row.id" class="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
        <h3 class="col-span-2 self-end pb-2 font-bold sm:col-span-1">{{ row.name }}</h3>
        <ChoiceField
          :label="t.sure.levelAs"
          :value="row.error.shape"
          :options="SHAPES"
          @choose="
            (shape) => change(row.id, 'shape', (error) => void (error.shape = shape as LevelError['shape']))
          "
        />
        <QuantityField
          :label="t.sure.levelSize[row.error.shape]"
          :value="row.error.size.value"
          :dimension="row.isUses ? 'number' : 'volume'"
          :min="0"
          :max="LIMITS.levelL.max"
          :save="(size) => change(row.id, 'size', (error) => void (error.size = owned(size)))"
        />
      </li>
    </ul>
  </details>
</template>
