<script setup lang="ts">
import { ref, useId } from 'vue'
import AmountInput from '@/parts/fields/AmountInput.vue'
import { useAmountText, type AmountOf } from '@/parts/fields/readAmount'
import FieldShell from '@/ui/FieldShell.vue'

/** An amount that need not be given: what is typed stays, and what it comes to is told to the form, SI; null: nothing. */
const props = defineProps<{
  label: string
  dimension: AmountOf
  /** SI; more than this is refused, in words of its own where there are some. */
  max: number
  tooMuch?: string | undefined
  /** SI: what a share is of, where one may be typed. */
  whole?: number | undefined
}>()
const amount = defineModel<number | null>({ required: true })
const isWrong = defineModel<boolean>('wrong', { default: false })
const id = useId()
const text = ref('')
const fault = ref<string | null>(null)
const { unit, parse } = useAmountText(() => ({ ...props, min: 0 }))

function typed(value: string) {
  text.value = value
  const read = value.trim() === '' ? null : parse(value)
  amount.value = read?.ok ? read.value : null
  fault.value = read?.ok === false ? read.words : null
  isWrong.value = fault.value !== null
}
</script>

<template>
  <FieldShell :id="id" :label="label" :unit="unit" :fault="fault">
    <AmountInput :id="id" :text="text" :unit="unit" :is-wrong="fault !== null" @typed="typed" />
  </FieldShell>
</template>
