<script setup lang="ts">
import { computed } from 'vue'
import { switched } from '@/core/habits'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { stayOf } from '@/document/edits'
import { formatNumber, formatSigned, t } from '@/texts'
import AppSwitch from '@/ui/AppSwitch.vue'

const forecast = useForecastStore()
const workspace = useWorkspaceStore()

/** Most days first; the order stays while switches are tried, so that nothing moves under the thumb. */
const rows = computed(() =>
  forecast.bought
    .map((bought) => ({ ...bought, habit: workspace.document.habits.find(({ id }) => id === bought.habit)! }))
    .sort((a, b) => b.days - a.days || a.habit.bother.value - b.habit.bother.value),
)

function gain({ days, atLeast }: { days: number; atLeast: boolean }): string {
  return atLeast && days !== 0 ? t.camp.atLeast(formatSigned(days)) : formatSigned(days)
}

function toggle(habit: string, on: boolean) {
  const stayId = forecast.stay!.id
  workspace.edit('habit', (draft) => {
    const stay = stayOf(draft, stayId)
    stay.habits = switched(draft, stay.habits, habit, on)
  })
}
</script>

<template>
  <section aria-labelledby="habits">
    <h2 id="habits" class="text-[0.95rem] font-semibold text-soft">{{ t.camp.habits }}</h2>
    <ul class="mt-1">
      <li
        v-for="row in rows"
        :key="row.habit.id"
        class="grid grid-cols-[2.75rem_1fr_auto] items-start gap-x-3 border-b border-line py-2"
        :data-testid="`habit-${row.habit.id}`"
      >
        <AppSwitch :on="row.on" :label="row.habit.name" :described-by="`note-${row.habit.id}`" @change="toggle(row.habit.id, $event)" />
        <div class="pt-1.5">
          <p class="leading-tight font-bold">{{ row.habit.name }}</p>
          <p :id="`note-${row.habit.id}`" class="text-[0.95rem] leading-snug text-soft">
            {{ row.habit.note }} {{ t.camp.bother(formatNumber(row.habit.bother.value, 1)) }}
          </p>
        </div>
        <p class="figure pt-1.5 text-xl font-bold whitespace-nowrap" :class="row.days > 0.05 ? 'text-sage' : 'text-soft'">
          {{ gain(row) }} <span class="text-base font-semibold">d</span>
        </p>
      </li>
    </ul>
  </section>
</template>
