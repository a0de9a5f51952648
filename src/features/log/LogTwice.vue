<script setup lang="ts">
import { computed, ref } from 'vue'
import { loggedTwice } from '@/core/log'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import { isListOf, isText, keptRef } from '@/data/keptValue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** Two who keep one log may both put in everything: on the second day they are asked. */
const forecast = useForecastStore()
const log = useLogStore()
const seconds = computed(() => (forecast.stay ? loggedTwice(log.entries, forecast.stay) : []))
/** Stays of which somebody said that everything happened. */
const meant = keptRef<string[]>({
  ...{ key: 'dry-count:twice', version: 1, first: [] },
  isWhole: isListOf(isText),
})
const isAsked = computed(() => seconds.value.length > 0 && !meant.value.includes(forecast.stay!.id))
const said = ref('')
function takeOut() {
  const n = seconds.value.length
  said.value = log.remove(seconds.value).ok ? t.loggedTwice.removed(n) : t.log.refused
}
</script>

<template>
  <section v-if="isAsked" class="my-3 max-w-2xl border-2 border-ink p-4" data-testid="logged-twice">
    <h2 class="text-xl font-bold">{{ t.loggedTwice.ask }}</h2>
    <p>{{ t.loggedTwice.text(seconds.length) }}</p>
    <div class="mt-3 flex flex-wrap gap-3">
      <AppButton kind="primary" @click="takeOut">{{ t.loggedTwice.remove }}</AppButton>
      <AppButton @click="meant = [...meant, forecast.stay!.id]">{{ t.loggedTwice.keep }}</AppButton>
    </div>
  </section>
  <p v-if="said" class="my-2 font-semibold" role="status">{{ said }}</p>
</template>
