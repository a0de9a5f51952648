<script setup lang="ts">
import { Switch } from '@headlessui/vue'

defineProps<{ on: boolean; label: string; describedBy?: string }>()
defineEmits<{ change: [on: boolean] }>()
</script>

<template>
  <Switch
    :model-value="on"
    :aria-label="label"
    :aria-describedby="describedBy"
    class="group grid h-11 w-11 shrink-0 place-items-center"
    @update:model-value="$emit('change', $event)"
  >
    <svg viewBox="0 0 28 28" class="h-7 w-7" aria-hidden="true">
      <rect
        x="2"
        y="2"
        width="24"
        height="24"
        :fill="on ? 'var(--ink)' : 'var(--post)'"
        stroke="var(--ink)"
        stroke-width="2.5"
      />
      <path
        v-if="on"
        d="M7 14.5 12 20 21.5 8"
        fill="none"
        stroke="var(--paper)"
        stroke-width="3.4"
        stroke-linecap="square"
      />
    </svg>
  </Switch>
</template>
