<script setup lang="ts">
import CrewPersons from './CrewPersons.vue'
import CrewSwitcher from './CrewSwitcher.vue'
import CrewUses from './CrewUses.vue'
import StayLand from './StayLand.vue'
import StayWeather from './StayWeather.vue'
import StayHeadline from './StayHeadline.vue'
import StaySwitcher from './StaySwitcher.vue'
import StayWhen from './StayWhen.vue'
import TheBoard from './board/TheBoard.vue'
import StayChart from './chart/StayChart.vue'
import { useForecastStore } from '@/data/forecastStore'
import NoStay from '@/parts/NoStay.vue'
import { t } from '@/texts'

const forecast = useForecastStore()
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.stay.title" />
  <div v-else>
    <h1 class="sr-only">{{ t.stay.title }}</h1>
    <StayHeadline class="pt-5 pb-4" />
    <TheBoard />
    <p class="mt-1 max-w-[80ch] text-[0.95rem] text-soft">{{ t.board.hint }}</p>
    <StayChart class="pt-6" />
    <div class="grid gap-x-12 lg:grid-cols-2">
      <div>
        <StayWhen :stay="forecast.stay" />
        <StaySwitcher class="mt-4" :stay="forecast.stay" />
      </div>
      <div>
        <CrewPersons :crew="forecast.crew" />
        <CrewSwitcher class="mt-4" :stay="forecast.stay" />
      </div>
    </div>
    <StayWeather :stay="forecast.stay" />
    <StayLand :stay="forecast.stay" />
    <CrewUses :crew="forecast.crew" />
  </div>
</template>
