<script setup lang="ts">
import { computed } from 'vue'
import { typeHabitDays } from '@/actions/habits'
import type { Id, Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { useDayOptions } from '@/parts/useDayOptions'
import * as t from '@/texts/t'

/** The days on which a habit that is on is kept up. */
const props = defineProps<{ stay: Stay; habit: Id; name: string; days: [number, number] | null }>()
const workspace = useWorkspaceStore()

const { last, options } = useDayOptions(() => props.stay)
const from = computed(() => props.days?.[0] ?? 0)
const to = computed(() => Math.min(last.value, props.days?.[1] ?? last.value))

/** The whole stay is kept as such, so that it goes on being the whole stay when that gets longer. */
function set(first: number, end: number) {
  const range: [number, number] = [Math.min(first, end), Math.max(first, end)]
  const isWhole = range[0] === 0 && range[1] === last.value
  workspace.act(typeHabitDays(props.stay.id, props.habit, isWhole ? null : range))
}
</script>

<template>
  <div class="mt-1 grid max-w-xs grid-cols-2 gap-3">
    <ChoiceField
      :of="name"
      :label="t.habits.from"
      :value="String(from)"
      :options="options"
      @choose="(day) => set(Number(day), to)"
    />
    <ChoiceField
      :of="name"
      :label="t.habits.to"
      :value="String(to)"
      :options="options"
      @choose="(day) => set(from, Number(day))"
    />
  </div>
</template>
