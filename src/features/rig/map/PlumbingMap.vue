<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { reroute } from '@/actions/rig'
import { partAt } from '@/core/count'
import { pipeFlows, plumbingWarnings, type PipeFlow } from '@/core/rig'
import { wallDaysBetween } from '@/core/calendar'
import type { Id, Rig, Stay } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useAmounts } from '@/parts/useAmounts'
import { listed } from '@/texts'
import * as t from '@/texts/t'
import MapTank from './MapTank.vue'
import { mapLayout, nextOf, nodeHeight, pipePath, pipeWidth } from './mapLayout'

const props = defineProps<{ rig: Rig; stay: Stay }>()
const forecast = useForecastStore()
const { level } = useAmounts()
const workspace = useWorkspaceStore()

const frame = ref<HTMLElement | null>(null)
const { width } = useElementSize(frame)
/** The pipe whose end is being led elsewhere. */
const held = ref<{ fixture: Id; pipe: PipeFlow['pipe'] } | null>(null)
const pointer = ref<{ x: number; y: number } | null>(null)
const refused = ref('')

const flows = computed(() => {
  const { model, result } = forecast
  if (!model || !result) return []
  const parts = partAt(model, wallDaysBetween(model.start, props.stay.leaveAt)) + 1
  return pipeFlows(props.rig, model, result.ledger, parts)
})
const largest = computed(() => Math.max(1e-9, ...flows.value.map(({ perDay }) => perDay)))
const warnings = computed(() => plumbingWarnings(props.rig, flows.value))

/** Columns, px: narrow enough for a phone in one hand. */
const columns = computed(() => {
  const outlet = 26
  const free = width.value - outlet
  const tank = Math.min(200, free * 0.21)
  const fixture = Math.min(220, free * 0.25)
  return { tank, fixture, left: (free - fixture) / 2, right: free - tank, outlet: free }
})

/** On a phone there is no room for numbers beside the pipes: they stand in the boxes the pipes lead to. */
const isNarrow = computed(() => width.value < 560)
const node = computed(() => nodeHeight(props.rig, columns.value, isNarrow.value ? 1 : 0))
const layout = computed(() => mapLayout(props.rig, node.value))
const inBox = (id: Id) => {
  const own = pipes.value.filter(({ fixture }) => fixture === id)
  const of = (pipe: PipeFlow['pipe']) => own.find((one) => one.pipe === pipe)?.amount ?? '0'
  const out = [of('drains'), ...own.filter(({ pipe }) => pipe === 'solids').map(({ amount }) => amount)]
  return t.map.through(of('draws').split('\u00a0')[0]!, listed(out))
}

const tankName = (id: Id | null) =>
  props.rig.containers.find((container) => container.id === id)?.name ?? t.map.byHand
const pipes = computed(() =>
  flows.value.map((flow) => {
    const fixture = props.rig.fixtures.find(({ id }) => id === flow.fixture)!
    const to =
      flow.pipe === 'draws' ? fixture.draws : flow.pipe === 'drains' ? fixture.drains : fixture.solids
    const box = layout.value.fixtures.find(({ id }) => id === flow.fixture)!
    const tanks = flow.pipe === 'draws' ? layout.value.supplies : layout.value.wastes
    const tank = tanks.find(({ id }) => id === to)
    const y =
      box.y + (fixture.solids === null || flow.pipe === 'draws' ? 0 : flow.pipe === 'drains' ? -15 : 15)
    const { tank: tankWidth, fixture: fixtureWidth, left, right } = columns.value
    const x = flow.pipe === 'draws' ? left : left + fixtureWidth
    const amount = level(flow.perDay, flow.unit)
    const path = tank
      ? flow.pipe === 'draws'
        ? pipePath(tankWidth, tank.y, x, y)
        : pipePath(x, y, right, tank.y)
      : null
    const label = t.map.pipe[flow.pipe](fixture.name, tankName(to), amount)
    return { ...flow, key: `${flow.fixture} ${flow.pipe}`, to, x, y, path, amount, label }
  }),
)
const picking = computed(() => (held.value?.pipe === 'draws' ? 'supply' : held.value ? 'waste' : null))
const heldPipe = computed(() =>
  pipes.value.find(({ fixture, pipe }) => fixture === held.value?.fixture && pipe === held.value.pipe),
)

