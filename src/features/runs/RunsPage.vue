<script setup lang="ts">
import { computed } from 'vue'
import RunsCost from './RunsCost.vue'
import RunsTakeAlong from './RunsTakeAlong.vue'
import { useForecastStore } from '@/data/forecastStore'
import DecideHead from '@/parts/decide/DecideHead.vue'
import PlaceDialog from '@/parts/places/PlaceDialog.vue'
import PlacesMap from '@/parts/places/PlacesMap.vue'
import { useOpenPlace } from '@/parts/places/openPlace'
import { usePlaceWords } from '@/parts/places/usePlaceWords'
import { useCountWords } from '@/parts/count/useCountWords'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import NoStay from '@/parts/NoStay.vue'
import AddRun from '@/parts/runs/AddRun.vue'
import RunCard from '@/parts/runs/RunCard.vue'
import RunDialog from '@/parts/runs/RunDialog.vue'
import { useRuns } from '@/parts/runs/useRuns'
import { useRunWords } from '@/parts/runs/useRunWords'
import WalkLine from '@/parts/walk/WalkLine.vue'
import StayHeadline from '@/parts/count/StayHeadline.vue'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

/** When and how we dump, refill and carry: the runs that are set, where they go, what they cost. */
const forecast = useForecastStore()
const runs = useRuns()
const runWords = useRunWords()
const words = useCountWords()
const costOf = (id: string) => runs.cost.value!.runs.find(({ run }) => run === id)!
const costAnswer = computed(() => {
  const { cost } = runs
  if (!cost.value || cost.value.total === 0) return t.runs.cost.none
  const { minutes, kilometres, total, habitBother } = cost.value
  if (cost.value.runs.length === 0)
    return t.runs.cost.habitsOnly(formatNumber(total, 1), formatNumber(habitBother, 1))
  const parts = [
    minutes > 0 ? runWords.minutes(minutes) : null,
    kilometres > 0 ? runWords.way(kilometres) : null,
    cost.value.isFeeKnown ? null : t.runs.cost.feeUnknown,
  ].filter((part) => part !== null)
  return t.runs.cost.answer(formatNumber(total, 1), parts.join(', '))
})
/** What the runs take in all; nothing where there is none. */
const totals = computed(() => {
  const cost = runs.cost.value
  if (!cost || runs.inOrder.value.length === 0) return []
  return [
    { label: t.runs.totals.money, value: feesOf(cost) },
    { label: t.runs.totals.errands, value: runWords.minutes(cost.minutes) },
    { label: t.runs.totals.road, value: runWords.way(cost.kilometres) },
  ]
})
/** Fees that are known, and whether more may come. */
function feesOf({ money, isFeeKnown }: { money: number; isFeeKnown: boolean }): string {
  if (isFeeKnown) return formatNumber(money, 2)
  return money > 0 ? t.runs.cost.atLeast(formatNumber(money, 2)) : t.runs.cost.unknown
}
const sections = [
  { id: 'cost', title: t.runs.cost.title },
  { id: 'take-along', title: t.takeAlong.title },
]
const openPlace = useOpenPlace()
const place = usePlaceWords()
const hasMap = computed(() => forecast.stay?.places.some(({ position }) => position !== null) ?? false)
const link =
  'inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4'
</script>

<template>
  <NoStay v-if="!forecast.stay || !words" :title="t.runs.title" />
  <div v-else>
    <h1 class="sr-only">{{ t.runs.title }}</h1>
    <WalkLine />
    <div class="grid gap-x-10 border-b border-line pt-5 pb-3 lg:grid-cols-[minmax(0,1fr)_auto]">
      <DecideHead />
      <dl v-if="totals.length > 0" class="figure flex flex-wrap gap-x-8 gap-y-1" data-testid="runs-totals">
        <div v-for="one in totals" :key="one.label">
          <dd class="text-2xl leading-tight font-bold">{{ one.value }}</dd>
          <dt class="text-[0.95rem] text-soft">{{ one.label }}</dt>
        </div>
      </dl>
    </div>
    <div class="grid gap-x-10 lg:grid-cols-[minmax(0,7fr)_minmax(0,6fr)]">
      <div>
        <StayHeadline class="pt-4" />
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
      </div>
      <div class="pt-4">
        <PlacesMap v-if="hasMap" :at="place.moment.value" @open="openPlace.open" />
        <p class="flex flex-wrap gap-x-6">
          <RouterLink to="/places" :class="link">{{
            t.runs.places.answer(forecast.stay.places.length)
          }}</RouterLink>
          <RouterLink to="/season" :class="link">{{ t.season.title }}</RouterLink>
          <RouterLink to="/cards" :class="link">{{ t.cards.title }}</RouterLink>
          <RouterLink to="/guide/questions" :class="link">{{ t.questions.title }}</RouterLink>
        </p>
      </div>
    </div>
    <FoldedSections :sections="sections">
      <FoldSection id="cost" :title="t.runs.cost.title" :answer="costAnswer"><RunsCost /></FoldSection>
      <FoldSection id="take-along" :title="t.takeAlong.title" :answer="t.takeAlong.answer">
        <RunsTakeAlong />
      </FoldSection>
    </FoldedSections>
    <RunDialog />
    <PlaceDialog />
  </div>
</template>
