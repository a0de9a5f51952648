<script setup lang="ts">
import { computed } from 'vue'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import {
  LEAST_WIDTH,
  filledTo,
  labelUnder,
  spanOf,
  stopMark,
  tallyShape,
  type Stroke,
  type TallyLabel,
} from './tally'

const props = defineProps<{
  /** Days to the end of each planned night. */
  ends: readonly number[]
  /** Days to the stop; null: beyond the horizon. */
  days: number | null
  /** Days that are known already: what lies beyond them is drawn softer. */
  sure?: number | null
  /** Groups of five in a row. */
  perRow?: number
  /** Words under the first stroke, the stop and the last stroke. */
  marks?: { start: string; stop: string | null; end: string }
}>()

const shape = computed(() => tallyShape(props.ends, props.days, props.perRow))
/** The same strokes, as far as they are known. */
const sureStrokes = computed(() =>
  props.sure === null || props.sure === undefined
    ? shape.value.strokes
    : tallyShape(props.ends, Math.min(props.sure, props.days ?? props.sure), props.perRow).strokes,
)
const LABEL_HEIGHT = 16
const width = computed(() => Math.max(shape.value.width, props.marks ? LEAST_WIDTH : 0))
const height = computed(() => shape.value.height + (props.marks ? LABEL_HEIGHT : 0))
/** The stop's date first; the others where there is room for them. */
const labels = computed(() => {
  const { strokes } = shape.value
  const wanted: [Stroke | undefined, string | null | undefined, boolean][] = [
    [strokes.find(({ isStop }) => isStop), props.marks?.stop, true],
    [strokes[0], props.marks?.start, false],
    [strokes.length > 5 ? strokes.at(-1) : undefined, props.marks?.end, false],
  ]
  const placed: (TallyLabel & { isStop: boolean })[] = []
  for (const [stroke, text, isStop] of wanted) {
    if (!stroke || !text) continue
    const one = labelUnder(stroke, text, width.value)
    const [from, to] = spanOf(one)
    const isFree = placed.every((other) => {
      const [left, right] = spanOf(other)
      return Math.abs(other.y - one.y) > LABEL_HEIGHT || from > right + 6 || to < left - 6
    })
    if (isFree) placed.push({ ...one, isStop })
  }
  return placed
})
const label = computed(() => {
  const made = shape.value.strokes.filter(({ filled }) => filled >= 1).length
  return t.count.tally(props.ends.length, formatNumber(made, 0))
})
</script>

<template>
  <svg
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${width} ${height}`"
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
        <path v-if="stroke.isStop" data-testid="tally-stop" :d="stopMark(stroke)" stroke="var(--oxide)" />
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
