<script setup lang="ts">
import { computed, ref } from 'vue'
import type { useBoard } from './useBoard'
import { boardPosts } from './boardPosts'
import { PARTS_PER_DAY, slotAt, slotNumber } from '@/core/calendar'
import type { RunAnswer } from '@/core/schedule'
import AddRun from '@/parts/runs/AddRun.vue'
import { useOpenRun } from '@/parts/runs/openRun'
import RunTroubles from '@/parts/runs/RunTroubles.vue'
import { useRuns, whenOf } from '@/parts/runs/useRuns'
import * as t from '@/texts/t'

/** Runs as posts on the board's days: dragged to another part, tapped to be changed, moved by the arrow keys. */
const props = defineProps<{ board: NonNullable<ReturnType<typeof useBoard>['value']>; dayWidth: number }>()
const runs = useRuns()
const openRun = useOpenRun()
const last = computed(() => props.board.days.length * PARTS_PER_DAY - 1)
const LANE = 48
const posts = computed(() => boardPosts(runs.inOrder.value, props.board.days.length))
const height = computed(() => LANE * Math.max(1, ...posts.value.map(({ lane }) => lane + 1)))
const left = (at: number) => (at / PARTS_PER_DAY) * props.dayWidth
/** A post never sticks out of the board. */
const leftOf = (at: number) => Math.min(left(at), props.board.days.length * props.dayWidth - props.dayWidth)
/** Where the last one was moved to. */
const said = ref('')
const troubled = computed(() => runs.answers.value.filter(({ isPossible }) => !isPossible))

const HAIR_PX = 6
let grabbed: { id: string; x: number; at: number; hasMoved: boolean } | null = null
function grab(event: PointerEvent, { run }: RunAnswer) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  grabbed = { id: run.id, x: event.clientX, at: slotNumber(run), hasMoved: false }
}
function follow(event: PointerEvent) {
  if (!grabbed) return
  const by = event.clientX - grabbed.x
  if (Math.abs(by) < HAIR_PX && !grabbed.hasMoved) return
  grabbed.hasMoved = true
  const parts = Math.round((by / props.dayWidth) * PARTS_PER_DAY)
  put(grabbed.id, grabbed.at + parts)
}
function drop({ run }: RunAnswer) {
  const wasTap = grabbed !== null && !grabbed.hasMoved
  grabbed = null
  if (wasTap) openRun.open(run.id)
}
function put(id: string, part: number) {
  const slot = slotAt(Math.min(last.value, Math.max(0, part)))
  const now = runs.answers.value.find(({ run }) => run.id === id)?.run
  if (!now || (now.day === slot.day && now.part === slot.part)) return
  runs.move(id, slot, true)
  said.value = whenOf(props.board.stay, slot)
}
const STEPS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowUp: -PARTS_PER_DAY,
  ArrowDown: PARTS_PER_DAY,
}
function key(event: KeyboardEvent, { run }: RunAnswer) {
  const by = STEPS[event.key]
  if (by !== undefined) put(run.id, slotNumber(run) + by)
  else if (event.key === 'Delete' || event.key === 'Backspace') runs.remove(run.id)
  else return
  event.preventDefault()
}
</script>

<template>
  <div class="mt-3 border-t border-line pt-2" data-testid="board-runs">
    <div class="flex">
      <span class="board-label pt-2 leading-tight font-bold">{{ t.runs.board }}</span>
      <div class="relative" :style="{ width: `${board.days.length * dayWidth}px`, height: `${height}px` }">
        <span
          v-for="day in board.days"
          :key="day.day"
          class="absolute inset-y-0 border-l border-line"
          :style="{ left: `${left(day.day * PARTS_PER_DAY)}px` }"
          aria-hidden="true"
        />
        <template v-for="{ answer, at, lane, isBlocked } in posts" :key="answer.run.id">
          <span
            class="absolute w-1"
            :class="isBlocked ? 'bg-oxide' : 'bg-ink'"
            :style="{ left: `${left(at)}px`, top: `${lane * LANE}px`, height: `${LANE - 4}px` }"
            aria-hidden="true"
          />
          <button
            type="button"
            class="absolute h-11 cursor-grab touch-pan-y overflow-hidden border-2 bg-post px-2 active:cursor-grabbing"
            :class="[
              'text-left text-[0.9rem] leading-[1.1] font-semibold',
              isBlocked ? 'border-dashed border-oxide text-oxide' : 'border-ink',
            ]"
            :style="{ left: `${leftOf(at)}px`, top: `${lane * LANE}px`, width: `${dayWidth - 3}px` }"
            :aria-label="t.runs.post(answer.run.name, whenOf(board.stay, answer.run))"
            :data-testid="`post-${answer.run.id}`"
            @pointerdown="grab($event, answer)"
            @pointermove="follow"
            @pointerup="drop(answer)"
            @pointercancel="grabbed = null"
            @keydown="key($event, answer)"
            @keydown.enter.prevent="openRun.open(answer.run.id)"
          >
            <span class="line-clamp-2">{{ answer.run.name }}</span>
          </button>
        </template>
      </div>
    </div>
    <div class="sticky left-(--gutter) w-[calc(100vw-2rem)] max-w-3xl py-2">
      <div v-for="answer in troubled" :key="answer.run.id" class="pb-2">
        <p class="font-semibold">{{ answer.run.name }}, {{ whenOf(board.stay, answer.run) }}</p>
        <RunTroubles :answer="answer" />
      </div>
      <AddRun />
    </div>
    <p class="sr-only" role="status">{{ said }}</p>
  </div>
</template>
