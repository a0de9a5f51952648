<script setup lang="ts">
import { computed, ref } from 'vue'
import { setHabit } from '@/actions/habits'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useTodayStore } from '@/data/todayStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import CampHabitsRoom from './CampHabitsRoom.vue'
import HabitRow from '@/parts/habits/HabitRow.vue'
import { isWorthAWord, useHabitRows } from '@/parts/habits/useHabitRows'
import { formatSigned } from '@/texts'
import * as t from '@/texts/t'
import { useGrowing } from '@/ui/useGrowing'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const advice = useAdviceStore()
const today = useTodayStore()
const all = useHabitRows('days')
/** All of them are on the Habits screen. */
const MOST = 3
/** What is blocked is on the Habits screen, with what it needs. */
const rows = computed(() => all.value.filter(({ blockedBy }) => blockedBy === null))
const useful = computed(() => rows.value.filter(isWorthAWord).slice(0, MOST))
/** Rows of a frame: more would hold up the thumb. Until all are there the list is as high as its room was. */
const FEW = 1
const { shown, isWhole } = useGrowing(useful, FEW)
/** What the best of them brings, where a run helps more than any of them. */
const isOpen = ref(false)
const folds = computed(() => {
  const best = today.next?.[0]
  if (best?.change.kind !== 'run' || useful.value.some(({ on, planOn }) => on || planOn === null)) return null
  const most = Math.max(0, ...useful.value.map(({ planOn }) => planOn ?? 0))
  return most < best.gain ? t.camp.habitsFolded(formatSigned(most)) : null
})

function toggle(habit: string, on: boolean) {
  workspace.act(setHabit(forecast.stay!.id, habit, on, null, forecast.today))
}
</script>

<template>
  <CampHabitsRoom v-if="all.length === 0 && workspace.document.habits.length > 0" />
  <section v-else aria-labelledby="habits" data-anchor="habits">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 id="habits" class="text-[0.95rem] font-semibold text-soft">{{ t.camp.habits }}</h2>
      <p class="text-[0.9rem] text-soft">{{ forecast.hasRuns ? t.camp.heldBought : t.camp.planOnBought }}</p>
    </div>
    <!-- Where a run does it, a list of habits that do not is not the answer. -->
    <details
      v-if="folds"
      class="border-b border-line"
      @toggle="isOpen = ($event.target as HTMLDetailsElement).open"
    >
      <summary class="min-h-11 cursor-pointer py-2.5 font-semibold">{{ folds }}</summary>
      <ul v-if="isOpen">
        <HabitRow
          v-for="row in useful"
          :key="row.habit.id"
          v-bind="row"
          :is-behind="!advice.isWorthCurrent"
          @toggle="toggle(row.habit.id, $event)"
        />
      </ul>
    </details>
    <ul v-else class="mt-1" :class="isWhole ? '' : 'min-h-[17.5rem]'">
      <HabitRow
        v-for="row in shown"
        :key="row.habit.id"
        v-bind="row"
        :is-behind="!advice.isWorthCurrent"
        @toggle="toggle(row.habit.id, $event)"
      />
    </ul>
    <RouterLink
      to="/habits"
      class="flex min-h-11 items-center border-b border-line text-[0.95rem] font-semibold"
    >
      <span class="underline decoration-line decoration-2 underline-offset-4">{{ t.camp.allHabits }}</span>
    </RouterLink>
  </section>
</template>
