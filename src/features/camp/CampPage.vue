<script setup lang="ts">
import CampEmpty from './CampEmpty.vue'
import CampGauges from './CampGauges.vue'
import CampHabits from './CampHabits.vue'
import CampSetup from './CampSetup.vue'
import { useForecastStore } from '@/data/forecastStore'
import TheCount from '@/parts/count/TheCount.vue'
import { t } from '@/texts'

const forecast = useForecastStore()
</script>

<template>
  <CampEmpty v-if="!forecast.stay" />
  <div v-else>
    <h1 class="sr-only">{{ t.camp.title }}</h1>
    <div class="border-b border-line pt-5 pb-5">
      <TheCount />
    </div>
    <div class="grid gap-x-12 lg:grid-cols-[minmax(0,7fr)_minmax(0,6fr)]">
      <div>
        <CampGauges class="pt-6" />
        <CampSetup class="pt-6" />
      </div>
      <CampHabits class="pt-6" />
    </div>
  </div>
</template>
