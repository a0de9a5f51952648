<script setup lang="ts">
import { ref } from 'vue'
import { Trash2 } from '@lucide/vue'
import PersonDays from './PersonDays.vue'
import PersonAway from './PersonAway.vue'
import { addPerson, removePerson, renameCrew, renamePerson } from '@/actions/people'
import { nightsBetween } from '@/core/calendar'
import type { Crew, Stay } from '@/core/domain'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import TextField from '@/parts/fields/TextField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ crew: Crew; stay: Stay }>()
const workspace = useWorkspaceStore()

function rename(person: string, name: string) {
  return workspace.act(renamePerson(props.crew.id, person, name))
}
const saveCrewName = (name: string) => workspace.act(renameCrew(props.crew.id, name))
/** Somebody was added just now: there is a card that tells them all of it. */
const isNewAboard = ref(false)
/** @param isGuest there on two days of this stay, for a beginning */
function add(isGuest: boolean) {
  const { id, persons } = props.crew
  const { id: stayId, start, leaveAt } = props.stay
  const person = newId('person')
  const last = Math.min(2, nightsBetween(start, leaveAt))
  const name = isGuest ? t.stay.guestName : t.starterNames.person(persons.length + 1)
  const guest = isGuest ? { stay: stayId, days: [Math.min(1, last), last] as [number, number] } : null
  workspace.act(addPerson(id, { id: person, name }, guest, t.starterNames.crew))
  isNewAboard.value = true
}
function remove(person: string) {
  workspace.act(removePerson(props.crew.id, person, t.starterNames.crew))
}
</script>

<template>
  <div>
    <TextField class="max-w-xl" :label="t.stay.crewName" :value="crew.name" :save="saveCrewName" />
    <ul class="mt-3">
      <li
        v-for="person in crew.persons"
        :key="person.id"
        :class="[
          'grid grid-cols-[minmax(0,1fr)_2.75rem] items-end gap-x-3 gap-y-2 border-t border-line',
          'py-3 lg:grid-cols-[minmax(0,4fr)_minmax(0,6fr)_minmax(0,6fr)_2.75rem]',
        ]"
        :data-testid="`person-${person.id}`"
      >
        <TextField
          :label="t.stay.person"
          hide-label
          :value="person.name"
          :save="(name) => rename(person.id, name)"
        />
        <AppButton
          kind="quiet"
          class="lg:order-last"
          :disabled="crew.persons.length === 1"
          :title="crew.persons.length === 1 ? t.stay.lastPerson : undefined"
          :aria-label="t.rig.remove(person.name)"
          @click="remove(person.id)"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
        <PersonDays class="max-lg:col-span-2" :stay="stay" :person="person" />
        <PersonAway class="max-lg:col-span-2" :stay="stay" :person="person" />
      </li>
    </ul>
    <div class="flex flex-wrap gap-3 border-t border-line pt-3">
      <AppButton @click="add(false)">{{ t.stay.addPerson }}</AppButton>
      <AppButton @click="add(true)">{{ t.stay.addGuest }}</AppButton>
    </div>
    <p v-if="isNewAboard" class="mt-2" role="status">
      <RouterLink
        to="/cards/aboard"
        class="inline-flex min-h-11 items-center font-semibold underline decoration-line decoration-2 underline-offset-4"
        >{{ t.stay.aboard }}</RouterLink
      >
    </p>
    <p class="mt-3 text-[0.95rem] text-soft">{{ t.stay.awayHint }} {{ t.stay.hours }}</p>
  </div>
</template>
