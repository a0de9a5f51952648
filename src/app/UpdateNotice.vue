<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { useRegisterSW } from 'virtual:pwa-register/vue'
import { ref } from 'vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** A newer version is offered, never forced. */
const { needRefresh, updateServiceWorker } = useRegisterSW({ immediate: true })
const isComing = ref(false)
/**
 * The older version is kept until nothing it was asked for is under way any more, which can take a browser minutes. What this
 * page asked for ends with the page.
 */
const LONGEST_MS = 3_000
const { start: reloadAtLast } = useTimeoutFn(() => location.reload(), LONGEST_MS, { immediate: false })

function useNow(): void {
  isComing.value = true
  reloadAtLast()
  void updateServiceWorker(true)
}
</script>

<template>
  <div
    v-if="needRefresh"
    class="fixed inset-x-3 bottom-20 z-40 mx-auto flex max-w-xl flex-wrap items-center gap-3 border-2 border-ink bg-card p-4 lg:bottom-6"
    role="status"
  >
    <p class="grow font-semibold">{{ isComing ? t.update.coming : t.update.text }}</p>
    <template v-if="!isComing">
      <AppButton kind="primary" @click="useNow">{{ t.update.now }}</AppButton>
      <AppButton kind="quiet" @click="needRefresh = false">{{ t.update.later }}</AppButton>
    </template>
  </div>
</template>
