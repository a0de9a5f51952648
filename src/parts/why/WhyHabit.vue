<script setup lang="ts">
import { computed } from 'vue'
import type { Effect } from '@/core/domain'
import { useBoughtStore } from '@/data/boughtStore'
import { useForecastStore } from '@/data/forecastStore'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { quantityOf, useEffectWords } from '@/parts/useEffectWords'
import { formatNumber, formatSigned, formatSource } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ habitId: string }>()
const forecast = useForecastStore()
const habits = useBoughtStore()
habits.follow()
const workspace = useWorkspaceStore()

const habit = computed(() => workspace.document.habits.find(({ id }) => id === props.habitId))
const bought = computed(() => habits.rows.find(({ habit: id }) => id === props.habitId))
const days = computed(() => {
  const now = forecast.result?.days ?? forecast.model?.horizonDays ?? 0
  if (!bought.value) return null
  const { on, days: gain } = bought.value
  return { withIt: on ? now : now + gain, without: on ? now - gain : now }
})
const words = useEffectWords()
const source = (effect: Effect) => formatSource(quantityOf(effect))
</script>

<template>
  <div v-if="habit && bought && days">
    <dl class="mt-3 text-lg">
      <div class="flex justify-between border-b border-line py-2">
        <dt>{{ t.why.withIt }}</dt>
        <dd class="figure font-bold">{{ t.why.days(formatNumber(days.withIt)) }}</dd>
      </div>
      <div class="flex justify-between border-b-2 border-ink py-2">
        <dt>{{ t.why.withoutIt }}</dt>
        <dd class="figure font-bold">− {{ t.why.days(formatNumber(days.without)) }}</dd>
      </div>
      <div class="flex justify-between py-2 font-bold" data-testid="why-total">
        <dt>{{ t.why.difference }}</dt>
        <dd class="figure">{{ t.why.days(formatSigned(bought.days)) }}</dd>
      </div>
    </dl>
    <h3 class="mt-3 font-bold">{{ t.why.effect }}</h3>
    <ul>
      <li v-for="(effect, i) in habit.effects" :key="i" class="py-1">
        {{ words(effect) }} <span class="block text-[0.95rem] text-soft">{{ source(effect) }}</span>
      </li>
    </ul>
  </div>
</template>
