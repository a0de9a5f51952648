<script setup lang="ts">
import { computed, useId } from 'vue'
import type { CassetteState } from '@/core/cards'
import * as t from '@/texts/t'
import { PAPER } from './outletShape'
import WasteHatch from './WasteHatch.vue'
import { BOX, cassetteShape, cassetteWords, type Point } from './cassetteShape'

/** A cassette as it stands at a step: its blade, spout, cap, button and float, drawn from the same state that its words come from. */
const props = defineProps<{ state: CassetteState; isPrinted?: boolean }>()
const shape = computed(() => cassetteShape(props.state))
const said = computed(() => cassetteWords(props.state))
const id = useId()
const { x, y, width, height } = BOX
const [bladeX, bladeWidth] = [x + 26, 54]
/** How far the button stands out. */
const button = computed(() => (props.state.isButtonDown ? 3 : 10))
const isLow = computed(() => props.state.holds === 'nothing' || props.state.spout === 'down')
const floatY = computed(() => (isLow.value ? y + height - 16 : shape.value.surface - 2))

/** A bar across the end of the spout. */
const cap = computed(() => {
  const { from, to } = shape.value.spout
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const [nx, ny] = [((to.y - from.y) / length) * 13, ((to.x - from.x) / length) * -13]
  return `M${to.x - nx} ${to.y - ny}L${to.x + nx} ${to.y + ny}`
})

/** Words beside a part, with a line to it. */
interface Label {
  text: string
  to: Point
  x: number
  y: number
}
/** About so wide is a letter of a label. */
const LETTER = 7.3
const labels = computed((): (Label & { from: Point })[] => {
  const { at, spout } = shape.value
  const { state } = props
  const c = t.cassette
  const isTipped = state.spout === 'down'
  const left = { x: 96 }
  const right = { x: 368 }
  const list: Label[] = [
    {
      text: state.isBladeShut ? c.bladeShut : c.bladeOpen,
      to: at({ x: bladeX + 8, y: y - 6 }),
      ...(isTipped ? { ...right, y: 62 } : { ...left, y: 30 }),
    },
    {
      text: state.isButtonDown ? c.pressed : c.button,
      to: at({ x: x + 12, y: y - button.value }),
      ...(isTipped ? { ...right, y: 26 } : { ...left, y: 78 }),
    },
    { text: c.float, to: at({ x: x + 30, y: floatY.value }), ...left, y: isTipped ? 78 : 128 },
    state.isCapOn
      ? { text: c.capOn, to: at(spout.to), ...right, y: state.isIn ? 230 : 190 }
      : { text: c.capOff, to: { x: 62, y: 205 }, ...left, y: 182 },
    { text: c.spout[state.spout], to: at(spout.from), ...right, y: isTipped ? 130 : 30 },
  ]
  return list.map((one) => ({
    ...one,
    from: { x: one.x === right.x ? one.x - one.text.length * LETTER - 3 : one.x + 4, y: one.y - 5 },
  }))
})
</script>

<template>
  <figure class="max-w-[30rem]" :style="isPrinted ? PAPER : undefined" data-testid="cassette-picture">
    <svg
      :viewBox="`0 0 ${shape.width} ${shape.height}`"
      class="w-full"
      role="img"
      :aria-label="said"
      fill="none"
      stroke="var(--ink)"
      stroke-width="2.5"
    >
      <defs>
        <WasteHatch :id="`${id}-waste`" />
        <pattern :id="`${id}-water`" width="16" height="10" patternUnits="userSpaceOnUse">
          <path d="M0 5q4 -4 8 0t8 0" stroke="var(--ink)" stroke-width="1.4" fill="none" />
        </pattern>
        <clipPath :id="`${id}-box`">
          <rect :x="x" :y="y" :width="width" :height="height" rx="12" :transform="shape.turn" />
        </clipPath>
      </defs>
      <!-- The ground, and the drain where it is poured. -->
      <path d="M8 212H364" />
      <g v-if="state.spout === 'down'">
        <rect x="252" y="202" width="70" height="10" fill="var(--card)" />
        <path
          v-if="state.runs"
          :d="`M${shape.at(shape.spout.to).x} ${shape.at(shape.spout.to).y + 4}V206`"
          stroke="var(--grass-ink)"
          stroke-width="9"
          stroke-dasharray="6 4"
        />
        <text
          x="368"
          y="206"
          text-anchor="end"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-semibold"
        >
          {{ t.outlet.drain }}
        </text>
      </g>
      <!-- The rig round it, with the bowl above. -->
      <g v-if="state.isIn">
        <rect x="124" y="62" width="230" height="150" fill="var(--card)" />
        <path d="M172 28H244Q240 60 226 82H190Q176 60 172 28Z" fill="var(--card)" />
      </g>
      <g :transform="shape.turn">
        <rect :x="x" :y="y" :width="width" :height="height" rx="12" fill="var(--card)" />
        <path v-if="state.spout !== 'down'" :d="`M${x + 16} ${y + height + 2}v18h12v-18m94 0v18h12v-18`" />
      </g>
      <g v-if="state.holds !== 'nothing'" :clip-path="`url(#${id}-box)`">
        <rect
          x="0"
          :y="shape.surface"
          width="372"
          height="236"
          :fill="`url(#${id}-${state.holds})`"
          stroke-width="2"
        />
      </g>
      <g :transform="shape.turn">
        <rect :x="x" :y="y" :width="width" :height="height" rx="12" />
        <!-- Blade: a bar across its opening where it is shut. -->
        <path :d="`M${bladeX} ${y}v-10M${bladeX + bladeWidth} ${y}v-10`" />
        <path :d="`M${bladeX} ${y}h${bladeWidth}`" stroke="var(--card)" stroke-width="4" />
        <path
          :d="`M${state.isBladeShut ? bladeX : bladeX + bladeWidth + 2} ${y - 5}h${bladeWidth}`"
          stroke-width="6"
        />
        <path :d="`M${x + 12} ${y}v-${button}m-6 0h12`" stroke-width="5" />
        <path :d="`M${x + 30} ${floatY}V${y + 4}`" stroke-width="1.6" />
        <circle :cx="x + 30" :cy="floatY" r="7" fill="var(--card)" />
        <path
          :d="`M${shape.spout.from.x} ${shape.spout.from.y}L${shape.spout.to.x} ${shape.spout.to.y}`"
          stroke-width="21"
        />
        <path
          :d="`M${shape.spout.from.x} ${shape.spout.from.y}L${shape.spout.to.x} ${shape.spout.to.y}`"
          stroke-width="16"
          stroke="var(--card)"
        />
        <path v-if="state.isCapOn" :d="cap" stroke-width="8" />
      </g>
      <rect v-if="!state.isCapOn" x="50" y="204" width="24" height="8" fill="var(--ink)" />
      <g v-for="label in labels" :key="label.text">
        <path
          :d="`M${label.from.x} ${label.from.y}L${label.to.x} ${label.to.y}`"
          stroke-width="1.2"
          stroke="var(--soft)"
        />
        <text
          :x="label.x"
          :y="label.y"
          text-anchor="end"
          fill="var(--ink)"
          stroke="none"
          class="text-[14px] font-semibold"
        >
          {{ label.text }}
        </text>
      </g>
    </svg>
  </figure>
</template>
