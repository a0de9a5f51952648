<script setup lang="ts">
import { computed, useId } from 'vue'
import { fromSi, parseNumber, parseQuantity, parseShare, type Dimension } from '@/core/quantities'
import type { EditResult } from '@/data/workspaceStore'
import { useSettingsStore } from '@/data/settingsStore'
import { formatNumber } from '@/texts'
import * as t from '@/texts/t'
import FieldShell from '@/ui/FieldShell.vue'
import { useInGroup } from './fieldGroup'
import { useSavedField, type Parsed } from './useSavedField'

const props = defineProps<{
  label: string
  hideLabel?: boolean
  /** SI; for `percent` a share of 1, for `number` as it is. */
  value: number
  dimension: Dimension | 'number' | 'percent'
  /** SI bounds, both included. */
  min: number
  max: number
  /** SI: what a share is of, where one may be typed (`1/3`, `33 %`, `two thirds`). */
  whole?: number
  save: (si: number) => EditResult
}>()

const id = useId()
const settings = useSettingsStore()
const unit = computed(() => {
  if (props.dimension === 'number') return ''
  return props.dimension === 'percent' ? '%' : t.units[settings.units[props.dimension]]
})

function toShown(si: number): string {
  if (props.dimension === 'number') return formatNumber(si)
  if (props.dimension === 'percent') return formatNumber(si * 100)
  return formatNumber(fromSi(si, settings.units[props.dimension]))
}

function parse(text: string): Parsed<number> {
  const read = readSi(text)
  if (!read.ok) return read
  if (read.value < props.min || read.value > props.max) return { ok: false, words: inBounds() }
  return read
}

const withUnit = (si: number) => `${toShown(si)} ${unit.value}`.trim()
const inBounds = () => t.field.range(withUnit(props.min), withUnit(props.max))

function readSi(text: string): Parsed<number> {
  const share = props.whole === undefined ? null : parseShare(text, settings.decimal)
  if (share !== null) return { ok: true, value: share * props.whole! }
  if (props.dimension === 'number' || props.dimension === 'percent') {
    const value = parseNumber(text.replace('%', ''), settings.decimal)
    if (text.trim() === '') return { ok: false, words: t.field.empty }
    if (value === null) return { ok: false, words: t.field['not-a-number'](text.trim()) }
    return { ok: true, value: props.dimension === 'percent' ? value / 100 : value }
  }
  const parsed = parseQuantity(text, props.dimension, settings.units, settings.decimal)
  if (parsed.ok) return { ok: true, value: parsed.si }
  return { ok: false, words: parsed.code === 'empty' ? t.field.empty : t.field[parsed.code](parsed.found) }
}

const { text, fault, typed, left, commit } = useSavedField({
  shown: () => toShown(props.value),
  value: () => props.value,
  parse,
  save: (si: number) => props.save(si),
})
useInGroup(id, fault)
const message = computed(() =>
  fault.value === null ? null : `${fault.value} ${t.field.kept(withUnit(props.value))}`,
)
</script>

<template>
  <FieldShell :id="id" :label="label" :hide-label="hideLabel" :fault="message">
    <span class="flex border-b-2 border-ink bg-card focus-within:outline-3 focus-within:outline-offset-2">
      <input
        :id="id"
        :value="text"
        type="text"
        inputmode="decimal"
        autocomplete="off"
        :aria-invalid="fault !== null"
        :aria-describedby="fault === null ? undefined : `${id}-fault`"
        class="figure h-11 w-full min-w-0 bg-transparent px-2 text-lg font-semibold focus:outline-none"
        @input="typed(($event.target as HTMLInputElement).value)"
        @blur="left"
        @keydown.enter="commit"
      />
      <span v-if="unit" class="self-center pr-2 text-soft" aria-hidden="true">{{ unit }}</span>
    </span>
  </FieldShell>
</template>
