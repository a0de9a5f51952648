<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import BoardPatterns from './BoardPatterns.vue'
import BoardHabits from './BoardHabits.vue'
import BoardPeople from './BoardPeople.vue'
import BoardChance from './BoardChance.vue'
import BoardRow from './BoardRow.vue'
import BoardRuns from './BoardRuns.vue'
import RunDialog from '@/parts/runs/RunDialog.vue'
import BoardWeather from './BoardWeather.vue'
import { useBoard } from './useBoard'
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { useRouter } from 'vue-router'
import type { ModelContainer } from '@/core/compile'
import { dayZero, wallDaysBetween } from '@/core/calendar'
import { useDecideStore } from '@/data/decideStore'
import { useForecastStore } from '@/data/forecastStore'
import DecideFor from '@/parts/decide/DecideFor.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useWhyStore } from '@/parts/why/whyStore'
import * as t from '@/texts/t'
import { useGridKeys } from '@/ui/useGridKeys'

const board = useBoard()
const forecast = useForecastStore()
const why = useWhyStore()
const router = useRouter()
const { level } = useAmounts()
const wide = useMediaQuery('(min-width: 64rem)')
const labelWidth = computed(() => (wide.value ? 132 : 84))
const frame = ref<HTMLElement | null>(null)
const { width } = useElementSize(frame)
/** A short stay takes the room there is, a long one scrolls. */
const MOST_DAY = 190
const dayWidth = computed(() => {
  const days = Math.max(1, board.value?.days.length ?? 1)
  const room = (width.value - labelWidth.value - (wide.value ? 64 : 32)) / days
  return Math.floor(Math.max(wide.value ? 92 : 112, Math.min(MOST_DAY, room)))
})
/** Under way it opens where today is, with the day before beside it. */
watch(
  [frame, () => forecast.today, dayWidth],
  ([element, today]) => {
    if (element && today > 0) element.scrollLeft = Math.max(0, (today - 1) * dayWidth.value)
  },
  { flush: 'post' },
)
const cellsElement = ref<HTMLElement | null>(null)
const { onKeydown, onFocusin, tabindex } = useGridKeys(() => cellsElement.value)

const decide = useDecideStore()
decide.follow()
/** Days from 05:00 of day 0 at which a container can wait no longer. */
function decideX(container: string): number | null {
  const by = decide.answers?.find((one) => one.container === container)?.offers[0]?.leaveBy
  const days = by && forecast.stay ? wallDaysBetween(dayZero(forecast.stay.start), by) : null
  return days !== null && board.value && days < board.value.days.length ? days : null
}
const limitWords = ({ side, limit, unit }: ModelContainer) =>
  limit === null ? '' : t.board.limit[side](level(limit, unit))
</script>

<template>
  <section v-if="board" aria-labelledby="board" data-testid="board">
    <h2 id="board" class="sr-only">{{ t.board.title }}</h2>
    <BoardPatterns />
    <div ref="frame" class="-mx-4 overflow-x-auto overscroll-x-contain sm:-mx-8" tabindex="-1">
      <div
        class="w-max px-(--gutter) pb-3 [--gutter:1rem] sm:[--gutter:2rem]"
        :style="{ '--day': `${dayWidth}px`, '--label': `${labelWidth}px` }"
      >
        <div class="relative">
          <div class="flex pt-7" aria-hidden="true">
            <span class="board-label" />
            <span
              v-for="day in board.days"
              :key="day.day"
              class="figure w-(--day) border-l border-transparent pl-1 text-[0.95rem] font-semibold whitespace-nowrap"
              >{{ day.short }}</span
            >
          </div>
          <BoardPeople :board="board" />
          <BoardWeather :board="board" />
          <div ref="cellsElement" @keydown="onKeydown" @focusin="onFocusin">
            <div v-for="(row, r) in board.rows" :key="row.id" class="mt-3 flex">
              <div class="board-label pt-1">
                <p class="leading-tight font-bold wrap-anywhere" :class="row.isStopper ? 'text-oxide' : ''">
                  {{ row.name }}
                </p>
                <p class="text-[0.85rem] leading-tight text-soft">{{ limitWords(row) }}</p>
                <DecideFor :container="row.id" is-short />
              </div>
              <BoardRow
                :row="row"
                :row-index="r"
                :days="board.days"
                :day-width="dayWidth"
                :stop-x="board.stopX"
                :decide-x="decideX(row.id)"
                :tabindex-of="(col) => tabindex(r, col)"
                @why="
                  (part) =>
                    part === null ? router.push('/log') : why.ask({ kind: 'level', container: row.id, part })
                "
              />
            </div>
          </div>
          <BoardRuns :board="board" :day-width="dayWidth" />
          <BoardChance :board="board" />
          <BoardHabits :board="board" :day-width="dayWidth" />
          <div
            v-if="board.stopX !== null"
            class="pointer-events-none absolute top-0 bottom-2 z-10 border-l-3 border-oxide"
            :style="{
              left: `${labelWidth + board.stopX * dayWidth}px`,
            }"
            data-testid="board-stop"
          >
            <span
              class="figure absolute top-0 -translate-x-1/2 bg-oxide px-2 text-[0.9rem] font-bold text-paper"
              >{{ t.board.stop }}</span
            >
          </div>
        </div>
      </div>
    </div>
    <RunDialog />
  </section>
</template>
