<script setup lang="ts">
import { isWallTime } from '@/core/calendar'
import type { EditResult } from '@/data/workspaceStore'
import type { StartChoices } from '@/document/starters'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import StartLevels from './StartLevels.vue'
import AppStepper from '@/ui/AppStepper.vue'

defineProps<{ choices: StartChoices }>()
const emit = defineEmits<{ change: [change: Partial<StartChoices>] }>()
const MOST_NIGHTS = 45

function setStart(start: string): EditResult {
  if (!isWallTime(start))
    return { ok: false, faults: [{ code: 'bad-time', path: ['start'], found: start || '…', expected: '' }] }
  emit('change', { start })
  return { ok: true }
}
</script>

<template>
  <div class="space-y-5">
    <TextField
      class="max-w-xs"
      type="datetime-local"
      :label="t.stay.start"
      :value="choices.start"
      :save="setStart"
    />
    <AppStepper
      :value="choices.nights"
      :text="t.camp.nights(choices.nights)"
      :min="1"
      :max="MOST_NIGHTS"
      :fewer="t.stay.fewerNights"
      :more="t.stay.moreNights"
      @change="emit('change', { nights: $event })"
    />
    <StartLevels :choices="choices" @change="emit('change', $event)" />
  </div>
</template>
