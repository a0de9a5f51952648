<script setup lang="ts">
import { useForecastStore } from '@/data/forecastStore'
import * as t from '@/texts/t'

const forecast = useForecastStore()
/** The room of the habits, until what they buy is counted. */
const ROWS = 3
</script>

<template>
  <section aria-labelledby="habits" data-anchor="habits">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 id="habits" class="text-[0.95rem] font-semibold text-soft">{{ t.camp.habits }}</h2>
      <p class="text-[0.9rem] text-soft">{{ forecast.hasRuns ? t.camp.heldBought : t.camp.planOnBought }}</p>
    </div>
    <div class="mt-1" aria-hidden="true">
      <div v-for="n in ROWS" :key="n" class="h-[5.85rem] border-b border-line" />
    </div>
    <div class="h-11" aria-hidden="true" />
  </section>
</template>
