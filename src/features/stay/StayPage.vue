<script setup lang="ts">
import CrewPersons from './CrewPersons.vue'
import CrewSwitcher from './CrewSwitcher.vue'
import CrewUses from './CrewUses.vue'
import StayAssumptions from './StayAssumptions.vue'
import StayLand from './StayLand.vue'
import StayWeather from './StayWeather.vue'
import StayHeadline from './StayHeadline.vue'
import StaySwitcher from './StaySwitcher.vue'
import StayWhen from './StayWhen.vue'
import TheBoard from './board/TheBoard.vue'
import { useForecastStore } from '@/data/forecastStore'
import RiskPanel from '@/parts/risk/RiskPanel.vue'
import LevelChart from '@/parts/levels/LevelChart.vue'
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
    <RiskPanel class="pt-6" is-wide />
    <LevelChart class="pt-6" />
    <StayAssumptions />
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
    <StayWeather :stay="forecast.stay" :crew="forecast.crew" />
    <StayLand :stay="forecast.stay" />
    <CrewUses :crew="forecast.crew" />
  </div>
</template>
