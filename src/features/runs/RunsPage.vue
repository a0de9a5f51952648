<script setup lang="ts">
import { computed } from 'vue'
import RunsCost from './RunsCost.vue'
import RunsPlaces from './RunsPlaces.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useCountWords } from '@/parts/count/useCountWords'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import NoStay from '@/parts/NoStay.vue'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import AddRun from '@/parts/runs/AddRun.vue'
import RunCard from '@/parts/runs/RunCard.vue'
import RunDialog from '@/parts/runs/RunDialog.vue'
import { useRuns } from '@/parts/runs/useRuns'
import { useRunWords } from '@/parts/runs/useRunWords'
import StayHeadline from '@/parts/count/StayHeadline.vue'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

/** When and how we dump, refill and carry: the runs that are set, where they go, what they cost. */
const forecast = useForecastStore()
const runs = useRuns()
const runWords = useRunWords()
const words = useCountWords()
const risk = useRiskWords()
const costOf = (id: string) => runs.cost.value!.runs.find(({ run }) => run === id)!
const costAnswer = computed(() => {
  const { cost } = runs
  if (!cost.value || cost.value.total === 0) return t.runs.cost.none
  const { minutes, kilometres, total } = cost.value
  const parts = [
    minutes > 0 ? runWords.minutes(minutes) : null,
    kilometres > 0 ? runWords.way(kilometres) : null,
  ].filter((part) => part !== null)
  return t.runs.cost.answer(formatNumber(total, 0), parts.join(', '))
})
const sections = [
  { id: 'cost', title: t.runs.cost.title },
  { id: 'places', title: t.runs.places.title },
]
</script>

<template>
  <NoStay v-if="!forecast.stay || !words" :title="t.runs.title" />
  <div v-else>
    <h1 class="sr-only">{{ t.runs.title }}</h1>
    <StayHeadline class="pt-5" />
    <p v-if="risk" class="pb-1 text-lg font-semibold" data-testid="runs-nights">{{ risk.nights }}</p>
    <p v-if="runs.inOrder.value.length === 0" class="py-2 text-lg text-soft">{{ t.runs.noneYet }}</p>
    <AddRun class="pt-2" />
    <ul v-if="runs.inOrder.value.length > 0" class="mt-4 border-t-2 border-ink" :aria-label="t.runs.list">
      <RunCard
        v-for="answer in runs.inOrder.value"
        :key="answer.run.id"
        :answer="answer"
        :cost="costOf(answer.run.id)"
      />
    </ul>
    <RouterLink
      to="/cards"
      class="mt-3 mr-6 inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
      >{{ t.cards.title }}</RouterLink
    >
    <RouterLink
      to="/guide/schools"
      class="mt-3 inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
      >{{ t.schools.title }}</RouterLink
    >
    <FoldedSections :sections="sections">
      <FoldSection id="cost" :title="t.runs.cost.title" :answer="costAnswer"><RunsCost /></FoldSection>
      <FoldSection
        id="places"
        :title="t.runs.places.title"
        :answer="t.runs.places.answer(forecast.stay.places.length)"
      >
        <RunsPlaces :stay="forecast.stay" />
      </FoldSection>
    </FoldedSections>
    <RunDialog />
  </div>
</template>
