<script setup lang="ts">
import { useId } from 'vue'
import * as t from '@/texts/t'
import FieldShell from '@/ui/FieldShell.vue'

/** When it was, in the wall time of the place; what is wrong with it stands beside it and stays typed. */
defineProps<{ fault: string | null; label?: string }>()
const at = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <FieldShell :id="id" class="max-sm:col-span-2" :label="label ?? t.log.use.when" :fault="fault">
    <input
      :id="id"
      v-model="at"
      type="datetime-local"
      :aria-invalid="fault !== null"
      :aria-describedby="fault === null ? undefined : `${id}-fault`"
      class="h-11 w-full min-w-0 border-b-2 border-ink bg-card px-2 text-lg"
    />
  </FieldShell>
</template>
