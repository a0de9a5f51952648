<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { t } from '@/texts'

/** Whether this browser holds the application itself. */
const isReady = ref(false)
onMounted(async () => {
  const registration = await navigator.serviceWorker?.getRegistration()
  isReady.value = registration?.active != null
})
</script>

<template>
  <p class="max-w-[60ch]" data-testid="offline">
    {{ isReady ? t.settings.offlineReady : t.settings.offlineNotYet }}
  </p>
</template>
