<script setup lang="ts">
import { computed } from 'vue'
import { setApart, setSaves } from '@/actions/budget'
import { mayBeSaved } from '@/core/budget'
import type { Crew, Stay } from '@/core/domain'
import { useWorkspaceStore } from '@/data/workspaceStore'
import QuantityField from '@/parts/fields/QuantityField.vue'
import * as t from '@/texts/t'
import AppSwitch from '@/ui/AppSwitch.vue'

/** Whose uses are theirs whatever the others save; and what of their own the crew would save. */
const props = defineProps<{ stay: Stay; crew: Crew }>()
const workspace = useWorkspaceStore()
const MOST_A_DAY = 200

const rows = computed(() =>
  props.crew.activities
    .filter((activity) => activity.per === 'person' && mayBeSaved(activity, props.crew))
    .flatMap((activity) =>
      props.crew.persons.map((person) => {
        const apart = props.stay.budget.apart.find(
          (one) => one.person === person.id && one.activity === activity.id,
        )
        const own = person.rates.find((one) => one.activity === activity.id) ?? activity
        return { activity, person, apart, usual: own.rate.value }
      }),
    ),
)
const ownOnes = computed(() => props.crew.activities.filter(({ kind }) => kind === 'own'))

function set(person: string, activity: string, rate: number | null) {
  return workspace.act(setApart(props.stay.id, person, activity, rate))
}
function saves(activity: string, is: boolean) {
  workspace.act(setSaves(props.crew.id, activity, is))
}
</script>

<template>
  <p class="max-w-[60ch] text-[0.95rem] text-soft">{{ t.budget.apartHint }}</p>
  <ul class="mt-2 max-w-3xl">
    <li
      v-for="{ activity, person, apart, usual } in rows"
      :key="`${activity.id} ${person.id}`"
      class="flex min-h-14 flex-wrap items-center justify-between gap-x-4 border-b border-line py-1"
      :data-testid="`apart-${activity.id}-${person.id}`"
    >
      <AppSwitch
        :on="apart !== undefined"
        :label="`${person.name}: ${activity.name}`"
        @change="set(person.id, activity.id, $event ? usual : null)"
      />
      <span class="grow font-semibold">{{ person.name }}: {{ activity.name }}</span>
      <div v-if="apart" class="w-40">
        <QuantityField
          :label="t.budget.apartDay(person.name, activity.name)"
          hide-label
          :value="apart.rate.value"
          dimension="number"
          :min="0"
          :max="MOST_A_DAY"
          :save="(rate) => set(person.id, activity.id, rate)"
        />
      </div>
      <span v-else class="text-soft">{{ t.budget.apartOff }}</span>
    </li>
  </ul>
  <template v-if="ownOnes.length > 0">
    <h3 class="mt-4 font-bold">{{ t.budget.savesTitle }}</h3>
    <ul class="max-w-3xl">
      <li
        v-for="{ id, name } in ownOnes"
        :key="id"
        class="flex min-h-12 items-center gap-4 border-b border-line"
      >
        <AppSwitch :on="crew.saves.includes(id)" :label="name" @change="saves(id, $event)" />
        {{ name }}
      </li>
    </ul>
  </template>
</template>
