<script setup lang="ts">
import { computed } from 'vue'
import { setHabitSet } from '@/actions/habits'
import type { Id } from '@/core/domain'
import type { HabitSet } from '@/core/reach'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import BotherMarks from '@/parts/BotherMarks.vue'
import { formatDays, formatNumber, listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{
  set: HabitSet
  without: readonly Id[]
  /** Runs the edit as one that leaves the answer standing. */
  taking: (edit: () => void) => void
}>()
defineEmits<{ refuse: [habit: Id]; allow: [habit: Id] }>()
const forecast = useForecastStore()
const workspace = useWorkspaceStore()

const habitOf = (id: Id) => workspace.document.habits.find((habit) => habit.id === id)
const on = computed(() => forecast.habitsOn.map(({ habit }) => habit))
const rows = computed(() =>
  props.set.habits.flatMap((id) => {
    const habit = habitOf(id)
    return habit ? [{ ...habit, isOn: on.value.includes(id) }] : []
  }),
)
const off = computed(() =>
  on.value.filter((id) => !props.set.habits.includes(id)).map((id) => habitOf(id)?.name ?? ''),
)
const isTaken = computed(() => off.value.length === 0 && rows.value.every(({ isOn }) => isOn))
/** What must be minded, each once. */
const cautions = computed(() => [...new Set(rows.value.flatMap((habit) => habit.cautions))])

function take() {
  const { id } = forecast.stay!
  props.taking(() => workspace.act(setHabitSet(id, props.set.habits, on.value, forecast.today)))
}
</script>

<template>
  <div data-testid="reach-set">
    <p class="figure text-lg font-bold">
      {{
        t.reach.set(
          formatNumber(set.bother, 1),
          set.isBeyond ? t.risk.beyond(formatDays(set.days)) : formatDays(set.days),
        )
      }}
    </p>
    <p v-if="rows.length === 0" class="mt-1">{{ t.reach.nothing }}</p>
    <ul v-else class="mt-1">
      <li
        v-for="habit in rows"
        :key="habit.id"
        class="grid min-h-11 grid-cols-[1fr_auto_auto] items-center gap-x-3 border-b border-line"
      >
        <span class="leading-tight font-semibold"
          >{{ habit.name }}
          <span v-if="habit.isOn" class="font-normal text-soft">{{ t.reach.isOn }}</span></span
        >
        <BotherMarks :bother="habit.bother.value" />
        <AppButton
          kind="quiet"
          :aria-label="t.reach.refuseThis(habit.name)"
          @click="$emit('refuse', habit.id)"
          >{{ t.reach.refuse }}</AppButton
        >
      </li>
    </ul>
    <p v-if="off.length > 0" class="mt-1 text-soft">{{ t.reach.goesOff(listed(off)) }}</p>
    <p
      v-for="caution in cautions"
      :key="caution"
      class="mt-1 border-l-4 border-ink pl-2 text-[0.95rem] leading-snug"
    >
      {{ t.cautions[caution] }}
    </p>
    <AppButton class="mt-3" :disabled="isTaken" @click="take">{{
      isTaken ? t.reach.taken : t.reach.take
    }}</AppButton>
    <p v-if="without.length > 0" class="mt-3 flex flex-wrap items-center gap-x-2 text-soft">
      {{ t.reach.without }}
      <AppButton v-for="id in without" :key="id" kind="quiet" @click="$emit('allow', id)">{{
        t.reach.allow(habitOf(id)?.name ?? '')
      }}</AppButton>
    </p>
  </div>
</template>
