<script setup lang="ts">
import { useId } from 'vue'
import FieldShell from '@/ui/FieldShell.vue'

defineProps<{
  label: string
  /** What the label is about, where the screen shows it by its place: read out, not shown. */
  of?: string
  hideLabel?: boolean
  value: string
  options: { value: string; label: string }[]
}>()
defineEmits<{ choose: [value: string] }>()

const id = useId()
</script>

<template>
  <FieldShell :id="id" :label="label" :of="of" :hide-label="hideLabel" :fault="null">
    <select
      :id="id"
      :value="value"
      class="h-11 w-full min-w-0 border-b-2 border-ink bg-card px-2 text-lg"
      @change="$emit('choose', ($event.target as HTMLSelectElement).value)"
    >
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.label }}</option>
    </select>
  </FieldShell>
</template>
