<script setup lang="ts">
import { ref } from 'vue'
import AppButton from '@/ui/AppButton.vue'

defineProps<{ label: string; kind?: 'primary' | 'plain' | 'quiet'; accept?: string }>()
const emit = defineEmits<{ pick: [file: File] }>()
const input = ref<HTMLInputElement | null>(null)

function picked() {
  const file = input.value?.files?.[0]
  if (file) emit('pick', file)
  if (input.value) input.value.value = ''
}
</script>

<template>
  <span>
    <AppButton :kind="kind" @click="input?.click()">{{ label }}</AppButton>
    <input
      ref="input"
      type="file"
      :accept="accept ?? '.json,application/json'"
      class="hidden"
      :aria-label="label"
      @change="picked"
    />
  </span>
</template>
