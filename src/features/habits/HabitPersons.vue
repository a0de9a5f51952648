<script setup lang="ts">
import { setHabitPersons } from '@/actions/habits'
import type { Crew, HabitOn, Id, Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import * as t from '@/texts/t'

/** Who takes part in a habit that is on. */
const props = defineProps<{ stay: Stay; crew: Crew; name: string; on: HabitOn }>()
const workspace = useWorkspaceStore()
const takesPart = (person: Id) => props.on.persons === null || props.on.persons.includes(person)

function toggle(person: Id) {
  const { id } = props.stay
  const { habit } = props.on
  const now = props.crew.persons.map((one) => one.id).filter(takesPart)
  const next = takesPart(person) ? now.filter((one) => one !== person) : [...now, person]
  workspace.act(setHabitPersons(id, habit, next))
}
</script>

<template>
  <div class="mt-1 flex flex-wrap gap-2" role="group" :aria-label="t.habits.who(name)">
    <button
      v-for="person in crew.persons"
      :key="person.id"
      type="button"
      role="checkbox"
      :aria-checked="takesPart(person.id)"
      class="min-h-11 border-2 px-3 text-[0.95rem] wrap-anywhere"
      :class="takesPart(person.id) ? 'border-ink font-semibold' : 'border-line text-soft line-through'"
      @click="toggle(person.id)"
    >
      {{ person.name }}
    </button>
  </div>
</template>
