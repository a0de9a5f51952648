<script setup lang="ts">
import { computed } from 'vue'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import RunTroubles from './RunTroubles.vue'
import { useBetter } from './useBetter'
import { useRuns, whenOf } from './useRuns'

/** What is wrong with the runs that are set, first of all: one that does not count, and one that comes too late for many trips. */
const forecast = useForecastStore()
const chances = useRiskStore()
const runs = useRuns()
const idle = computed(() => runs.inOrder.value.find(({ isPossible }) => !isPossible) ?? null)
const said = ({
  name,
  day,
  part,
}: {
  name: string
  day: number
  part: 'night' | 'morning' | 'midday' | 'evening'
}) => t.count.runOn(name, whenOf(forecast.stay!, { day, part }, true))

const late = computed(() => {
  const tooLate = chances.risk?.tooLate
  const run = forecast.stay?.runs.find(({ id }) => id === tooLate?.run)
  const tank = forecast.model?.containers.find(({ id }) => id === tooLate?.container)
  if (!tooLate || !run || !tank) return null
  const of100 = formatNumber(tooLate.share * 100, 0)
  return { run, words: t.count.tooLate(of100, tank.name, t.count.sides[tank.side], said(run)) }
})
const better = useBetter(() => late.value?.run.id ?? null)
</script>

<template>
  <div v-if="idle || late" class="grid gap-y-2 text-lg leading-snug" data-testid="runs-headline">
    <div v-if="idle">
      <p class="font-semibold text-oxide" data-testid="not-counted">
        {{ t.runs.notCounted(idle.run.name, whenOf(forecast.stay!, idle.run, true)) }}
      </p>
      <RunTroubles :answer="idle" is-short class="text-base" />
    </div>
    <div v-if="late" data-testid="run-too-late">
      <p class="font-semibold">{{ late.words }}</p>
      <AppButton v-if="better" class="mt-1" @click="runs.replace(better.run)">{{ better.words }}</AppButton>
    </div>
  </div>
</template>
