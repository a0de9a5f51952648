<script setup lang="ts">
import { computed } from 'vue'
import { removeHabit, setHabit } from '@/actions/habits'
import { areRivals, neverHolds, type LandUse } from '@/core/habits'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { STARTER_HABIT_IDS } from '@/document/starters'
import HabitRow from '@/parts/habits/HabitRow.vue'
import type { useHabitRows } from '@/parts/habits/useHabitRows'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import HabitDays from './HabitDays.vue'
import HabitDetails from './HabitDetails.vue'
import HabitEditor from './HabitEditor.vue'
import HabitPersons from './HabitPersons.vue'

/**
 * A habit that can be switched: what it buys, its care, its days and people, what it does; `over` where the land allows
 * less than what goes out under its rule.
 */
const props = defineProps<{
  row: ReturnType<typeof useHabitRows>['value'][0]
  isNew: boolean
  over: LandUse | null
}>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()
const advice = useAdviceStore()

const habit = computed(() => props.row.habit)
const on = computed(() => forecast.habitsOn.find((one) => one.habit === habit.value.id) ?? null)
const never = computed(() => forecast.stay && neverHolds(habit.value, forecast.stay))
/** Those that are on and would give way. */
const rivals = computed(() => {
  const ids = forecast.habitsOn.map((one) => one.habit)
  return workspace.document.habits
    .filter((other) => other.id !== habit.value.id && ids.includes(other.id) && areRivals(habit.value, other))
    .map(({ name }) => name)
    .join(', ')
})
const { volume } = useAmounts()
const isOwn = computed(() => !(STARTER_HABIT_IDS as readonly string[]).includes(habit.value.id))

function toggle(next: boolean) {
  workspace.act(setHabit(forecast.stay!.id, habit.value.id, next, null, forecast.today))
}
function remove() {
  workspace.act(removeHabit(habit.value.id))
}
</script>

<template>
  <HabitRow v-bind="row" :is-behind="!advice.isWorthCurrent" @toggle="toggle">
    <p
      v-if="row.on && habit.cautions.length > 0"
      class="mt-1 border-l-4 border-ink pl-2 text-[0.95rem] leading-snug"
    >
      {{ habit.cautions.map((caution) => t.cautions[caution]).join(' ') }}
    </p>
    <p v-if="over" class="text-[0.95rem] font-bold text-oxide">
      {{ t.habits.overLand(volume(over.most), volume(over.allowed)) }}
    </p>
    <p v-if="never" class="text-[0.95rem] font-semibold">{{ t.habits.never[never] }}</p>
    <p v-if="!row.on && rivals !== ''" class="text-[0.95rem] font-semibold">
      {{ t.habits.inPlaceOf(rivals) }}
    </p>
    <template v-if="on && forecast.stay && forecast.crew">
      <HabitDays :stay="forecast.stay" :habit="habit.id" :name="habit.name" :days="on.days" />
      <HabitPersons
        v-if="forecast.crew.persons.length > 1"
        :stay="forecast.stay"
        :crew="forecast.crew"
        :name="habit.name"
        :on="on"
      />
    </template>
    <details v-if="isOwn" :open="isNew">
      <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
        {{ t.habits.edit(habit.name) }}
      </summary>
      <HabitEditor :habit="habit" @remove="remove" />
    </details>
    <HabitDetails v-else :habit="habit" :on="row.on" :pushes="row.pushes" :plan-on="row.planOn" />
  </HabitRow>
</template>
