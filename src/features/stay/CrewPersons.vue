<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import type { Crew } from '@/core/model'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { addPerson, crewOf, removePerson } from '@/document/edits'
import TextField from '@/parts/fields/TextField.vue'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ crew: Crew }>()
const workspace = useWorkspaceStore()

function rename(person: string, name: string) {
  const crew = props.crew.id
  return workspace.edit(
    'crew',
    (draft) => void (crewOf(draft, crew).persons.find(({ id }) => id === person)!.name = name),
    `person ${person}`,
  )
}
function renameCrew(name: string) {
  const crew = props.crew.id
  return workspace.edit('crew', (draft) => void (crewOf(draft, crew).name = name), `crew ${crew}`)
}
function add() {
  const { id, persons } = props.crew
  workspace.edit('crew', (draft) => {
    addPerson(draft, id, newId('person'), t.starterNames.person(persons.length + 1))
    nameByNumber(crewOf(draft, id), persons.length)
  })
}
function remove(person: string) {
  const { id, persons } = props.crew
  workspace.edit('crew', (draft) => {
    removePerson(draft, id, person)
    nameByNumber(crewOf(draft, id), persons.length)
  })
}
/** A crew that is called after how many it had is called after how many it has; a name of its own stays. */
function nameByNumber(crew: Crew, before: number) {
  if (crew.name === t.starterNames.crew(before)) crew.name = t.starterNames.crew(crew.persons.length)
}
</script>

<template>
  <section class="pt-6" aria-labelledby="who">
    <h2 id="who" class="text-xl font-bold">{{ t.stay.who }}</h2>
    <TextField class="mt-3" :label="t.stay.crewName" :value="crew.name" :save="renameCrew" />
    <ul class="mt-3">
      <li v-for="person in crew.persons" :key="person.id" class="mb-2 flex items-center gap-2">
        <TextField
          class="grow"
          :label="t.stay.person"
          hide-label
          :value="person.name"
          :save="(name) => rename(person.id, name)"
        />
        <AppButton
          kind="quiet"
          :disabled="crew.persons.length === 1"
          :title="crew.persons.length === 1 ? t.stay.lastPerson : undefined"
          :aria-label="t.rig.remove(person.name)"
          @click="remove(person.id)"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
      </li>
    </ul>
    <AppButton @click="add">{{ t.stay.addPerson }}</AppButton>
  </section>
</template>
