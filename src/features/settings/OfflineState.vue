<script setup lang="ts">
import { onMounted, ref } from 'vue'
import * as t from '@/texts/t'

/** Whether this browser holds the application itself. */
const isReady = ref(false)
onMounted(async () => {
  try {
    isReady.value = (await navigator.serviceWorker?.getRegistration())?.active != null
  } catch {
    // A browser that forbids it keeps nothing.
  }
})
</script>

<template>
  <p class="max-w-[60ch]" data-testid="offline">
    {{ isReady ? t.settings.offlineReady : t.settings.offlineNotYet }}
  </p>
</template>
