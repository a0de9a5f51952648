<script setup lang="ts">
import { PARTS } from '@/core/calendar'
import type { Activity, Crew, Person } from '@/core/model'
import { owned } from '@/core/quantities'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import { crewOf, setOwnRate, withWeight } from '@/document/edits'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { t } from '@/texts'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ crew: Crew; activity: Activity }>()
const workspace = useWorkspaceStore()

const ownRate = ({ rates }: Person) =>
  rates.find(({ activity }) => activity === props.activity.id)?.rate.value ?? null

function setRate(person: string, rate: number | null) {
  const { crew, activity } = props
  return workspace.edit(
    'crew',
    (draft) => setOwnRate(draft, crew.id, person, activity.id, rate),
    `own ${person} ${activity.id}`,
  )
}
function change(what: string, recipe: (draft: Activity) => void) {
  const { crew, activity } = props
  return workspace.edit(
    'crew',
    (draft) => recipe(crewOf(draft, crew.id).activities.find(({ id }) => id === activity.id)!),
    `${what} ${activity.id}`,
  )
}
const setWeight = (part: number, share: number) =>
  change(`weight ${part}`, (draft) => {
    draft.weights = { values: withWeight(draft.weights.values, part, share), by: 'owner' }
  })
</script>

<template>
  <div class="grid grid-cols-2 gap-x-4 gap-y-3 border-l-4 border-line pb-3 pl-4 sm:grid-cols-4">
    <template v-if="activity.per === 'person'">
      <div v-for="person in crew.persons" :key="person.id">
        <QuantityField
          :label="t.stay.ownRate(person.name)"
          :value="ownRate(person) ?? activity.rate.value"
          dimension="number"
          :min="0"
          :max="LIMITS.ratePerDay.max"
          :save="(rate) => setRate(person.id, rate)"
        />
        <AppButton v-if="ownRate(person) !== null" kind="quiet" @click="setRate(person.id, null)">{{
          t.stay.sameAgain(person.name)
        }}</AppButton>
      </div>
    </template>
    <QuantityField
      :label="t.stay.drainShare"
      :value="activity.drainShare.value"
      dimension="percent"
      :min="0"
      :max="1"
      :save="(share) => change('drain', (draft) => void (draft.drainShare = owned(share)))"
    />
    <fieldset class="col-span-2 sm:col-span-4">
      <legend class="text-[0.92rem] font-semibold text-soft">{{ t.stay.parts }}</legend>
      <div class="mt-1 grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4">
        <QuantityField
          v-for="(part, p) in PARTS"
          :key="part"
          :label="t.parts[part]"
          :value="activity.weights.values[p]!"
          dimension="percent"
          :min="0"
          :max="1"
          :save="(share) => setWeight(p, share)"
        />
      </div>
    </fieldset>
  </div>
</template>
