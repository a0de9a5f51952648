<script setup lang="ts">
import { computed } from 'vue'
import { formatNumber, t } from '@/texts'
import { filledTo, tallyShape, type Stroke } from './tally'

const props = defineProps<{
  /** Nights planned. */
  planned: number
  /** Dry days; null: beyond the horizon. */
  days: number | null
  /** Dry days to plan on: what lies between them and the average is drawn softer. */
  sure?: number | null
  /** Groups of five in a row. */
  perRow?: number
  /** Words under the first stroke, the stop and the last stroke. */
  marks?: { start: string; stop: string | null; end: string }
}>()

const shape = computed(() => tallyShape(props.planned, props.days, props.perRow))
/** The same strokes, as far as they can be planned on. */
const sureStrokes = computed(() =>
  props.sure === null || props.sure === undefined
    ? shape.value.strokes
    : tallyShape(props.planned, Math.min(props.sure, props.days ?? props.sure), props.perRow).strokes,
)
/** Room a date takes under the tally. */
const LABEL_WIDTH = 78
const labels = computed(() => {
  const { strokes } = shape.value
  const mark = (stroke: Stroke | undefined, text: string | null | undefined, isStop: boolean) =>
    stroke && text
      ? [
          {
            text,
            isStop,
            anchor: 'middle',
            x: (stroke.x1 + stroke.x2) / 2,
            y: Math.max(stroke.y1, stroke.y2) + (stroke.isBar ? 30 : 20),
          },
        ]
      : []
  const stop = mark(
    strokes.find(({ isStop }) => isStop),
    props.marks?.stop,
    true,
  )
  const isFree = ({ x, y }: { x: number; y: number }) =>
    stop.every((at) => at.y !== y || Math.abs(at.x - x) > LABEL_WIDTH)
  const first = mark(strokes[0], props.marks?.start, false)
    .filter(isFree)
    .map((at) => ({ ...at, anchor: 'start', x: at.x - 3 }))
  const last = strokes.length > 5 ? mark(strokes.at(-1), props.marks?.end, false).filter(isFree) : []
  return [...first, ...stop, ...last]
})
const label = computed(() => {
  const dry = Math.min(props.planned, Math.floor(props.days ?? props.planned))
  return t.count.tally(props.planned, formatNumber(dry, 0))
})
</script>

<template>
  <svg
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${shape.width} ${shape.height}`"
    preserveAspectRatio="xMinYMin meet"
    class="max-w-full overflow-visible"
    fill="none"
    stroke-linecap="round"
  >
    <g stroke-width="6">
      <path
        v-for="stroke in shape.strokes"
        :key="stroke.index"
        :d="`M${stroke.x1} ${stroke.y1}L${stroke.x2} ${stroke.y2}`"
        stroke="var(--faint)"
        :stroke-width="stroke.filled >= 1 ? 0 : 4.5"
        stroke-dasharray="0.1 8.5"
      />
      <template v-for="stroke in shape.strokes" :key="stroke.index">
        <path
          v-if="stroke.filled > 0.01"
          :d="`M${stroke.x1} ${stroke.y1}L${filledTo(stroke).x} ${filledTo(stroke).y}`"
          stroke="var(--faint)"
          :stroke-width="5"
        />
      </template>
      <template v-for="stroke in sureStrokes" :key="stroke.index">
        <path
          v-if="stroke.filled > 0.01"
          :d="`M${stroke.x1} ${stroke.y1}L${filledTo(stroke).x} ${filledTo(stroke).y}`"
          stroke="var(--ink)"
        />
      </template>
      <template v-for="stroke in shape.strokes" :key="stroke.index">
        <path
          v-if="stroke.isStop"
          data-testid="tally-stop"
          :d="`M${filledTo(stroke).x - 10} ${filledTo(stroke).y}h20`"
          stroke="var(--oxide)"
        />
      </template>
    </g>
    <g v-if="marks" class="figure text-[13px] font-semibold">
      <text
        v-for="mark in labels"
        :key="mark.text"
        :x="mark.x"
        :y="mark.y"
        :text-anchor="mark.anchor"
        :fill="mark.isStop ? 'var(--oxide)' : 'var(--soft)'"
      >
        {{ mark.text }}
      </text>
    </g>
  </svg>
</template>
