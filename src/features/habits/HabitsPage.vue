<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { addHabit, addMissingHabits } from '@/actions/habits'
import { nightsBetween } from '@/core/calendar'
import type { Id } from '@/core/domain'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { STARTER_HABIT_IDS, starterHabits } from '@/document/starters'
import FoldSection from '@/parts/FoldSection.vue'
import FoldedSections from '@/parts/FoldedSections.vue'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import { useLandUse } from '@/parts/habits/useLandUse'
import { isWorthAWord, useHabitRows } from '@/parts/habits/useHabitRows'
import { useRiskWords } from '@/parts/risk/useRiskWords'
import { listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import BlockedHabit from './BlockedHabit.vue'
import FlushAnswers from './FlushAnswers.vue'
import FreeHabit from './FreeHabit.vue'
import ReachPanel from './ReachPanel.vue'
import { useFlushAnswer } from './useFlushAnswer'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const advice = useAdviceStore()
const rows = useHabitRows('worth')
const flushAnswer = useFlushAnswer()
const risk = useRiskWords()
/** The one that was just added stands open. */
const edited = ref<Id | null>(null)

const landUse = useLandUse()
const overOf = ({ on, habit }: (typeof rows.value)[0]) =>
  landUse.over.value.find(({ rule }) => on && rule === habit.permission) ?? null

const stopper = computed(
  () => forecast.model?.containers.find(({ id }) => id === forecast.result?.stopper)?.name ?? null,
)
const free = computed(() => rows.value.filter(({ blockedBy }) => blockedBy === null))
const useful = computed(() => free.value.filter((row) => isWorthAWord(row) || row.habit.id === edited.value))
/** On a phone a few of them stand there, with those that are on; the rest one tap behind. */
const FEW = 3
const isWide = useMediaQuery('(min-width: 64rem)')
const leading = computed(() =>
  isWide.value
    ? useful.value
    : useful.value.filter(({ on, habit }, k) => k < FEW || on || habit.id === edited.value),
)
const further = computed(() => useful.value.filter((row) => !leading.value.includes(row)))
const others = computed(() => free.value.filter((row) => !useful.value.includes(row)))
const blocked = computed(() => rows.value.filter(({ blockedBy }) => blockedBy !== null))
const missing = computed(
  () => STARTER_HABIT_IDS.filter((id) => !workspace.document.habits.some((habit) => habit.id === id)).length,
)
const nights = computed(() => {
  const { stay } = forecast
  return stay ? t.camp.nights(nightsBetween(stay.start, stay.leaveAt)) : ''
})
/** The first of them by name, and how many more there are. */
const MOST_NAMES = 3
function namesOf(some: typeof rows.value): string {
  const names = some.map(({ habit }) => habit.name)
  const more = names.length - MOST_NAMES
  return listed(more > 1 ? [...names.slice(0, MOST_NAMES), t.habits.andMore(more)] : names)
}
const sections = computed(() => [
  { id: 'reach', title: t.reach.title },
  { id: 'habits-useful', title: t.habits.catalogue },
  ...(flushAnswer.value === null ? [] : [{ id: 'flush', title: t.flush.title }]),
  ...(others.value.length === 0 ? [] : [{ id: 'habits-others', title: t.habits.others }]),
  ...(blocked.value.length === 0 ? [] : [{ id: 'habits-blocked', title: t.habits.needs }]),
])

function add() {
  const id = newId('habit')
  workspace.act(addHabit(id, t.habits.own))
  edited.value = id
}
const addCatalogue = () => workspace.act(addMissingHabits(starterHabits(t.starters)))
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.habits.title" />
  <div v-else data-anchor="habits">
    <PageHead :title="t.habits.title" />
    <p class="text-lg">{{ stopper ? t.habits.lead(stopper) : t.habits.leadNone }}</p>
    <p v-if="advice.hasFailed" class="text-soft" role="status">{{ t.sure.failed }}</p>
    <FoldedSections :sections="sections">
      <FoldSection id="reach" :title="t.reach.title" :answer="t.reach.closed(nights, risk?.plan ?? null)"
        ><ReachPanel
      /></FoldSection>
      <section class="border-b border-line py-3" aria-labelledby="habits-useful">
        <h2 id="habits-useful" class="text-xl font-bold">{{ t.habits.catalogue }}</h2>
        <ul class="mt-1 grid gap-x-12 lg:grid-cols-2">
          <FreeHabit
            v-for="row in leading"
            :key="row.habit.id"
            :row="row"
            :is-new="edited === row.habit.id"
            :over="overOf(row)"
          />
        </ul>
        <div class="mt-4 flex flex-wrap gap-3">
          <AppButton @click="add">{{ t.habits.add }}</AppButton>
          <AppButton v-if="missing > 0" kind="quiet" @click="addCatalogue">{{
            t.habits.missing(missing)
          }}</AppButton>
        </div>
      </section>
      <FoldSection
        v-if="further.length > 0"
        id="habits-further"
        :title="t.habits.further"
        :answer="namesOf(further)"
        :places="further.map(({ habit }) => `habit-${habit.id}`)"
      >
        <ul>
          <FreeHabit
            v-for="row in further"
            :key="row.habit.id"
            :row="row"
            :is-new="false"
            :over="overOf(row)"
          />
        </ul>
      </FoldSection>
      <FoldSection v-if="flushAnswer !== null" id="flush" :title="t.flush.title" :answer="flushAnswer">
        <FlushAnswers :crew="forecast.crew" />
      </FoldSection>
      <FoldSection
        v-if="others.length > 0"
        id="habits-others"
        :title="t.habits.others"
        :answer="namesOf(others)"
        :places="others.map(({ habit }) => `habit-${habit.id}`)"
      >
        <ul class="grid gap-x-12 lg:grid-cols-2">
          <FreeHabit
            v-for="row in others"
            :key="row.habit.id"
            :row="row"
            :is-new="false"
            :over="overOf(row)"
          />
        </ul>
      </FoldSection>
      <FoldSection
        v-if="blocked.length > 0"
        id="habits-blocked"
        :title="t.habits.needs"
        :answer="namesOf(blocked)"
        :places="blocked.map(({ habit }) => `habit-${habit.id}`)"
      >
        <ul class="grid gap-x-12 lg:grid-cols-2">
          <BlockedHabit v-for="row in blocked" :key="row.habit.id" :row="row" />
        </ul>
      </FoldSection>
    </FoldedSections>
  </div>
</template>
