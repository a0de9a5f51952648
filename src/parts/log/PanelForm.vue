<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { toldReading } from '@/core/log'
import { panelMarks, readAs } from '@/core/domain'
import type { Saw } from '@/core/log'
import { sparesOf, unitOf, type Container, type Id } from '@/core/domain'
import { useForecastStore } from '@/data/forecastStore'
import { useUnderWayStore } from '@/data/underWayStore'
import { markNames } from '@/parts/levels/markNames'
import { useAmounts } from '@/parts/useAmounts'
import { listed } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AmountField from './AmountField.vue'
import { useEntryForm } from './useEntryForm'
import WhenField from './WhenField.vue'

/** The whole panel in one gesture: a row for each tank, a tap for what is lit; a stick, a scale or a light as well. */
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const underWay = useUnderWayStore()
const { level } = useAmounts()

interface Row {
  tank: Container
  full: number
  choices: { label: string; range: string; saw: Saw }[]
}
const rows = computed((): Row[] => {
  const tanks = (forecast.rig?.containers ?? []).filter(({ kind }) => kind !== 'tote' && kind !== 'jug')
  return tanks.map((tank) => {
    const full = (1 + sparesOf(tank)) * tank.capacity.value
    return { tank, full, choices: choicesOf(tank, full) }
  })
})

function choicesOf(tank: Container, full: number): Row['choices'] {
  const panel = 'panel' in tank ? tank.panel : null
  if (panel) {
    const spans = panelMarks(panel)
    const edges = spans.map(({ from }) => from)
    const unit = unitOf(tank.kind)
    return markNames(spans).map((label, step) => ({
      label,
      range:
        spans[step]!.from === spans[step]!.to
          ? level(full, unit)
          : `${level(spans[step]!.from * full, unit)} – ${level(spans[step]!.to * full, unit)}`,
      saw: { as: 'panel', edges, step },
    }))
  }
  const light =
    'light' in tank && tank.light
      ? [{ label: t.log.reading.light, range: '', saw: { as: 'light' } as Saw }]
      : []
  return [
    { label: t.log.reading.dry, range: '', saw: { as: 'dry' } },
    ...light,
    { label: t.log.reading.full, range: '', saw: { as: 'full' } },
  ]
}

const seen = reactive<Record<Id, Saw>>({})
const amounts = reactive<Record<Id, number | null>>({})
const masses = reactive<Record<Id, number | null>>({})
const wrong = reactive<Record<Id, boolean>>({})
const isOffLevel = ref(false)
const { at, fault, refused, save: log } = useEntryForm(emit)
const isSame = (a: Saw | undefined, b: Saw) => JSON.stringify(a) === JSON.stringify(b)

function choose(tank: Id, saw: Saw) {
  if (isSame(seen[tank], saw)) Reflect.deleteProperty(seen, tank)
  else seen[tank] = saw
}
/** What was measured says more than what is lit. */
function sawOf({ tank, full }: Row): Saw | null {
  const amount = amounts[tank.id] ?? null
  const measured = readAs('measured', amount ?? 0, full, null)
  if (amount !== null && measured.method === 'measured')
    return { as: 'amount', amount, deviation: measured.deviation }
  const kg = masses[tank.id] ?? null
  return kg === null ? (seen[tank.id] ?? null) : { as: 'weight', kg }
}
const readings = computed(() =>
  rows.value.flatMap((row) => {
    const saw = sawOf(row)
    return saw ? [{ container: row.tank.id, saw }] : []
  }),
)
const hasShell = (tank: Container) => 'shell' in tank && tank.kind !== 'tote'

function save() {
  const names = rows.value.filter(({ tank }) => readings.value.some(({ container }) => container === tank.id))
  log(
    readings.value.map(({ container, saw }) => toldReading(at.value, container, saw, isOffLevel.value)),
    listed(names.map(({ tank }) => tank.name)),
    readings.value.length > 0 && !Object.values(wrong).some(Boolean),
  )
}

/** What the count expects, so that a surprise is seen while the panel is still lit. */
const expected = (tank: Container) => {
  const container = forecast.model?.containers.find(({ members }) => members.includes(tank.id))
  return container && underWay.phase === 'under-way' && container.members.length === 1
    ? t.log.reading.expected(level(container.start, container.unit))
    : null
}
</script>

<template>
  <form class="mt-1" data-testid="panel-form" @submit.prevent="save">
    <p class="text-soft">{{ t.log.reading.text }}</p>
    <ul class="mt-2">
      <li
        v-for="row in rows"
        :key="row.tank.id"
        class="border-b border-line py-3"
        :data-testid="`read-${row.tank.id}`"
      >
        <p class="flex flex-wrap items-baseline justify-between gap-x-3">
          <span class="text-lg font-bold">{{ row.tank.name }}</span>
          <span v-if="expected(row.tank)" class="text-[0.9rem] text-soft">{{ expected(row.tank) }}</span>
        </p>
        <div class="mt-1 flex gap-1" role="group" :aria-label="row.tank.name">
          <button
            v-for="choice in row.choices"
            :key="choice.label"
            type="button"
            class="min-h-14 flex-1 border-2 px-1 leading-tight"
            :class="isSame(seen[row.tank.id], choice.saw) ? 'border-ink bg-ink text-paper' : 'border-soft'"
            :aria-pressed="isSame(seen[row.tank.id], choice.saw)"
            @click="choose(row.tank.id, choice.saw)"
          >
            <span class="block text-lg font-bold">{{ choice.label }}</span>
            <span v-if="choice.range" class="block text-[0.78rem]">{{ choice.range }}</span>
          </button>
        </div>
        <details class="mt-1">
          <summary class="min-h-11 cursor-pointer py-2 text-[0.95rem] font-semibold text-soft">
            {{ t.log.reading.measured }}
          </summary>
          <div class="grid grid-cols-2 items-start gap-4 pb-2">
            <AmountField
              v-model="amounts[row.tank.id] as number | null"
              v-model:wrong="wrong[row.tank.id] as boolean"
              :label="t.log.reading.measured"
              :dimension="unitOf(row.tank.kind) === 'L' ? 'volume' : 'uses'"
              :max="row.full"
              :whole="row.full"
              :too-much="t.log.reading.tooMuch(level(row.full, unitOf(row.tank.kind)))"
            />
            <AmountField
              v-if="hasShell(row.tank)"
              v-model="masses[row.tank.id] as number | null"
              v-model:wrong="wrong[`kg-${row.tank.id}`] as boolean"
              :label="t.log.reading.weighed"
              dimension="mass"
              :max="500"
            />
          </div>
        </details>
      </li>
    </ul>
    <div class="mt-3 grid grid-cols-2 items-end gap-4">
      <WhenField v-model="at" :fault="fault" />
      <label class="flex min-h-11 items-center gap-2">
        <input v-model="isOffLevel" type="checkbox" class="h-6 w-6 accent-[var(--ink)]" />
        {{ t.log.reading.offLevel }}
      </label>
    </div>
    <p
      v-if="rows.every(({ tank }) => !('panel' in tank && tank.panel))"
      class="mt-2 text-[0.95rem] text-soft"
    >
      {{ t.log.reading.marks }}
    </p>
    <p v-if="refused" class="mt-2 font-semibold" role="alert">{{ refused }}</p>
    <AppButton kind="primary" class="mt-4" :disabled="readings.length === 0" @click="save">{{
      readings.length === 0 ? t.log.reading.nothing : t.log.reading.save(readings.length)
    }}</AppButton>
  </form>
</template>
