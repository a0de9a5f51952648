<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { addAbsences, removeAbsence } from '@/actions/people'
import { PARTS, type Part } from '@/core/calendar'
import type { Absence, Person, Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import * as t from '@/texts/t'

/** When somebody is away again and again: each day or on some weekdays, in one part of the day. */
const props = defineProps<{ stay: Stay; person: Person }>()
const workspace = useWorkspaceStore()

const RHYTHMS = { everyDay: null, weekdays: [1, 2, 3, 4, 5], weekend: [6, 7] } as const
type Rhythm = keyof typeof RHYTHMS
const rhythmOf = ({ weekdays }: Absence): Rhythm =>
  weekdays === null ? 'everyDay' : weekdays.every((day) => day >= 6) ? 'weekend' : 'weekdays'

const repeating = computed(() =>
  props.stay.absences.filter(({ person, days }) => person === props.person.id && days[0] < days[1]),
)
const wordsOf = (absence: Absence) => t.stay.repeats(t.stay[rhythmOf(absence)], t.parts[absence.part])
const choices = computed(() => [
  { value: '', label: repeating.value.length === 0 ? t.stay.awayNone : t.stay.awayMore },
  ...(Object.keys(RHYTHMS) as Rhythm[]).flatMap((rhythm) =>
    PARTS.map((part) => ({
      value: `${rhythm} ${part}`,
      label: t.stay.repeats(t.stay[rhythm], t.parts[part]),
    })),
  ),
])

function add(choice: string) {
  const [rhythm, part] = choice.split(' ') as [Rhythm, Part]
  const { id } = props.stay
  const person = props.person.id
  if (part !== undefined) workspace.act(addAbsences(id, person, [part], RHYTHMS[rhythm]))
}
function remove(absence: Absence) {
  workspace.act(removeAbsence(props.stay.id, props.stay.absences.indexOf(absence)))
}
</script>

<template>
  <div>
    <!-- Made again with each one added, so that it asks for the next. -->
    <ChoiceField
      :key="repeating.length"
      :of="person.name"
      :label="t.stay.awayWhen"
      value=""
      :options="choices"
      @choose="add"
    />
    <ul v-if="repeating.length > 0" class="flex flex-wrap gap-x-4">
      <li v-for="(absence, i) in repeating" :key="i" class="flex items-center">
        <span>{{ wordsOf(absence) }}</span>
        <button
          type="button"
          class="grid h-11 w-9 place-items-center"
          :aria-label="t.stay.awayRemove(person.name, wordsOf(absence))"
          @click="remove(absence)"
        >
          <X :size="18" aria-hidden="true" />
        </button>
      </li>
    </ul>
  </div>
</template>
