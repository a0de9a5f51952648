<script setup lang="ts">
import { computed } from 'vue'
import { nightsBetween } from '@/core/calendar'
import type { Stay } from '@/core/model'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { setNights, setStart, stayOf } from '@/document/edits'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppStepper from '@/ui/AppStepper.vue'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
const nights = computed(() => nightsBetween(props.stay.start, props.stay.leaveAt))

const edit = (key: string, recipe: Parameters<typeof workspace.edit>[1]) =>
  workspace.edit('stay', recipe, `${key} ${props.stay.id}`)
</script>

<template>
  <div>
    <div class="mt-3 grid gap-4 sm:grid-cols-2">
      <TextField
        class="sm:col-span-2"
        :label="t.stay.name"
        :value="stay.name"
        :save="(name) => edit('name', (draft) => void (stayOf(draft, stay.id).name = name))"
      />
      <TextField
        type="datetime-local"
        :label="t.stay.start"
        :value="stay.start"
        :save="(start) => edit('start', (draft) => setStart(draft, stay.id, start))"
      />
      <TextField
        type="datetime-local"
        :label="t.stay.leave"
        :value="stay.leaveAt"
        :save="(leave) => edit('leave', (draft) => void (stayOf(draft, stay.id).leaveAt = leave))"
      />
      <AppStepper
        :value="nights"
        :text="t.camp.nights(nights)"
        :min="1"
        :max="stay.horizonDays.value - 1"
        :fewer="t.stay.fewerNights"
        :more="t.stay.moreNights"
        data-testid="nights"
        @change="(to) => edit('nights', (draft) => setNights(draft, stay.id, to))"
      />
    </div>
  </div>
</template>
