<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LevelUnit, Side } from '@/core/domain'
import { useAmounts } from '../useAmounts'
import * as t from '@/texts/t'

const props = defineProps<{
  name: string
  side: Side
  unit: LevelUnit
  /** L */
  level: number
  capacity: number
  limit: number | null
  isStopper: boolean
  /** L at the moment the stay stops; null where nothing stops it. */
  atStop: number | null
  /** Eight in ten lie in it, L: a soft band about the level, which is then read and not dragged. */
  band?: { low: number; high: number } | null
}>()
const emit = defineEmits<{
  /** The level as it is dragged, L. */
  level: [litres: number]
}>()

const { level: words, gauge } = useAmounts()
const post = ref<HTMLElement | null>(null)
const share = computed(() => Math.min(1, Math.max(0, props.level / props.capacity)))
const limitShare = computed(() => (props.limit === null ? null : props.limit / props.capacity))
const shareAtStop = computed(() => Math.min(1, Math.max(0.06, (props.atStop ?? 0) / props.capacity)))
const valueText = computed(() =>
  t.gauge.value(gauge(props.level, props.unit), words(props.capacity, props.unit)),
)

const isRead = computed(() => props.band !== null && props.band !== undefined)
const bandStyle = computed(() => {
  const { low, high } = props.band ?? { low: 0, high: 0 }
  const share = (amount: number) => Math.min(1, Math.max(0, amount / props.capacity))
  return { bottom: `${share(low) * 100}%`, height: `${(share(high) - share(low)) * 100}%` }
})

/** A hand on a post is good to a percent of the tank, no more. */
function setShare(next: number) {
  const level = (Math.round(Math.min(1, Math.max(0, next)) * 100) / 100) * props.capacity
  if (level !== props.level) emit('level', level)
}

/** The handle moves the level by as much as it is moved itself, from wherever it was taken. */
let held: { y: number; share: number } | null = null
function grab(event: PointerEvent) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  held = { y: event.clientY, share: share.value }
}
let at: number | null = null
/** A browser tells of a moved pointer in the task that draws: the level follows in a task of its own, so that both stay short. */
function follow(event: PointerEvent) {
  if (!held) return
  if (at === null) setTimeout(catchUp)
  at = event.clientY
}
function catchUp() {
  if (held && post.value && at !== null) setShare(held.share + (held.y - at) / post.value.clientHeight)
  at = null
}
function letGo() {
  catchUp()
  held = null
}

/** A tap on the post puts the level there; a finger that scrolls past it is no tap. */
function tap(event: MouseEvent) {
  if (!post.value || (event.target as HTMLElement).closest('.handle')) return
  const { bottom, height } = post.value.getBoundingClientRect()
  setShare((bottom - event.clientY) / height)
}

const STEPS: Record<string, number> = {
  ArrowUp: 0.01,
  ArrowRight: 0.01,
  ArrowDown: -0.01,
  ArrowLeft: -0.01,
  PageUp: 0.1,
  PageDown: -0.1,
}

function key(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (step !== undefined) setShare(share.value + step)
  else if (event.key === 'Home') setShare(0)
  else if (event.key === 'End') setShare(1)
  else return
  event.preventDefault()
}
</script>

<template>
  <div
    ref="post"
    :role="isRead ? 'meter' : 'slider'"
    :tabindex="isRead ? -1 : 0"
    :aria-orientation="isRead ? undefined : 'vertical'"
    :aria-label="isRead ? t.gauge.now(name) : t.gauge.label(name)"
    :aria-valuemin="0"
    :aria-valuemax="Math.round(capacity)"
    :aria-valuenow="Math.round(level)"
    :aria-valuetext="valueText"
    class="post relative border-ink bg-post select-none"
    :class="isRead ? 'is-read' : ''"
    @click="isRead || tap($event)"
    @keydown="isRead || key($event)"
  >
    <div
      class="absolute inset-x-0 bottom-0"
      :class="side === 'supply' ? 'hatch-supply' : 'hatch-waste'"
      :style="{ height: `${share * 100}%` }"
    />
    <span
      v-for="tick in 9"
      :key="tick"
      class="tick"
      :class="{ long: tick === 5 }"
      :style="{ bottom: `${tick * 10}%` }"
    />
    <span v-if="atStop !== null && !isStopper" class="at-stop" :style="{ bottom: `${shareAtStop * 100}%` }" />
    <span v-if="isRead" class="band" :style="bandStyle" data-testid="gauge-band" />
    <span class="level" :style="{ bottom: `${share * 100}%` }" />
    <span
      v-if="!isRead"
      class="handle"
      :style="{ bottom: `${share * 100}%` }"
      data-testid="gauge-handle"
      @pointerdown="grab"
      @pointermove="follow"
      @pointerup="letGo"
      @pointercancel="letGo"
    />
    <span
      v-if="limitShare !== null"
      class="notch"
      :class="{ stop: isStopper }"
      :style="{ bottom: `${limitShare * 100}%` }"
    />
  </div>
</template>

<style scoped>
.post {
  width: 4.25rem;
  border-width: var(--stroke);
  border-top-width: 0;
  margin-left: 26px;
  cursor: pointer;
}
.tick {
  position: absolute;
  right: 0;
  width: 11px;
  height: 2px;
  background: var(--ink);
}
.tick.long {
  width: 22px;
}
.post.is-read {
  margin-left: 10px;
  cursor: auto;
}
/* What is not known: the level lies somewhere in here. */
.band {
  position: absolute;
  inset-inline: -6px;
  background: color-mix(in srgb, var(--ink) 28%, transparent);
}
[data-theme='sun'] .band {
  background: repeating-linear-gradient(0deg, var(--ink) 0 1.5px, transparent 1.5px 5px);
}
.level {
  position: absolute;
  left: -8px;
  right: -8px;
  height: 4px;
  margin-bottom: -2px;
  background: var(--ink);
}
/* Large enough for a thumb, beside the post, so that a finger that scrolls over the post moves nothing. */
.handle {
  position: absolute;
  left: -30px;
  width: 44px;
  height: 44px;
  margin-bottom: -22px;
  touch-action: none;
  cursor: ns-resize;
}
.handle::before {
  content: '';
  position: absolute;
  left: 4px;
  top: 11px;
  width: 24px;
  height: 22px;
  background:
    linear-gradient(var(--paper), var(--paper)) 50% 6px / 10px 2px no-repeat,
    linear-gradient(var(--paper), var(--paper)) 50% 10px / 10px 2px no-repeat,
    linear-gradient(var(--paper), var(--paper)) 50% 14px / 10px 2px no-repeat,
    var(--ink);
  clip-path: polygon(0 0, 68% 0, 100% 50%, 68% 100%, 0 100%);
}
.at-stop {
  position: absolute;
  inset-inline: -4px;
  border-top: 3px dotted var(--ink);
}
/* The limit: a notch filed into the post from outside. */
.notch {
  position: absolute;
  right: -19px;
  width: 26px;
  height: 4px;
  margin-bottom: -2px;
  background: linear-gradient(90deg, transparent 8px, var(--ink) 8px);
}
.notch::after {
  content: '';
  position: absolute;
  right: -2px;
  top: -6px;
  border: 8px solid transparent;
  border-right-color: var(--ink);
  border-left-width: 0;
}
.notch.stop {
  background: linear-gradient(90deg, transparent 8px, var(--oxide) 8px);
}
.notch.stop::after {
  border-right-color: var(--oxide);
}
</style>
