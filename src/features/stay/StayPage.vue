<script setup lang="ts">
import CrewPersons from './CrewPersons.vue'
import CrewUses from './CrewUses.vue'
import StayAbsences from './StayAbsences.vue'
import StayWhen from './StayWhen.vue'
import { useForecastStore } from '@/data/forecastStore'
import PageHead from '@/parts/PageHead.vue'
import { t } from '@/texts'

const forecast = useForecastStore()
</script>

<template>
  <div v-if="forecast.stay && forecast.crew">
    <PageHead :title="t.stay.title" />
    <div class="grid gap-x-12 lg:grid-cols-2">
      <StayWhen :stay="forecast.stay" />
      <CrewPersons :crew="forecast.crew" />
    </div>
    <StayAbsences :stay="forecast.stay" :crew="forecast.crew" />
    <CrewUses :crew="forecast.crew" />
  </div>
</template>
