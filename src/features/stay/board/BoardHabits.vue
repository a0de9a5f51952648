<script setup lang="ts">
import { computed, ref } from 'vue'
import BoardHabitBar from './BoardHabitBar.vue'
import { keptRange, type DayRange } from './rangeDrag'
import type { useBoard } from './useBoard'
import { paintHabit } from '@/actions/habits'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { refusalWords } from '@/parts/fields/refusalWords'
import * as t from '@/texts/t'

const props = defineProps<{ board: NonNullable<ReturnType<typeof useBoard>['value']>; dayWidth: number }>()
const workspace = useWorkspaceStore()
const forecast = useForecastStore()

const lastDay = computed(() => props.board.days.length - 1)
const bars = computed(() =>
  props.board.stay.habits.map(({ habit: id, days }) => ({
    id,
    name: workspace.document.habits.find((habit) => habit.id === id)!.name,
    range: (days ? [days[0], Math.min(days[1], lastDay.value)] : [0, lastDay.value]) as DayRange,
  })),
)
const off = computed(() =>
  workspace.document.habits.filter(({ id }) => !bars.value.some((bar) => bar.id === id)),
)

function set(habit: string, on: boolean, range: DayRange | null, coalesce: string | null = null) {
  const { id } = props.board.stay
  const days = range === null ? null : keptRange(range, lastDay.value)
  return workspace.act(paintHabit(id, habit, on, days, forecast.today, coalesce))
}

/** Why a habit could not be added: gear, a rule of the land. */
const refused = ref('')
function add(event: Event) {
  const select = event.target as HTMLSelectElement
  const result = select.value === '' ? null : set(select.value, true, null)
  refused.value = result && !result.ok ? refusalWords(result.faults) : ''
  select.value = ''
}
</script>

<template>
  <div class="mt-3 border-t border-line pt-2">
    <div v-for="bar in bars" :key="bar.id" class="flex items-center" :data-testid="`range-${bar.id}`">
      <span class="board-label content-center self-stretch text-[0.92rem] leading-tight wrap-anywhere">{{
        bar.name
      }}</span>
      <BoardHabitBar
        :name="bar.name"
        :range="bar.range"
        :days="board.days"
        :day-width="dayWidth"
        @range="set(bar.id, true, $event, `range ${bar.id}`)"
        @off="set(bar.id, false, null)"
      />
    </div>
    <div class="flex">
      <span class="board-label z-10 w-auto!">
        <select
          class="h-11 max-w-64 border-b-2 border-ink bg-card px-2"
          :aria-label="t.board.addHabit"
          @change="add"
        >
          <option value="">{{ t.board.addHabit }}</option>
          <option v-for="habit in off" :key="habit.id" :value="habit.id">{{ habit.name }}</option>
        </select>
      </span>
    </div>
    <p
      v-if="refused !== ''"
      class="sticky left-(--gutter) max-w-[22rem] py-2 font-semibold sm:max-w-[50ch]"
      role="alert"
    >
      {{ refused }}
    </p>
  </div>
</template>
