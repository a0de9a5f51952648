<script setup lang="ts">
import { Search } from '@lucide/vue'
import { computed, onMounted } from 'vue'
import { QUESTIONS, type Question } from '@/core/domain'
import { UNIT_SYSTEMS, systemOf, type Dimension } from '@/core/quantities'
import { useChoreStore } from '@/data/choreStore'
import { useForecastStore } from '@/data/forecastStore'
import { useSettingsStore } from '@/data/settingsStore'
import { useSearchStore } from '@/data/searchStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import PageHead from '@/parts/PageHead.vue'
import { choreName } from '@/parts/today/choreName'
import { useSpace } from '@/parts/space'
import { listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** What does not fit at the thumb, each with its answer in a line. */
const settings = useSettingsStore()
const workspace = useWorkspaceStore()
const forecast = useForecastStore()
const { space } = useSpace()
const search = useSearchStore()
const chores = useChoreStore()
onMounted(() => {
  chores.follow()
})
const choreAnswer = computed(() => {
  const next = chores.states.find(({ isDue, on }) => !isDue && on !== null)
  return t.chores.answer(chores.due.length, next ? choreName(next.chore) : null)
})

const units = computed(() => {
  const system = systemOf(settings.units)
  const usual = UNIT_SYSTEMS[system]
  const others = (Object.keys(usual) as Dimension[])
    .filter((dimension) => settings.units[dimension] !== usual[dimension])
    .map((dimension) => t.unitNames[settings.units[dimension]])
  return others.length === 0 ? t.more.systems[system] : t.more.mixed(t.more.systems[system], listed(others))
})
const own = computed(() => {
  const sides = forecast.crew?.schools.sides
  const all = Object.keys(QUESTIONS) as Question[]
  return t.questions.answer(
    sides ? all.filter((one) => sides[one] !== QUESTIONS[one][0]).length : 0,
    all.length,
  )
})
const entries = computed(() => [
  {
    to: '/habits',
    name: t.app.nav.habits,
    answer: t.more.habits(forecast.habitsOn.length),
  },
  {
    to: '/rig',
    name: t.app.nav.rig,
    answer: forecast.rig
      ? t.more.rig(forecast.rig.name, listed(forecast.rig.containers.map(({ name }) => name)))
      : t.more.noRig,
  },
  {
    to: '/places',
    name: t.places.title,
    answer: t.runs.places.answer(forecast.stay?.places.length ?? 0),
  },
  { to: '/season', name: t.season.title, answer: t.season.lead },
  { to: '/budget', name: t.budget.title, answer: t.budget.lead },
  { to: '/shower', name: t.showerTimer.title, answer: t.showerTimer.lead },
  { to: '/chores', name: t.chores.title, answer: choreAnswer.value },
  { to: '/review', name: t.review.title, answer: t.review.lead },
  { to: '/cards', name: t.cards.title, answer: t.cards.lead },
  { to: '/guide', name: t.guide.title, answer: t.guide.lead },
  { to: '/guide/questions', name: t.questions.title, answer: own.value },
  {
    to: '/settings',
    name: t.app.nav.settings,
    answer: t.more.settings(units.value, t.settings.theme[settings.theme], t.more.kept[space]),
  },
  { to: '/start', name: t.more.start, answer: t.more.startAnswer },
  {
    to: '/stay?show=which',
    name: t.more.switch,
    answer: t.more.switchAnswer(forecast.stay?.name ?? '–', workspace.document.stays.length),
  },
])
</script>

<template>
  <PageHead :title="t.app.nav.more" />
  <div class="flex flex-wrap gap-3 py-2">
    <AppButton kind="primary" data-testid="more-find" @click="search.open = 'find'">
      <Search :size="20" aria-hidden="true" />{{ t.search.find }}
    </AppButton>
    <AppButton data-testid="more-keys" @click="search.open = 'keys'">{{ t.search.keysTitle }}</AppButton>
  </div>
  <ul class="max-w-2xl">
    <li v-for="entry in entries" :key="entry.to" class="border-b border-line">
      <RouterLink :to="entry.to" class="block min-h-14 py-3">
        <span
          class="block text-xl leading-tight font-bold underline decoration-line decoration-2 underline-offset-4"
          >{{ entry.name }}</span
        >
        <span class="mt-0.5 block leading-snug text-soft wrap-anywhere">{{ entry.answer }}</span>
      </RouterLink>
    </li>
  </ul>
</template>
