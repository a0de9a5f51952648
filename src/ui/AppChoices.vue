<script setup lang="ts" generic="T extends string">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'

defineProps<{ label: string; hideLabel?: boolean; value: T; options: { value: T; label: string }[] }>()
defineEmits<{ choose: [value: T] }>()
</script>

<template>
  <RadioGroup :model-value="value" @update:model-value="$emit('choose', $event)">
    <RadioGroupLabel as="span" :class="hideLabel ? 'sr-only' : 'text-[0.92rem] font-semibold text-soft'">{{
      label
    }}</RadioGroupLabel>
    <div class="mt-1 flex flex-wrap gap-2">
      <RadioGroupOption
        v-for="option in options"
        :key="option.value"
        v-slot="{ checked }"
        :value="option.value"
      >
        <span
          class="grid min-h-11 cursor-pointer place-items-center border-2 px-4"
          :class="checked ? 'border-ink bg-ink font-semibold text-paper' : 'border-soft'"
          >{{ option.label }}</span
        >
      </RadioGroupOption>
    </div>
  </RadioGroup>
</template>