const choices = (pipe: PipeFlow['pipe']): Id[] => {
  const nodes = pipe === 'draws' ? layout.value.supplies : layout.value.wastes
  return nodes.map(({ id }) => id).filter((id) => pipe !== 'drains' || !isBin(id))
}
const isBin = (id: Id) => props.rig.containers.find((container) => container.id === id)?.kind === 'solids'

function lead(fixture: Id, pipe: PipeFlow['pipe'], to: Id | null) {
  const result = workspace.act(reroute(props.rig.id, fixture, pipe, to))
  refused.value = result.ok ? '' : t.faults[result.faults[0]!.code](result.faults[0]!)
  held.value = null
  pointer.value = null
}
function pick(id: Id) {
  if (held.value) lead(held.value.fixture, held.value.pipe, id)
}
function onKey(event: KeyboardEvent, pipe: (typeof pipes.value)[number]) {
  const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key] as 1 | -1 | undefined
  if (event.key === 'Escape') held.value = null
  if (step === undefined) return
  event.preventDefault()
  const to = nextOf(choices(pipe.pipe), pipe.to ?? '', step)
  lead(pipe.fixture, pipe.pipe, to)
}

let dragged = false
function grab(event: PointerEvent, { fixture, pipe }: PipeFlow) {
  dragged = false
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  held.value = held.value?.fixture === fixture && held.value.pipe === pipe ? null : { fixture, pipe }
}
/** Enter and space come without a pointer. */
function onClick(event: MouseEvent, { fixture, pipe }: PipeFlow) {
  if (event.detail !== 0) return
  held.value = held.value?.fixture === fixture && held.value.pipe === pipe ? null : { fixture, pipe }
}
function follow(event: PointerEvent) {
  const target = event.currentTarget as HTMLElement
  if (!target.hasPointerCapture(event.pointerId) || !held.value || !frame.value) return
  const box = frame.value.getBoundingClientRect()
  dragged ||= Math.hypot(event.movementX, event.movementY) > 2
  if (dragged) pointer.value = { x: event.clientX - box.left, y: event.clientY - box.top }
}
function drop(event: PointerEvent) {
  if (!dragged) return
  const under = document.elementFromPoint(event.clientX, event.clientY)
  const tank = under?.closest<HTMLElement>('[data-tank]')?.dataset.tank
  if (tank !== undefined) pick(tank)
  held.value = null
  pointer.value = null
}
</script>

