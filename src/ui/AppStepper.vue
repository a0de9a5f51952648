<script setup lang="ts">
import { Minus, Plus } from '@lucide/vue'
import AppButton from './AppButton.vue'

defineProps<{ value: number; text: string; min: number; max: number; fewer: string; more: string }>()
defineEmits<{ change: [value: number] }>()
</script>

<template>
  <div data-stepper class="flex flex-wrap items-center gap-2">
    <AppButton :aria-label="fewer" :disabled="value <= min" @click="$emit('change', value - 1)"
      ><Minus :size="18" aria-hidden="true"
    /></AppButton>
    <span class="figure min-w-24 text-center text-lg font-bold" role="status"><slot>{{ text }}</slot></span>
    <AppButton :aria-label="more" :disabled="value >= max" @click="$emit('change', value + 1)"
      ><Plus :size="18" aria-hidden="true"
    /></AppButton>
  </div>
</template>
