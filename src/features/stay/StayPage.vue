<script setup lang="ts">
import { computed } from 'vue'
import CrewPersons from './CrewPersons.vue'
import CrewUses from './CrewUses.vue'
import StayAssumptions from './StayAssumptions.vue'
import StayLand from './StayLand.vue'
import StaySite from './StaySite.vue'
import StayWeather from './StayWeather.vue'
import StayHeadline from '@/parts/count/StayHeadline.vue'
import StayWhen from './StayWhen.vue'
import StayWhich from './StayWhich.vue'
import TheBoard from './board/TheBoard.vue'
import { useStayAnswers } from './useStayAnswers'
import { useForecastStore } from '@/data/forecastStore'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import RiskPanel from '@/parts/risk/RiskPanel.vue'
import LevelChart from '@/parts/levels/LevelChart.vue'
import NoStay from '@/parts/NoStay.vue'
import * as t from '@/texts/t'

const forecast = useForecastStore()
const answers = useStayAnswers()
const sections = computed(() => [
  { id: 'risk', title: t.risk.title },
  { id: 'assumptions', title: t.sure.title },
  { id: 'chart', title: t.chart.title },
  { id: 'who', title: t.stay.who },
  { id: 'weather', title: t.weather.title },
  { id: 'site', title: t.site.title },
  { id: 'land', title: t.land.title },
  { id: 'uses', title: t.stay.uses },
  { id: 'when', title: t.stay.when },
  { id: 'which', title: t.switcher.title },
])
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.stay.title" />
  <div v-else>
    <h1 class="sr-only">{{ t.stay.title }}</h1>
    <StayHeadline class="pt-5 pb-2" />
    <TheBoard />
    <p class="mt-1 max-w-[80ch] text-[0.95rem] text-soft">{{ t.board.hint }}</p>
    <FoldedSections :sections="sections">
      <FoldSection id="risk" :title="t.risk.title" :answer="answers.risk"><RiskPanel is-wide /></FoldSection>
      <FoldSection id="assumptions" :title="t.sure.title" :answer="answers.assumptions">
        <StayAssumptions />
      </FoldSection>
      <FoldSection id="chart" :title="t.chart.title" :answer="answers.chart"><LevelChart /></FoldSection>
      <FoldSection id="who" :title="t.stay.who" :answer="answers.who">
        <CrewPersons :crew="forecast.crew" :stay="forecast.stay" />
      </FoldSection>
      <FoldSection id="weather" :title="t.weather.title" :answer="answers.weather">
        <StayWeather :stay="forecast.stay" :crew="forecast.crew" />
      </FoldSection>
      <FoldSection
        id="site"
        :title="t.site.title"
        :answer="answers.site"
        :is-breach="answers.isTooLong ?? false"
      >
        <StaySite :stay="forecast.stay" />
      </FoldSection>
      <FoldSection
        id="land"
        :title="t.land.title"
        :answer="answers.land"
        :is-breach="answers.isOverLand ?? false"
      >
        <StayLand :stay="forecast.stay" />
      </FoldSection>
      <FoldSection id="uses" :title="t.stay.uses" :answer="answers.uses" :places="['use-']">
        <CrewUses :crew="forecast.crew" />
      </FoldSection>
      <FoldSection id="when" :title="t.stay.when" :answer="answers.when">
        <StayWhen :stay="forecast.stay" />
      </FoldSection>
      <FoldSection id="which" :title="t.switcher.title" :answer="answers.which">
        <StayWhich :stay="forecast.stay" />
      </FoldSection>
    </FoldedSections>
  </div>
</template>
