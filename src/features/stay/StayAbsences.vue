<script setup lang="ts">
import { computed } from 'vue'
import { PARTS, addWallDays, dayAndPartOf, dayZero, nightsBetween, type Part } from '@/core/calendar'
import type { Crew, Stay } from '@/core/model'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { setAbsence } from '@/document/edits'
import { formatDate, t } from '@/texts'

const props = defineProps<{ stay: Stay; crew: Crew }>()
const workspace = useWorkspaceStore()

const days = computed(() =>
  Array.from({ length: nightsBetween(props.stay.start, props.stay.leaveAt) + 1 }, (_, day) => ({
    day,
    label: formatDate(addWallDays(dayZero(props.stay.start), day)),
  })),
)
const firstPart = computed(() => dayAndPartOf(props.stay.start, props.stay.start).part)
const away = computed(
  () => new Set(props.stay.absences.map(({ person, day, part }) => `${person} ${day} ${part}`)),
)
const isAway = (person: string, day: number, part: Part) => away.value.has(`${person} ${day} ${part}`)

function toggle(person: string, day: number, part: Part) {
  const stay = props.stay.id
  const next = !isAway(person, day, part)
  workspace.edit('absence', (draft) => setAbsence(draft, stay, person, day, part, next))
}
</script>

<template>
  <section class="pt-10" aria-labelledby="absences">
    <h2 id="absences" class="text-xl font-bold">{{ t.stay.absences }}</h2>
    <p class="text-soft">{{ t.stay.absencesHint }}</p>
    <div class="mt-3 overflow-x-auto" tabindex="0" role="region" :aria-label="t.stay.absences">
      <table class="border-separate border-spacing-x-2">
        <thead>
          <tr>
            <td class="sticky left-0 bg-paper" />
            <th
              v-for="day in days"
              :key="day.day"
              class="pb-1 text-left text-[0.9rem] font-semibold whitespace-nowrap"
            >
              {{ day.label }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in crew.persons" :key="person.id">
            <th class="sticky left-0 bg-paper pr-3 text-left font-bold">{{ person.name }}</th>
            <td v-for="day in days" :key="day.day">
              <span class="flex">
                <button
                  v-for="(part, index) in PARTS"
                  :key="part"
                  type="button"
                  role="checkbox"
                  class="grid h-11 w-7 place-items-center disabled:opacity-25"
                  :disabled="day.day === 0 && index < firstPart"
                  :aria-checked="isAway(person.id, day.day, part)"
                  :aria-label="`${person.name}, ${day.label}, ${t.parts[part]}: ${t.stay.away}`"
                  @click="toggle(person.id, day.day, part)"
                >
                  <span
                    class="h-8 rounded-full"
                    :class="
                      isAway(person.id, day.day, part)
                        ? 'w-1 opacity-40 outline-1 outline-dashed outline-ink'
                        : 'w-1.5 bg-ink'
                    "
                  />
                </button>
              </span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
