<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { hasFlushFloor, touchesFlush, type DaysBought } from '@/core/habits'
import type { Habit } from '@/core/domain'
import { useAdviceStore } from '@/data/adviceStore'
import { useForecastStore } from '@/data/forecastStore'
import { useEffectWords } from '@/parts/useEffectWords'
import { formatDays, formatSigned } from '@/texts'
import * as t from '@/texts/t'

/** What a habit does, what it buys in other company, and what it pushes. */
const props = defineProps<{
  habit: Habit
  on: boolean
  pushes: DaysBought['pushes']
  planOn: number | null
}>()
const advice = useAdviceStore()
const forecast = useForecastStore()
const effectWords = useEffectWords()

const company = computed(() => advice.company.get(props.habit.id) ?? null)
const pushed = computed(() =>
  props.pushes.map(({ container, days }) =>
    t.habits.pushes(
      forecast.model?.containers.find(({ id }) => id === container)?.name ?? '',
      formatDays(days),
    ),
  ),
)
const touches = computed(() => {
  const { crew, model } = forecast
  return crew !== null && model !== null && hasFlushFloor(model) && touchesFlush(props.habit, crew)
})
const isOpen = ref(false)
/** Asked for while it is open, and again when an edit has made the answer void. */
watch([isOpen, () => advice.company], () => {
  if (isOpen.value) void advice.askCompany(props.habit.id)
})
const words = computed(() => {
  if (advice.hasFailed) return t.sure.failed
  if (company.value === null || props.planOn === null) return t.sure.working
  const { alone, last } = company.value
  return t.habits.company(formatSigned(alone), formatSigned(props.planOn), formatSigned(last))
})
</script>

<template>
  <details @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
      {{ t.habits.effects }}
    </summary>
    <ul class="grid gap-1 pb-2 text-[0.95rem] leading-snug">
      <li v-for="(effect, i) in habit.effects" :key="i">{{ effectWords(effect) }}</li>
      <li v-for="push in pushed" :key="push">▲ {{ push }}</li>
      <li v-if="touches">▲ {{ t.habits.touches }}</li>
      <!-- Of a habit that is on they stand above it already. -->
      <li v-for="caution in on ? [] : habit.cautions" :key="caution">
        {{ t.habits.cautions }}: {{ t.cautions[caution] }}
      </li>
      <li class="font-semibold" data-testid="company">{{ words }}</li>
    </ul>
  </details>
</template>
