<script setup lang="ts">
import { computed } from 'vue'
import { boardX } from './boardShape'
import type { useBoard } from './useBoard'
import { chanceToLast } from '@/core/risk'
import { useForecastStore } from '@/data/forecastStore'
import { useRiskStore } from '@/data/riskStore'
import { chanceWords } from '@/parts/risk/chanceWords'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'

const props = defineProps<{ board: NonNullable<ReturnType<typeof useBoard>['value']> }>()
const forecast = useForecastStore()
const chances = useRiskStore()

/** Trips that nothing has stopped when a day ends, at 05:00; of the last day, when they leave. */
const cells = computed(() => {
  const { risk } = chances
  const { model } = forecast
  if (!risk || !model) return []
  const begun = boardX(model, 0)
  return props.board.days.map(({ day, label }) => {
    if (day < forecast.today) return { day, share: 0, text: '', label: '' }
    const share = chanceToLast(risk.sorted, Math.min(props.board.untilDays, day + 1 - begun))
    return {
      day,
      share,
      text: formatNumber(share * 100, 0),
      label: t.risk.stillDryAt(label, chanceWords(share)),
    }
  })
})
</script>

<template>
  <div v-if="cells.length > 0" class="mt-2 flex items-end" role="group" :aria-label="t.risk.stillDry">
    <div class="board-label leading-tight">
      <p class="font-bold">{{ t.risk.stillDry }}</p>
      <p class="text-[0.85rem] text-soft">{{ t.risk.ofTrips }}</p>
    </div>
    <p
      v-for="cell in cells"
      :key="cell.day"
      class="relative h-11 w-(--day) pr-[3px]"
      :data-testid="`still-dry-${cell.day}`"
    >
      <span class="sr-only">{{ cell.label }}</span>
      <span
        v-if="cell.text !== ''"
        class="absolute inset-x-0 bottom-0 mr-[3px] h-full bg-post"
        aria-hidden="true"
      >
        <span
          class="absolute inset-x-0 bottom-0 border-t-3 border-ink bg-(--faint)/45"
          :style="{ height: `${cell.share * 100}%` }"
        />
        <span
          class="figure absolute left-0.5 z-20 bg-post px-1 font-bold"
          :class="cell.share > 0.5 ? 'bottom-0.5' : 'top-0.5'"
          >{{ cell.text }}</span
        >
      </span>
    </p>
  </div>
</template>
