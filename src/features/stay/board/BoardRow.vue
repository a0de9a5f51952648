<script setup lang="ts">
import { areaPath, linePath, type BoardCell, type BoardMark } from './boardShape'
import type { ModelContainer } from '@/core/compile'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'

const props = defineProps<{
  row: ModelContainer & { cells: BoardCell[] }
  rowIndex: number
  days: { day: number; label: string }[]
  dayWidth: number
  /** Days from 05:00 of day 0 at which the stay stops; null: not on the board. */
  stopX: number | null
  /** The same of the last moment to leave for a place; null: none, or not on the board. */
  decideX: number | null
  tabindexOf: (col: number) => number
}>()
/** A day that was lived has no sum to ask for: the log tells it. */
defineEmits<{ why: [part: number | null] }>()

const HEIGHT = 84
const { level: words, gauge } = useAmounts()
const inner = () => props.dayWidth - 3
const limitY = () => (props.row.limit === null ? null : HEIGHT * (1 - props.row.limit / props.row.capacity))

function label(cell: BoardCell): string {
  const { day, overL } = cell
  const level = t.board.cell(props.row.name, props.days[day]!.label, shown(cell))
  if (overL <= 1e-9) return level
  const past = props.row.side === 'supply' ? t.board.short : t.board.over
  return `${level} ${past(words(overL, props.row.unit))}`
}
/** The number stands where the line does not. */
function labelAbove({ profile, lived }: BoardCell) {
  const all = [...lived, ...profile]
  return Math.max(all[0]?.share ?? 0, all.at(-1)?.share ?? 0) < 0.7
}
/** The level itself, past its limit too: what its sum comes to, and what is spoken. */
const shown = ({ endL, part }: BoardCell) =>
  part === null ? gauge(endL, props.row.unit) : words(endL, props.row.unit)
/** What a panel's step said: a bar from its probe to the next; of what was measured, a tick. */
function markPath({ x, from, to }: BoardMark): string {
  const at = Math.max(4, Math.min(inner() - 4, x * inner()))
  const y = (share: number) => Math.min(HEIGHT - 1.5, Math.max(1.5, HEIGHT * (1 - share)))
  return `M${at - 4} ${y(from)}h8M${at} ${y(from)}V${y(to)}M${at - 4} ${y(to)}h8`
}
/** After the stop the days are there to see what a run would have to do: quieter. */
const isAfterStop = (day: number) => props.stopX !== null && day > props.stopX
</script>

<template>
  <div class="relative flex" role="group" :aria-label="row.name">
    <svg
      v-if="decideX !== null"
      class="pointer-events-none absolute -top-1 z-20 -ml-[9px]"
      :style="{ left: `${decideX * dayWidth}px` }"
      width="18"
      :height="HEIGHT + 4"
      aria-hidden="true"
      :data-testid="`decide-mark-${row.id}`"
    >
      <path d="M1 1h16l-8 12z" fill="var(--oxide)" stroke="var(--paper)" stroke-width="1.5" />
      <path :d="`M9 12V${HEIGHT}`" stroke="var(--oxide)" stroke-width="2.5" stroke-dasharray="2 5" />
    </svg>
    <svg v-if="row.side === 'waste'" width="0" height="0" class="absolute" aria-hidden="true">
      <clipPath :id="`past-${row.id}`">
        <rect x="0" y="0" :width="inner()" :height="limitY() ?? 0" />
      </clipPath>
    </svg>
    <button
      v-for="cell in row.cells"
      :key="cell.day"
      type="button"
      class="relative block w-(--day) pr-[3px] text-left"
      :data-row="rowIndex"
      :data-col="cell.day"
      :tabindex="tabindexOf(cell.day)"
      :aria-label="label(cell)"
      :data-testid="`cell-${row.id}-${cell.day}`"
      @click="$emit('why', cell.part)"
    >
      <svg
        :width="inner()"
        :height="HEIGHT"
        :viewBox="`0 0 ${inner()} ${HEIGHT}`"
        aria-hidden="true"
        class="block bg-post"
        :class="isAfterStop(cell.day) ? 'opacity-45' : ''"
      >
        <g v-if="cell.lived.length > 0" opacity="0.42" data-testid="lived">
          <path :d="areaPath(cell.lived, inner(), HEIGHT)" :fill="`url(#hatch-${row.side})`" />
          <path :d="linePath(cell.lived, inner(), HEIGHT)" fill="none" stroke="var(--ink)" stroke-width="3" />
        </g>
        <path
          :d="areaPath(cell.profile, inner(), HEIGHT)"
          :fill="`url(#hatch-${cell.wasOver ? 'over' : row.side})`"
        />
        <path
          v-if="cell.overL > 1e-9 && !cell.wasOver && row.side === 'waste'"
          :d="areaPath(cell.profile, inner(), HEIGHT)"
          fill="url(#hatch-over)"
          :clip-path="`url(#past-${row.id})`"
        />
        <path
          v-if="limitY() !== null"
          :d="`M0 ${limitY()}h${inner()}`"
          stroke="var(--ink)"
          stroke-width="2"
          stroke-dasharray="2 4"
        />
        <path
          :d="linePath(cell.profile, inner(), HEIGHT)"
          fill="none"
          :stroke="cell.overL > 1e-9 ? 'var(--oxide)' : 'var(--ink)'"
          stroke-width="3"
        />
        <path
          v-for="(mark, k) in cell.marks"
          :key="k"
          :d="markPath(mark)"
          fill="none"
          :stroke="mark.fits ? 'var(--ink)' : 'var(--oxide)'"
          stroke-width="2.5"
        />
      </svg>
      <span
        :style="labelAbove(cell) ? { top: '2px' } : { bottom: '2px' }"
        class="figure absolute left-0.5 z-20 bg-post px-1 text-[0.92rem] whitespace-nowrap"
        :class="[
          cell.overL > 1e-9 ? 'text-oxide' : '',
          isAfterStop(cell.day) || cell.part === null ? '' : 'font-bold',
        ]"
        >{{ shown(cell) }}</span
      >
    </button>
  </div>
</template>
