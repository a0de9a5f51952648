<script setup lang="ts">
import { computed } from 'vue'
import { setBudgetConfidence, setGoal } from '@/actions/budget'
import { lastNight } from '@/core/budget'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import FoldSection from '@/parts/FoldSection.vue'
import NoStay from '@/parts/NoStay.vue'
import PageHead from '@/parts/PageHead.vue'
import { nightOf, useBudgetWords } from '@/parts/today/useBudgetWords'
import { formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import BudgetApart from './BudgetApart.vue'
import BudgetSwap from './BudgetSwap.vue'

/** What may be used up to a night: the uses first, then for which night, and what is kept. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const today = useTodayStore()
const { budget, rows, headline, instead, reachable, movable, withRun, tank, isUnderWay } = useBudgetWords()

/** A few nights beyond the stay may be wished for. */
const BEYOND = 7
const LAST = 'last'
const nights = computed(() => {
  const { stay } = forecast
  if (!stay) return []
  const last = lastNight(stay)
  const first = forecast.today
  const most = Math.min(last + BEYOND, stay.horizonDays.value - 1)
  const some = Array.from({ length: Math.max(0, most - first + 1) }, (_, k) => first + k)
  return [
    { value: LAST, label: t.budget.lastNight(nightOf(stay, last)) },
    ...some.map((night) => ({ value: String(night), label: nightOf(stay, night) })),
  ]
})
const night = computed(() => {
  const set = forecast.stay?.budget.night ?? null
  return set === null ? LAST : String(set)
})
function chooseNight(value: string) {
  workspace.act(setGoal(forecast.stay!.id, value === LAST ? null : Number(value)))
}
const SURE = [0.7, 0.8, 0.9, 0.95, 0.99]
const STAYS = 'stay'
const percent = (share: number) => t.budget.percent(Math.round(share * 100))
const sures = computed(() => [
  { value: STAYS, label: t.budget.ofStay(percent(forecast.stay?.confidence.value ?? 0.9)) },
  ...SURE.map((share) => ({ value: String(share), label: percent(share) })),
])
const sure = computed(() => {
  const set = forecast.stay?.budget.confidence ?? null
  return set === null ? STAYS : String(set.value)
})
function chooseSure(value: string) {
  workspace.act(setBudgetConfidence(forecast.stay!.id, value === STAYS ? null : Number(value)))
}
const stands = computed(() => {
  const found = budget.value
  if (!found || found.state === 'past' || found.state === 'nothing') return null
  const of100 = (share: number) => formatNumber(share * 100, 0)
  const chance =
    found.trials === 0 ? t.budget.certain : t.budget.sure(of100(found.chance), of100(found.asUsual))
  return found.binds === null ? chance : `${chance} ${t.budget.binds(tank(found.binds))}`
})
const factor = computed(() => {
  const found = budget.value
  if (!found || found.state !== 'held' || found.isFree) return null
  const share = `${formatNumber(found.factor * 100, 0)} %`
  return found.factor >= 1 ? t.budget.more(share) : t.budget.times(share)
})
const kept = computed(() => {
  const names = (budget.value?.kept ?? []).map(
    (id) => forecast.crew?.activities.find((one) => one.id === id)?.name ?? '',
  )
  return names.length === 0 ? '' : t.budget.kept(listed(names))
})
const apart = computed(() => {
  const n = forecast.stay?.budget.apart.length ?? 0
  return n === 0 ? t.budget.apartNone : t.budget.apartOf(n)
})
</script>

<template>
  <NoStay v-if="!forecast.stay || !forecast.crew" :title="t.budget.title" />
  <div v-else class="wrap-anywhere">
    <PageHead :title="t.budget.title" :lead="t.budget.lead" />
    <div class="grid gap-x-14 pt-3 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
      <section aria-labelledby="uses-left">
        <h2 id="uses-left" class="text-2xl leading-tight font-bold" data-testid="budget-head">
          {{ headline }}
        </h2>
        <p v-if="factor" class="figure text-xl font-semibold" data-testid="budget-factor">{{ factor }}.</p>
        <p v-if="instead" class="max-w-[60ch] text-lg font-semibold" data-testid="budget-instead">
          {{ instead }}
        </p>
        <p v-if="reachable" class="mt-1 flex flex-wrap items-center gap-4">
          {{ t.budget.reaches(reachable.words) }}
          <AppButton @click="chooseNight(String(reachable.night))">{{
            t.budget.take(reachable.words)
          }}</AppButton>
        </p>
        <p v-if="movable" class="mt-1 flex flex-wrap items-center gap-4">
          {{ t.budget.notMoved(movable) }}
          <AppButton @click="chooseNight(LAST)">{{ t.budget.take(movable) }}</AppButton>
        </p>
        <p v-if="stands" class="mt-1 text-soft" data-testid="budget-sure">{{ stands }} {{ withRun }}</p>
        <BudgetSwap
          v-if="rows.length > 0"
          class="mt-2"
          :rows="rows"
          :is-behind="!today.isCurrent"
          :may-swap="isUnderWay && rows.length > 1"
        />
      </section>
      <div class="max-lg:mt-5">
        <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-1">
          <ChoiceField :label="t.budget.goalTitle" :value="night" :options="nights" @choose="chooseNight" />
          <ChoiceField :label="t.budget.confidence" :value="sure" :options="sures" @choose="chooseSure" />
        </div>
        <section
          class="mt-4 border-t border-b border-line py-3"
          aria-labelledby="kept"
          data-testid="budget-kept"
        >
          <h2 id="kept" class="text-xl font-bold">{{ t.budget.keptTitle }}</h2>
          <p class="font-semibold">{{ kept }}</p>
          <p class="max-w-[68ch] text-[0.95rem] text-soft">{{ t.budget.keptWhy }}</p>
        </section>
        <FoldSection id="apart" :title="t.budget.apartTitle" :answer="apart">
          <BudgetApart :stay="forecast.stay" :crew="forecast.crew" />
        </FoldSection>
        <p class="max-w-[68ch] py-3 text-[0.95rem] text-soft">{{ t.budget.how }}</p>
      </div>
    </div>
  </div>
</template>
