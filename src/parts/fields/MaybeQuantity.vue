<script setup lang="ts">
import { ref } from 'vue'
import { owned, type Quantity } from '@/core/quantities'
import type { EditResult } from '@/data/workspaceStore'
import QuantityField from './QuantityField.vue'
import type { AmountOf } from './readAmount'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

/** A number that may not be known: said so until it is put in. */
const props = defineProps<{
  label: string
  value: Quantity | null
  dimension: AmountOf
  limits: { min: number; max: number }
  /** What the field begins with. */
  first: number
  /** It begins with what is assumed: known is only what the owner then puts in. */
  isAssumed?: boolean
  save: (value: Quantity | null) => EditResult
}>()
/** The field stands open, with nothing known yet. */
const isOpen = ref(false)
function putIn() {
  if (props.isAssumed) isOpen.value = true
  else props.save(owned(props.first))
}
</script>

<template>
  <div>
    <template v-if="value">
      <QuantityField
        :label="label"
        :value="value.value"
        :dimension="dimension"
        :min="limits.min"
        :max="limits.max"
        :save="(si) => save(owned(si))"
      />
      <button
        type="button"
        class="min-h-11 text-[0.95rem] text-soft underline decoration-line decoration-2 underline-offset-4"
        :aria-label="`${label}: ${t.places.forget}`"
        @click="save(null)"
      >
        {{ t.places.forget }}
      </button>
    </template>
    <QuantityField
      v-else-if="isOpen"
      :label="label"
      :value="first"
      :dimension="dimension"
      :min="limits.min"
      :max="limits.max"
      :save="(si) => save(owned(si))"
    />
    <template v-else>
      <p class="mb-1 text-[0.92rem] font-semibold text-soft">{{ label }}: {{ t.places.unset }}</p>
      <AppButton :aria-label="t.places.setIt(label)" @click="putIn">{{ t.places.putIn }}</AppButton>
    </template>
  </div>
</template>
