<script setup lang="ts">
import { X } from '@lucide/vue'
import { ref } from 'vue'
import { movedEnd, type DayRange } from './rangeDrag'
import * as t from '@/texts/t'

const props = defineProps<{
  name: string
  range: DayRange
  days: { day: number; label: string }[]
  dayWidth: number
}>()
const emit = defineEmits<{ range: [range: DayRange]; off: [] }>()

const track = ref<HTMLElement | null>(null)
const ENDS = [0, 1] as const
const lastDay = () => props.days.length - 1

function move(end: 0 | 1, day: number) {
  const next = movedEnd(props.range, end, day, lastDay())
  if (next[0] !== props.range[0] || next[1] !== props.range[1]) emit('range', next)
}
function grab(event: PointerEvent) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function follow(event: PointerEvent, end: 0 | 1) {
  if (!track.value || !(event.currentTarget as HTMLElement).hasPointerCapture(event.pointerId)) return
  const x = (event.clientX - track.value.getBoundingClientRect().left) / props.dayWidth
  move(end, end === 0 ? x : x - 1)
}
function key(event: KeyboardEvent, end: 0 | 1) {
  const steps: Record<string, number> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }
  const step = steps[event.key]
  if (step !== undefined) move(end, props.range[end] + step)
  else if (event.key === 'Home') move(end, 0)
  else if (event.key === 'End') move(end, lastDay())
  else return
  event.preventDefault()
}
</script>

<template>
  <div ref="track" class="relative h-11" :style="{ width: `${days.length * dayWidth}px` }">
    <div
      class="absolute top-2.5 flex h-6 items-center bg-ink pl-5 text-paper"
      :style="{ left: `${range[0] * dayWidth}px`, width: `${(range[1] - range[0] + 1) * dayWidth - 3}px` }"
    >
      <button
        type="button"
        class="grid h-11 w-11 place-items-center"
        :aria-label="t.board.habitOff(name)"
        :title="t.board.habitOff(name)"
        @click="emit('off')"
      >
        <X :size="16" aria-hidden="true" />
      </button>
    </div>
    <div
      v-for="end in ENDS"
      :key="end"
      role="slider"
      tabindex="0"
      class="absolute top-0 grid h-11 w-9 cursor-ew-resize touch-none place-items-center"
      :style="{ left: end === 0 ? `${range[0] * dayWidth - 2}px` : `${(range[1] + 1) * dayWidth - 37}px` }"
      :aria-label="end === 0 ? t.board.firstDay(name) : t.board.lastDay(name)"
      :aria-valuemin="0"
      :aria-valuemax="days.length - 1"
      :aria-valuenow="range[end]"
      :aria-valuetext="days[range[end]]?.label"
      @pointerdown="grab"
      @pointermove="follow($event, end)"
      @keydown="key($event, end)"
    >
      <span class="h-4 w-1 bg-paper" />
    </div>
  </div>
</template>