<template>
  <div>
    <p class="max-w-[80ch] text-soft">{{ t.map.hint }}</p>
    <p class="min-h-7 pt-1 font-semibold" aria-live="polite">
      {{ refused !== '' ? refused : heldPipe ? t.map.pick(heldPipe.label) : '' }}
    </p>
    <div ref="frame" class="relative" :style="{ height: `${layout.height}px` }" data-testid="map">
      <svg class="absolute inset-0 h-full w-full overflow-visible" aria-hidden="true">
        <template v-for="pipe in pipes" :key="pipe.key">
          <path
            v-if="pipe.path"
            :d="pipe.path"
            fill="none"
            :stroke="pipe.pipe === 'draws' ? 'var(--water-ink)' : 'var(--ink)'"
            :stroke-width="pipeWidth(pipe.perDay / largest)"
            :stroke-dasharray="pipe.perDay === 0 ? '3 7' : pipe.pipe === 'solids' ? '9 4' : undefined"
            :opacity="held && heldPipe?.key !== pipe.key ? 0.25 : 1"
          />
        </template>
        <path
          v-if="heldPipe && pointer"
          :d="pipePath(heldPipe.x, heldPipe.y, pointer.x, pointer.y)"
          fill="none"
          stroke="var(--grass-ink)"
          stroke-width="5"
        />
        <g v-for="outlet in layout.outlets" :key="outlet.id" fill="none" stroke="var(--ink)" stroke-width="3">
          <path
            :d="`M${columns.outlet} ${outlet.top}h10V${outlet.bottom}h-10M${columns.outlet + 10} ${(outlet.top + outlet.bottom) / 2}h14`"
          />
          <path
            v-if="rig.outlets.find(({ id }) => id === outlet.id)!.endValve"
            :d="`M${columns.outlet + 17} ${(outlet.top + outlet.bottom) / 2 - 11}v22`"
            stroke-width="5"
          />
        </g>
      </svg>
      <MapTank
        v-for="box in layout.supplies"
        :key="box.id"
        :node="box"
        :height="node"
        side="supply"
        :left="0"
        :width="columns.tank"
        :open="picking === 'supply'"
        @pick="pick(box.id)"
      />
      <div
        v-for="box in layout.fixtures"
        :key="box.id"
        :class="[
          'absolute flex -translate-y-1/2 flex-col items-center justify-center border-2 border-line bg-paper px-1',
          'text-center leading-tight font-semibold hyphens-auto wrap-anywhere max-sm:text-[0.9rem]',
        ]"
        lang="en"
        :style="{
          top: `${box.y}px`,
          left: `${columns.left}px`,
          width: `${columns.fixture}px`,
          height: `${node}px`,
        }"
      >
        {{ box.name }}
        <span v-if="isNarrow" class="figure text-[0.82rem] text-soft" aria-hidden="true">{{
          inBox(box.id)
        }}</span>
      </div>
      <MapTank
        v-for="box in layout.wastes"
        :key="box.id"
        :node="box"
        :height="node"
        side="waste"
        :left="columns.right"
        :width="columns.tank"
        :open="picking === 'waste'"
        @pick="pick(box.id)"
      />
      <button
        v-for="pipe in pipes"
        :key="pipe.key"
        type="button"
        class="absolute z-10 flex h-11 -translate-y-1/2 touch-none items-center"
        :class="[
          pipe.pipe === 'draws' ? '-translate-x-full flex-row-reverse' : '',
          pipes.some(({ fixture, pipe: other }) => fixture === pipe.fixture && other === 'solids') &&
          pipe.pipe !== 'draws'
            ? 'h-8!'
            : '',
        ]"
        :style="{ top: `${pipe.y}px`, left: `${pipe.x}px` }"
        :aria-label="pipe.label"
        :aria-pressed="heldPipe?.key === pipe.key"
        :data-testid="`pipe-${pipe.fixture}-${pipe.pipe}`"
        @pointerdown="grab($event, pipe)"
        @pointermove="follow"
        @pointerup="drop"
        @keydown="onKey($event, pipe)"
        @click="onClick($event, pipe)"
      >
        <span
          class="h-4 w-4 shrink-0 border-[3px] border-ink"
          :class="heldPipe?.key === pipe.key ? 'bg-grass' : 'bg-card'"
          aria-hidden="true"
        />
        <span
          v-if="!isNarrow"
          class="figure mx-0.5 -translate-y-3.5 bg-paper/80 px-0.5 text-[0.82rem] sm:text-[0.95rem]"
          :class="'leading-none font-bold whitespace-nowrap'"
          aria-hidden="true"
          >{{ pipe.amount }}</span
        >
      </button>
    </div>
    <ul v-if="warnings.length > 0" class="mt-3" data-testid="map-warnings">
      <li v-for="warning in warnings" :key="JSON.stringify(warning)" class="font-semibold">
        ▲
        {{
          t.map.warn[warning.kind](
            'container' in warning
              ? tankName(warning.container)
              : (rig.fixtures.find(({ id }) => id === warning.fixture)?.name ?? ''),
          )
        }}
      </li>
    </ul>
  </div>
</template>
