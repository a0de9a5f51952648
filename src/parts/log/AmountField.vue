<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { parseNumber, parseQuantity, parseShare, type Dimension } from '@/core/quantities'
import { useSettingsStore } from '@/data/settingsStore'
import { formatQuantity } from '@/texts'
import * as t from '@/texts/t'
import FieldShell from '@/ui/FieldShell.vue'

/** An amount that need not be given: what is typed stays, and what it comes to is told to the form, SI; null: nothing. */
const props = defineProps<{
  label: string
  dimension: Dimension | 'number'
  /** SI; more than this is refused in these words. */
  max: number
  tooMuch?: string | undefined
  /** SI: what a share is of, where one may be typed. */
  whole?: number | undefined
}>()
const amount = defineModel<number | null>({ required: true })
const isWrong = defineModel<boolean>('wrong', { default: false })
const id = useId()
const settings = useSettingsStore()
const unit = computed(() => (props.dimension === 'number' ? '' : t.units[settings.units[props.dimension]]))
const text = ref('')
const fault = ref<string | null>(null)

function read(): { ok: true; value: number } | { ok: false; words: string } {
  const typed = text.value.trim()
  const share = props.whole === undefined ? null : parseShare(typed, settings.decimal)
  if (share !== null) return { ok: true, value: share * props.whole! }
  if (props.dimension === 'number') {
    const value = parseNumber(typed, settings.decimal)
    return value === null ? { ok: false, words: t.field['not-a-number'](typed) } : { ok: true, value }
  }
  const parsed = parseQuantity(typed, props.dimension, settings.units, settings.decimal)
  if (parsed.ok) return { ok: true, value: parsed.si }
  return { ok: false, words: parsed.code === 'empty' ? t.field.empty : t.field[parsed.code](parsed.found) }
}
function typed(value: string) {
  text.value = value
  if (value.trim() === '') return put(null, null)
  const found = read()
  if (!found.ok) return put(null, found.words)
  if (found.value < 0 || found.value > props.max + 1e-9) return put(null, props.tooMuch ?? inBounds())
  return put(found.value, null)
}
const inBounds = () =>
  props.dimension === 'number'
    ? t.field.range('0', String(props.max))
    : t.field.range(
        formatQuantity(0, props.dimension, settings.units),
        formatQuantity(props.max, props.dimension, settings.units),
      )
function put(value: number | null, words: string | null) {
  amount.value = value
  fault.value = words
  isWrong.value = words !== null
}
</script>

<template>
  <FieldShell :id="id" :label="label" :fault="fault">
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
      />
      <span v-if="unit" class="self-center pr-2 text-soft" aria-hidden="true">{{ unit }}</span>
    </span>
  </FieldShell>
</template>
