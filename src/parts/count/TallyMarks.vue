<script setup lang="ts">
import { computed } from 'vue'
import { formatNumber, t } from '@/texts'
import { filledTo, tallyShape } from './tally'

const props = defineProps<{
  /** Nights planned. */
  planned: number
  /** Dry days; null: beyond the horizon. */
  days: number | null
  /** Groups of five in a row. */
  perRow?: number
}>()

const shape = computed(() => tallyShape(props.planned, props.days, props.perRow))
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
        :stroke-width="stroke.filled >= 1 ? 0 : 3"
        stroke-dasharray="0.1 8.5"
        class="tally-rest"
      />
      <template v-for="stroke in shape.strokes" :key="stroke.index">
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
  </svg>
</template>

<style scoped>
.tally-rest {
  stroke-width: 4.5;
}
</style>
