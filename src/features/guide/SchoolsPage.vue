<script setup lang="ts">
import { computed } from 'vue'
import SchoolQuestion from './SchoolQuestion.vue'
import { setSchoolNumber, setSide, takeFlushSchool } from '@/actions/people'
import { CARDS_OF_SCHOOL } from '@/core/cards'
import { SCHOOLS, type FlushSchool, type School, type Schools } from '@/core/domain'
import { shutGrayAt } from '@/core/schedule'
import ProductsList from './ProductsList.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import StayHeadline from '@/parts/count/StayHeadline.vue'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import NoStay from '@/parts/NoStay.vue'
import { useAmounts } from '@/parts/useAmounts'
import { dayAndTime, formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'

/** Both sides of every question good practitioners disagree in; the owner takes one, and the sums follow. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const { volume } = useAmounts()
const GROUPS: Record<keyof typeof t.schools.groups, School[]> = {
  dump: [
    'charge', 'dump-black', 'valve-first', 'rinse-when', 'rinse-way', 'rinse-water', 'hose-wash', 'first-connection',
    'gray-at-hookup',
  ],
  road: ['fresh-left', 'fresh-driving', 'on-the-road'],
  toilet: [
    'paper', 'paper-mixed', 'solids-aboard', 'bowl-water', 'bowl', 'cassette-uses', 'cassette-when', 'cassette-rinse',
    'cassette-flush', 'cassette-dose', 'vent', 'outdoors',
  ],
  care: ['treatment', 'treatment-rhythm', 'gray-treated', 'seals'],
} // prettier-ignore
const NUMBERS = {
  smallCharge: ['volume', LIMITS.volumeL],
  largeCharge: ['volume', LIMITS.volumeL],
  chargeShare: ['percent', LIMITS.share],
  blackThreshold: ['percent', LIMITS.share],
  topUpTo: ['percent', LIMITS.share],
  roadReserve: ['volume', LIMITS.volumeL],
  hoseGray: ['volume', LIMITS.volumeL],
  rinseTo: ['percent', LIMITS.share],
  rinseRounds: ['number', LIMITS.rinses],
  hoseFlow: ['volume', LIMITS.perMinuteL],
} as const satisfies Record<keyof Omit<Schools, 'sides'>, unknown>
type NumberKey = keyof typeof NUMBERS
const numberKeys = Object.keys(NUMBERS) as NumberKey[]

const sides = computed(() => forecast.crew?.schools.sides)
/** What each charge comes to, in the owner's units. */
const charges = computed(() => {
  const { smallCharge, largeCharge, chargeShare } = forecast.crew!.schools
  const { small, none, large, fifth } = t.schoolSides.charge
  const of = (side: typeof small, amount: string) => ({ ...side, name: `${side.name}: ${amount}` })
  return {
    small: of(small, volume(smallCharge.value)),
    none,
    large: of(large, volume(largeCharge.value)),
    fifth: of(fifth, `${formatNumber(chargeShare.value * 100, 0)} %`),
  }
})
const shut = computed(() => {
  const { model, crew } = forecast
  if (!model || !crew) return null
  const at = shutGrayAt(model)
  return at === null ? null : t.schools.shut(dayAndTime(at), volume(crew.schools.hoseGray.value))
})
function answer(group: keyof typeof GROUPS): string {
  const own = GROUPS[group].filter((question) => sides.value![question] !== SCHOOLS[question][0]).length
  return t.schools.answer(own, GROUPS[group].length)
}
const numbersAnswer = computed(() => {
  const { blackThreshold, rinseRounds, roadReserve } = forecast.crew!.schools
  return t.schools.numbersAnswer(
    `${formatNumber(blackThreshold.value * 100, 0)} %`,
    formatNumber(rinseRounds.value, 0),
    volume(roadReserve.value),
  )
})
const sections = [
  ...(Object.keys(GROUPS) as (keyof typeof GROUPS)[]).map((id) => ({ id, title: t.schools.groups[id] })),
  { id: 'products', title: t.products.title },
  { id: 'numbers', title: t.schools.numbers },
]
function take(question: School, side: string) {
  workspace.act(setSide(forecast.crew!.id, question, side))
}
function takeFlush(side: FlushSchool) {
  workspace.act(takeFlushSchool(forecast.crew!.id, side))
}
function setNumber(key: NumberKey, value: number) {
  return workspace.act(setSchoolNumber(forecast.crew!.id, key, value))
}
</script>

<template>
  <NoStay v-if="!forecast.crew || !sides" :title="t.schools.title" />
  <div v-else>
    <h1 class="pt-5 text-3xl font-extrabold tracking-tight sm:text-4xl">{{ t.schools.title }}</h1>
    <p class="max-w-[60ch] text-lg text-soft">{{ t.schools.lead }}</p>
    <StayHeadline class="pt-3" />
    <FoldedSections :sections="sections">
      <FoldSection
        v-for="(questions, group) in GROUPS"
        :id="group"
        :key="group"
        :title="t.schools.groups[group]"
        :answer="answer(group)"
      >
        <SchoolQuestion
          v-if="group === 'toilet'"
          question="flush"
          :ask="t.schools.flush.ask"
          :why="t.schools.flush.why"
          :changes="t.schools.flush.changes"
          cards=""
          :sides="{ plenty: t.schools.flush.plenty, little: t.schools.flush.little }"
          first="plenty"
          :side="forecast.crew.flush.school"
          @take="takeFlush($event as FlushSchool)"
        />
        <SchoolQuestion
          v-for="question in questions"
          :key="question"
          :question="question"
          :ask="t.schoolQuestions[question].ask"
          :why="t.schoolQuestions[question].why"
          :changes="t.schoolQuestions[question].changes"
          :cards="CARDS_OF_SCHOOL[question].map((kind) => `“${t.cardNames[kind]}”`).join(', ')"
          :sides="question === 'charge' ? charges : t.schoolSides[question]"
          :first="SCHOOLS[question][0]"
          :side="sides[question]"
          @take="take(question, $event)"
        />
        <p v-if="group === 'dump' && shut" class="border-l-4 border-ink pl-3" data-testid="shut-gray">
          {{ shut }}
        </p>
      </FoldSection>
      <FoldSection
        id="products"
        :title="t.products.title"
        :answer="
          t.products.answer(
            forecast.crew.products.length,
            listed(forecast.crew.products.map(({ name }) => name)),
          )
        "
      >
        <ProductsList :crew="forecast.crew" />
      </FoldSection>
      <FoldSection id="numbers" :title="t.schools.numbers" :answer="numbersAnswer">
        <div class="grid grid-cols-2 items-start gap-4 sm:grid-cols-3">
          <QuantityField
            v-for="key in numberKeys"
            :key="key"
            :label="t.schools.number[key]"
            :value="forecast.crew.schools[key].value"
            :dimension="NUMBERS[key][0]"
            :min="NUMBERS[key][1].min"
            :max="NUMBERS[key][1].max"
            :save="(value) => setNumber(key, value)"
          />
        </div>
      </FoldSection>
    </FoldedSections>
  </div>
</template>
