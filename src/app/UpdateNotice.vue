<script setup lang="ts">
import { useRegisterSW } from 'virtual:pwa-register/vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** A newer version is offered, never forced. */
const { needRefresh, updateServiceWorker } = useRegisterSW({ immediate: true })
</script>

<template>
  <div
    v-if="needRefresh"
    class="fixed inset-x-3 bottom-20 z-40 mx-auto flex max-w-xl flex-wrap items-center gap-3 border-2 border-ink bg-card p-4 lg:bottom-6"
    role="status"
  >
    <p class="grow font-semibold">{{ t.update.text }}</p>
    <AppButton kind="primary" @click="updateServiceWorker(true)">{{ t.update.now }}</AppButton>
    <AppButton kind="quiet" @click="needRefresh = false">{{ t.update.later }}</AppButton>
  </div>
</template>
