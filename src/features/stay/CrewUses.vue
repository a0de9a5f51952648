<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import UseDetails from './UseDetails.vue'
import { addActivity, changeActivity, removeActivity, setUseVolume } from '@/actions/people'
import { dailyUse } from '@/core/explain'
import { NEVER_RATIONED, ROLES, volumePerUse, type Activity, type Crew, type Role } from '@/core/domain'
import { owned } from '@/core/quantities'
import { newId } from '@/data/newId'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { useAmounts } from '@/parts/useAmounts'
import { useWhyStore } from '@/parts/why/whyStore'
import { formatSource } from '@/texts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'

const props = defineProps<{ crew: Crew }>()
const workspace = useWorkspaceStore()
const why = useWhyStore()
const { volume } = useAmounts()
const roles = ROLES.map((role) => ({ value: role, label: t.roles[role] }))

const change = (activity: Activity, patch: Parameters<typeof changeActivity>[2]) =>
  workspace.act(changeActivity(props.crew.id, activity.id, patch))
function add() {
  workspace.act(addActivity(props.crew.id, newId('use'), t.stay.ownActivity))
}
function remove(activity: string) {
  workspace.act(removeActivity(props.crew.id, activity))
}

const perDay = (activity: Activity) => volume(dailyUse(props.crew, activity).litres)
const source = ({ volume: quantity, learned }: Activity) =>
  learned ? t.learned.from(learned.entries) : formatSource(quantity)
</script>

<template>
  <div>
    <p class="text-soft">{{ t.stay.usesHint }}</p>
    <ul class="mt-2">
      <li
        v-for="activity in crew.activities"
        :key="activity.id"
        :data-testid="`use-${activity.id}`"
        :data-anchor="`use-${activity.id}`"
        :class="[
          'grid grid-cols-2 items-start gap-x-4 gap-y-2 border-t border-line py-3',
          'lg:grid-cols-[minmax(0,5fr)_minmax(0,3fr)_minmax(0,3fr)_minmax(0,6fr)_3rem]',
        ]"
      >
        <div v-if="activity.kind === 'own'" class="col-span-2 grid grid-cols-2 gap-2 lg:col-span-1">
          <TextField
            :label="t.stay.activity"
            :value="activity.name"
            :save="(name) => change(activity, { name })"
          />
          <ChoiceField
            :label="t.stay.where"
            :value="activity.role"
            :options="roles"
            @choose="change(activity, { role: $event as Role })"
          />
        </div>
        <p v-else class="col-span-2 text-lg leading-tight font-bold lg:col-span-1 lg:self-center">
          {{ activity.name }}
        </p>
        <QuantityField
          :label="`${t.stay.rate}, ${t.stay.per[activity.per]}`"
          :value="activity.rate.value"
          dimension="number"
          :min="0"
          :max="LIMITS.ratePerDay.max"
          :save="(rate) => change(activity, { rate: owned(rate) })"
        />
        <QuantityField
          :label="t.stay.volume"
          :value="activity.timed ? activity.volume.value : volumePerUse(activity)"
          dimension="volume"
          :min="0"
          :max="LIMITS.volumeL.max"
          :save="(litres) => workspace.act(setUseVolume(crew.id, activity.id, litres))"
        />
        <p class="col-span-2 self-center text-[0.95rem] leading-snug text-soft lg:col-span-1">
          <button
            type="button"
            class="figure min-h-11 font-bold text-ink underline decoration-line decoration-2 underline-offset-4"
            :aria-label="`${t.stay.inDay(perDay(activity))}. ${t.why.use(activity.name)}`"
            @click="why.ask({ kind: 'use', activity: activity.id })"
          >
            {{ t.stay.inDay(perDay(activity)) }}
          </button>
          ·
          {{ source(activity) }}
        </p>
        <AppButton
          v-if="!NEVER_RATIONED.includes(activity.kind)"
          kind="quiet"
          class="col-span-2 justify-self-end self-center lg:col-span-1"
          :aria-label="t.rig.remove(activity.name)"
          @click="remove(activity.id)"
        >
          <Trash2 :size="20" aria-hidden="true" />
        </AppButton>
        <details class="col-span-2 lg:col-span-5">
          <summary class="min-h-11 cursor-pointer py-2.5 text-[0.95rem] font-semibold text-soft">
            {{ t.stay.more(activity.name) }}
          </summary>
          <UseDetails :crew="crew" :activity="activity" />
        </details>
      </li>
    </ul>
    <div class="border-t border-line pt-4">
      <AppButton @click="add">{{ t.stay.addActivity }}</AppButton>
    </div>
  </div>
</template>
