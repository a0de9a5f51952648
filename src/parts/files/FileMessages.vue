<script setup lang="ts">
import type { FileMessage } from './useFiles'

defineProps<{ message: FileMessage | null }>()
</script>

<template>
  <div role="status" aria-live="polite">
    <div v-if="message" class="mt-3 border-l-4 border-ink bg-card px-4 py-3" data-testid="file-message">
      <p class="font-semibold">{{ message.text }}</p>
      <ul v-if="message.faults.length > 0" class="mt-2 space-y-1 text-[0.95rem]">
        <li v-for="fault in message.faults" :key="fault" class="break-words">{{ fault }}</li>
      </ul>
    </div>
  </div>
</template>
