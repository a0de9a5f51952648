<script setup lang="ts">
import { computed } from 'vue'
import { setGoal } from '@/actions/budget'
import { mayBeSaved } from '@/core/budget'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import BudgetRows from '@/parts/today/BudgetRows.vue'
import DueChores from '@/parts/today/DueChores.vue'
import NextBest from '@/parts/today/NextBest.vue'
import { useBudgetWords } from '@/parts/today/useBudgetWords'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** Under way: what may be used today, what helps most, and what is due. */
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const today = useTodayStore()
const { rows, headline, instead, reachable, movable, usual, withRun } = useBudgetWords()
const hasShower = computed(() => forecast.crew?.activities.some(({ kind }) => kind === 'shower') ?? false)
/** Room for the rows that will come, one for each activity of which something may be saved. */
const isWorking = computed(() => today.budget === null && !today.hasFailed)
const rowsToCome = computed(() => {
  const { crew } = forecast
  return crew?.activities.filter((one) => one.rate.value > 0 && mayBeSaved(one, crew)).length ?? 0
})

function takeNight(night: number | null) {
  workspace.act(setGoal(forecast.stay!.id, night))
}
</script>

<template>
  <div class="grid gap-y-4 wrap-anywhere" data-testid="today">
    <section aria-labelledby="left-today">
      <div class="flex items-baseline justify-between gap-4">
        <h2 id="left-today" class="text-[0.95rem] font-semibold text-soft" data-testid="budget-head">
          {{ headline }}
        </h2>
        <RouterLink
          to="/budget"
          class="-my-3 grid min-h-11 flex-none place-items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
          >{{ t.budget.link }}</RouterLink
        >
      </div>
      <p
        v-if="instead"
        class="mt-1 max-w-[52ch] text-lg leading-snug font-semibold"
        data-testid="budget-instead"
      >
        {{ instead }}
      </p>
      <p v-if="reachable" class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        {{ t.budget.reaches(reachable.words) }}
        <AppButton @click="takeNight(reachable.night)">{{ t.budget.take(reachable.words) }}</AppButton>
      </p>
      <p v-if="movable" class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
        {{ t.budget.notMoved(movable) }}
        <AppButton @click="takeNight(null)">{{ t.budget.take(movable) }}</AppButton>
      </p>
      <p v-if="usual" class="max-w-[60ch] text-[0.95rem] leading-snug" data-testid="budget-usual">
        {{ usual }} {{ withRun }}
      </p>
      <BudgetRows v-if="rows.length > 0 && instead === null" :rows="rows" :is-behind="!today.isCurrent" />
      <div v-else-if="isWorking" :style="{ minHeight: `${rowsToCome * 3}rem` }" aria-hidden="true" />
      <RouterLink
        v-if="hasShower"
        to="/shower"
        class="inline-grid min-h-11 place-items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
        >{{ t.showerTimer.time }}</RouterLink
      >
    </section>
    <NextBest />
    <DueChores />
  </div>
</template>
