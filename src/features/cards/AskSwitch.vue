<script setup lang="ts">
import AppSwitch from '@/ui/AppSwitch.vue'

/** One thing that only those who stand there know. */
defineProps<{ on: boolean; label: string }>()
defineEmits<{ change: [on: boolean] }>()
</script>

<template>
  <div class="flex min-h-11 items-center gap-1">
    <AppSwitch :on="on" :label="label" @change="$emit('change', $event)" />
    <span aria-hidden="true">{{ label }}</span>
  </div>
</template>
