<script setup lang="ts">
import { useId } from 'vue'
import type { EditResult } from '@/data/workspaceStore'
import FieldShell from '@/ui/FieldShell.vue'
import { useInGroup } from './fieldGroup'
import { useSavedField } from './useSavedField'

const props = defineProps<{
  label: string
  hideLabel?: boolean
  value: string
  type?: 'text' | 'time' | 'datetime-local'
  /** What is wrong with a text before it is saved; null: nothing. */
  wrong?: (text: string) => string | null
  save: (text: string) => EditResult
}>()

const id = useId()
const { text, fault, typed, left, commit } = useSavedField({
  shown: () => props.value,
  value: () => props.value,
  parse: (value: string) => {
    const words = props.wrong?.(value) ?? null
    return words === null ? { ok: true, value } : { ok: false, words }
  },
  save: (value: string) => props.save(value),
})
useInGroup(id, fault)
</script>

<template>
  <FieldShell :id="id" :label="label" :hide-label="hideLabel" :fault="fault">
    <input
      :id="id"
      :value="text"
      :type="type ?? 'text'"
      autocomplete="off"
      :aria-invalid="fault !== null"
      :aria-describedby="fault === null ? undefined : `${id}-fault`"
      class="h-11 w-full min-w-0 border-b-2 border-ink bg-card px-2 text-lg"
      @input="typed(($event.target as HTMLInputElement).value)"
      @blur="left"
      @keydown.enter="commit"
    />
  </FieldShell>
</template>
