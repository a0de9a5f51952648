<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { FileMessage } from './useFiles'

const props = defineProps<{ message: FileMessage | null }>()
const place = ref<HTMLElement | null>(null)
/** Where the buttons are at the foot of the screen it would stand below it. */
watch(
  () => props.message,
  async (message) => {
    if (!message) return
    await nextTick()
    place.value?.scrollIntoView({ block: 'nearest' })
  },
)
</script>

<template>
  <div ref="place" class="scroll-mb-28" role="status" aria-live="polite">
    <div v-if="message" class="mt-3 border-l-4 border-ink bg-card px-4 py-3" data-testid="file-message">
      <p class="font-semibold">{{ message.text }}</p>
      <ul v-if="message.faults.length > 0" class="mt-2 space-y-1 text-[0.95rem]">
        <li v-for="fault in message.faults" :key="fault" class="break-words">{{ fault }}</li>
      </ul>
    </div>
  </div>
</template>
