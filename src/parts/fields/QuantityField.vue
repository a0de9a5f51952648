<script setup lang="ts">
import { computed, useId } from 'vue'
import type { EditResult } from '@/data/workspaceStore'
import * as t from '@/texts/t'
import FieldShell from '@/ui/FieldShell.vue'
import AmountInput from './AmountInput.vue'
import { useInGroup } from './fieldGroup'
import { useAmountText, type AmountOf } from './readAmount'
import { useSavedField } from './useSavedField'

const props = defineProps<{
  label: string
  hideLabel?: boolean
  /** SI; for `percent` a share of 1, for `number` as it is. */
  value: number
  dimension: AmountOf
  /** SI bounds, both included. */
  min: number
  max: number
  /** SI: what a share is of, where one may be typed (`1/3`, `33 %`, `two thirds`). */
  whole?: number
  save: (si: number) => EditResult
}>()

const id = useId()
const { unit, toShown, withUnit, parse } = useAmountText(() => props)
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
  <FieldShell :id="id" :label="label" :unit="unit" :hide-label="hideLabel" :fault="message">
    <AmountInput
      :id="id"
      :text="text"
      :unit="unit"
      :is-wrong="fault !== null"
      @typed="typed"
      @left="left"
      @commit="commit"
    />
  </FieldShell>
</template>
