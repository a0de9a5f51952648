<script setup lang="ts">
import { computed } from 'vue'
import { setGuest } from '@/actions/people'
import type { Person, Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import { useDayOptions } from '@/parts/useDayOptions'
import * as t from '@/texts/t'

/** Whether somebody is there all the time, or a guest for some days. */
const props = defineProps<{ stay: Stay; person: Person }>()
const workspace = useWorkspaceStore()
const { last, options } = useDayOptions(() => props.stay)
const days = computed(() => props.stay.guests.find(({ person }) => person === props.person.id)?.days ?? null)
const presence = [
  { value: 'all', label: t.stay.allDays },
  { value: 'some', label: t.stay.someDays },
]

function set(range: [number, number] | null) {
  const { id } = props.stay
  const person = props.person.id
  const sorted = range && ([Math.min(...range), Math.max(...range)] as [number, number])
  workspace.act(setGuest(id, person, sorted))
}
</script>

<template>
  <div class="grid gap-x-3 gap-y-1" :class="days ? 'grid-cols-2 sm:grid-cols-3' : ''">
    <ChoiceField
      :class="days ? 'max-sm:col-span-2' : ''"
      :of="person.name"
      :label="t.stay.thereWhen"
      :value="days ? 'some' : 'all'"
      :options="presence"
      @choose="(next) => set(next === 'all' ? null : [Math.min(1, last), Math.min(2, last)])"
    />
    <template v-if="days">
      <ChoiceField
        :of="person.name"
        :label="t.stay.guestFrom"
        :value="String(Math.min(days[0], last))"
        :options="options"
        @choose="(day) => set([Number(day), days![1]])"
      />
      <ChoiceField
        :of="person.name"
        :label="t.stay.guestTo"
        :value="String(Math.min(days[1], last))"
        :options="options"
        @choose="(day) => set([days![0], Number(day)])"
      />
    </template>
  </div>
</template>
