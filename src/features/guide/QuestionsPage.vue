<script setup lang="ts">
import { computed } from 'vue'
import QuestionChoice from './QuestionChoice.vue'
import { setAnswerNumber, setAnswer, takeFlushAnswer } from '@/actions/people'
import { CARDS_OF_QUESTION } from '@/core/cards'
import { QUESTIONS, type FlushAnswer, type Question, type CrewAnswers } from '@/core/domain'
import { shutGrayAt } from '@/core/schedule'
import ProductsList from './ProductsList.vue'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
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
const GROUPS: Record<keyof typeof t.questions.groups, Question[]> = {
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
} as const satisfies Record<keyof Omit<CrewAnswers, 'sides'>, unknown>
type NumberKey = keyof typeof NUMBERS
const numberKeys = Object.keys(NUMBERS) as NumberKey[]

const sides = computed(() => forecast.crew?.schools.sides)
/** What each charge comes to, in the owner's units. */
const charges = computed(() => {
  const { smallCharge, largeCharge, chargeShare } = forecast.crew!.schools
  const { small, none, large, fifth } = t.answerTexts.charge
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
  return at === null ? null : t.questions.shut(dayAndTime(at), volume(crew.schools.hoseGray.value))
})
function answer(group: keyof typeof GROUPS): string {
  const own = GROUPS[group].filter((question) => sides.value![question] !== QUESTIONS[question][0]).length
  return t.questions.answer(own, GROUPS[group].length)
}
const numbersAnswer = computed(() => {
  const { blackThreshold, rinseRounds, roadReserve } = forecast.crew!.schools
  return t.questions.numbersAnswer(
    `${formatNumber(blackThreshold.value * 100, 0)} %`,
    formatNumber(rinseRounds.value, 0),
    volume(roadReserve.value),
  )
})
const sections = [
  ...(Object.keys(GROUPS) as (keyof typeof GROUPS)[]).map((id) => ({ id, title: t.questions.groups[id] })),
  { id: 'products', title: t.products.title },
  { id: 'numbers', title: t.questions.numbers },
]
function take(question: Question, side: string) {
  workspace.act(setAnswer(forecast.crew!.id, question, side))
}
function takeFlush(side: FlushAnswer) {
  workspace.act(takeFlushAnswer(forecast.crew!.id, side))
}
function setNumber(key: NumberKey, value: number) {
  return workspace.act(setAnswerNumber(forecast.crew!.id, key, value))
}
</script>

<template>
  <NoStay v-if="!forecast.crew || !sides" :title="t.questions.title" />
  <div v-else>
    <h1 class="pt-5 text-3xl font-extrabold tracking-tight sm:text-4xl">{{ t.questions.title }}</h1>
    <p class="max-w-[60ch] text-lg text-soft">{{ t.questions.lead }}</p>
    <FoldedSections :sections="sections">
      <FoldSection
        v-for="(questions, group) in GROUPS"
        :id="group"
        :key="group"
        :title="t.questions.groups[group]"
        :answer="answer(group)"
      >
        <QuestionChoice
          v-if="group === 'toilet'"
          question="flush"
          :ask="t.questions.flush.ask"
          :why="t.questions.flush.why"
          :changes="t.questions.flush.changes"
          :cards="[]"
          :answers="{ plenty: t.questions.flush.plenty, little: t.questions.flush.little }"
          first="plenty"
          :chosen="forecast.crew.flush.school"
          @take="takeFlush($event as FlushAnswer)"
        />
        <QuestionChoice
          v-for="question in questions"
          :key="question"
          :question="question"
          :ask="t.questionTexts[question].ask"
          :why="t.questionTexts[question].why"
          :changes="t.questionTexts[question].changes"
          :cards="CARDS_OF_QUESTION[question].map((kind) => `“${t.cardNames[kind]}”`)"
          :answers="question === 'charge' ? charges : t.answerTexts[question]"
          :first="QUESTIONS[question][0]"
          :chosen="sides[question]"
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
      <FoldSection id="numbers" :title="t.questions.numbers" :answer="numbersAnswer">
        <div class="grid grid-cols-2 items-start gap-4 sm:grid-cols-3">
          <QuantityField
            v-for="key in numberKeys"
            :key="key"
            :label="t.questions.number[key]"
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
