<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { setHabit } from '@/document/edits'
import HabitRow from '@/parts/habits/HabitRow.vue'
import { t } from '@/texts'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()

/** Most days first, as they stood when the screen opened: nothing moves under the thumb while switches are tried. */
const order = ref<string[]>([])
watch(
  () => forecast.stay?.id,
  () => {
    order.value = [...forecast.bought].sort((a, b) => b.days - a.days).map(({ habit }) => habit)
  },
  { immediate: true },
)
const rows = computed(() =>
  forecast.bought
    .filter(({ blockedBy }) => blockedBy === null)
    .sort((a, b) => order.value.indexOf(a.habit) - order.value.indexOf(b.habit))
    .map((bought) => ({
      ...bought,
      habit: workspace.document.habits.find(({ id }) => id === bought.habit)!,
    })),
)
/** What is blocked is on the Habits screen, with what it needs. */
const isWorth = ({ days, on }: { days: number; on: boolean }) => Math.abs(days) >= 0.05 || on
const useful = computed(() => rows.value.filter(isWorth))
const others = computed(() => rows.value.filter((row) => !isWorth(row)))
const stopper = computed(
  () => forecast.rig?.containers.find(({ id }) => id === forecast.result?.stopper)?.name ?? '',
)

function toggle(habit: string, on: boolean) {
  const stayId = forecast.stay!.id
  workspace.edit('habit', (draft) => setHabit(draft, stayId, habit, on))
}
</script>

<template>
  <section aria-labelledby="habits" data-anchor="habits">
    <h2 id="habits" class="text-[0.95rem] font-semibold text-soft">{{ t.camp.habits }}</h2>
    <ul class="mt-1">
      <HabitRow
        v-for="row in useful"
        :key="row.habit.id"
        v-bind="row"
        @toggle="toggle(row.habit.id, $event)"
      />
    </ul>
    <RouterLink
      to="/habits"
      class="flex min-h-11 items-center border-b border-line text-[0.95rem] font-semibold"
    >
      <span class="underline decoration-line decoration-2 underline-offset-4">{{ t.camp.allHabits }}</span>
    </RouterLink>
    <details v-if="others.length > 0" class="border-b border-line">
      <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
        {{ t.camp.others(others.length, stopper) }}
      </summary>
      <ul>
        <HabitRow
          v-for="row in others"
          :key="row.habit.id"
          v-bind="row"
          @toggle="toggle(row.habit.id, $event)"
        />
      </ul>
    </details>
  </section>
</template>
