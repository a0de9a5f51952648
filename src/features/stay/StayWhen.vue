<script setup lang="ts">
import { computed } from 'vue'
import { renameStay, setLeave, setNights, setStart } from '@/actions/stay'
import { nightsBetween } from '@/core/calendar'
import type { Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppStepper from '@/ui/AppStepper.vue'

const props = defineProps<{ stay: Stay }>()
const workspace = useWorkspaceStore()
const nights = computed(() => nightsBetween(props.stay.start, props.stay.leaveAt))
</script>

<template>
  <div>
    <div class="mt-3 grid gap-4 sm:grid-cols-2">
      <TextField
        class="sm:col-span-2"
        :label="t.stay.name"
        :value="stay.name"
        :save="(name) => workspace.act(renameStay(stay.id, name))"
      />
      <TextField
        type="datetime-local"
        :label="t.stay.start"
        :value="stay.start"
        :save="(start) => workspace.act(setStart(stay.id, start))"
      />
      <TextField
        type="datetime-local"
        :label="t.stay.leave"
        :value="stay.leaveAt"
        :save="(leave) => workspace.act(setLeave(stay.id, leave))"
      />
      <AppStepper
        :value="nights"
        :text="t.camp.nights(nights)"
        :min="1"
        :max="stay.horizonDays.value - 1"
        :fewer="t.stay.fewerNights"
        :more="t.stay.moreNights"
        data-testid="nights"
        @change="(to) => workspace.act(setNights(stay.id, to))"
      />
    </div>
  </div>
</template>
