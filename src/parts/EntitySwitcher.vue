<script setup lang="ts">
import { Copy, Trash2 } from '@lucide/vue'
import ChoiceField from './fields/ChoiceField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

defineProps<{
  label: string
  current: string
  entries: { id: string; name: string }[]
  /** Why the current one cannot be removed; null: it can. */
  held: string | null
}>()
defineEmits<{ choose: [id: string]; copy: []; remove: [] }>()
</script>

<template>
  <div class="flex items-end gap-1">
    <ChoiceField
      class="min-w-0 grow"
      :label="label"
      :value="current"
      :options="entries.map(({ id, name }) => ({ value: id, label: name }))"
      @choose="$emit('choose', $event)"
    />
    <AppButton
      kind="quiet"
      :aria-label="t.switcher.copy(label)"
      :title="t.switcher.copy(label)"
      @click="$emit('copy')"
    >
      <Copy :size="20" aria-hidden="true" />
    </AppButton>
    <AppButton
      kind="quiet"
      :disabled="held !== null"
      :aria-label="t.switcher.remove(label)"
      :title="held ?? t.switcher.remove(label)"
      @click="$emit('remove')"
    >
      <Trash2 :size="20" aria-hidden="true" />
    </AppButton>
    <slot />
  </div>
</template>
