<script setup lang="ts">
import type { useBoard } from './useBoard'
import { setWarmest } from '@/actions/stay'
import { warmestOf } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import * as t from '@/texts/t'

const props = defineProps<{ board: NonNullable<ReturnType<typeof useBoard>['value']> }>()
const workspace = useWorkspaceStore()

function set(day: number, celsius: number) {
  return workspace.act(setWarmest(props.board.stay.id, day, celsius))
}
</script>

<template>
  <div class="mt-2 flex items-center" role="group" :aria-label="t.weather.row" data-anchor="board-weather">
    <span class="board-label content-center self-stretch leading-tight">{{ t.weather.row }}</span>
    <span v-for="day in board.days" :key="day.day" class="w-(--day) pr-[3px]">
      <QuantityField
        :label="t.weather.day(day.short)"
        hide-label
        :value="warmestOf(board.stay, day.day)"
        dimension="temperature"
        :min="LIMITS.celsius.min"
        :max="LIMITS.celsius.max"
        :save="(celsius) => set(day.day, celsius)"
      />
    </span>
  </div>
</template>
