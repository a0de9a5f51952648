<script setup lang="ts">
import { changeActivity, setOwnRate, setPartShare, setTimed, setTimedPart } from '@/actions/people'
import { PARTS } from '@/core/calendar'
import { volumePerUse, type Activity, type Crew, type Person } from '@/core/domain'
import { owned } from '@/core/quantities'
import { useWorkspaceStore } from '@/data/workspaceStore'
import { LIMITS } from '@/document'
import QuantityField from '@/parts/fields/QuantityField.vue'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppSwitch from '@/ui/AppSwitch.vue'

const props = defineProps<{ crew: Crew; activity: Activity }>()
const workspace = useWorkspaceStore()

const ownRate = ({ rates }: Person) =>
  rates.find(({ activity }) => activity === props.activity.id)?.rate.value ?? null

function setRate(person: string, rate: number | null) {
  const { crew, activity } = props
  return workspace.act(setOwnRate(crew.id, person, activity.id, rate))
}
const change = (patch: Parameters<typeof changeActivity>[2]) =>
  workspace.act(changeActivity(props.crew.id, props.activity.id, patch))
const { volume } = useAmounts()
const TIMED = [
  { key: 'flow', dimension: 'volume', max: LIMITS.perMinuteL.max },
  { key: 'on', dimension: 'minutes', max: LIMITS.minutes.max },
  { key: 'trickle', dimension: 'volume', max: LIMITS.perMinuteL.max },
  { key: 'paused', dimension: 'minutes', max: LIMITS.minutes.max },
  { key: 'runUp', dimension: 'volume', max: LIMITS.volumeL.max },
] as const
const setClock = (isTimed: boolean) => workspace.act(setTimed(props.crew.id, props.activity.id, isTimed))
const setWeight = (part: number, share: number) =>
  workspace.act(setPartShare(props.crew.id, props.activity.id, part, share))
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
      :save="(share) => change({ drainShare: owned(share) })"
    />
    <QuantityField
      :label="t.sure.volumeVaries"
      :value="activity.spread.value"
      dimension="percent"
      :min="0"
      :max="LIMITS.spread.max"
      :save="(cv) => change({ spread: owned(cv) })"
    />
    <QuantityField
      :label="t.sure.levelOff"
      :value="activity.levelSpread.value"
      dimension="percent"
      :min="0"
      :max="LIMITS.spread.max"
      :save="(cv) => change({ levelSpread: owned(cv) })"
    />
    <div class="col-span-2 -ml-2 flex items-center gap-1">
      <AppSwitch
        :on="activity.dispersion === 0"
        :label="t.sure.exact"
        @change="(exact) => change({ dispersion: exact ? 0 : 1 })"
      />
      <span aria-hidden="true">{{ t.sure.exact }}</span>
    </div>
    <p v-if="activity.learned" class="col-span-2 sm:col-span-4">
      {{
        t.learned.takenOver(
          volume(volumePerUse(activity)),
          activity.learned.entries,
          activity.learned.upTo.slice(0, 10),
        )
      }}
      <AppButton kind="quiet" @click="change({ learned: null })">{{ t.learned.forget }}</AppButton>
    </p>
    <div v-if="activity.kind === 'shower'" class="col-span-2 -ml-2 flex items-center gap-1 sm:col-span-4">
      <AppSwitch :on="activity.timed !== null" :label="t.shower.timed" @change="setClock" />
      <span aria-hidden="true">{{ t.shower.timed }}</span>
      <span v-if="activity.timed" class="figure ml-3 font-bold">{{
        t.shower.makes(volume(volumePerUse(activity)))
      }}</span>
    </div>
    <template v-if="activity.timed">
      <QuantityField
        v-for="part in TIMED"
        :key="part.key"
        :label="t.shower[part.key]"
        :value="activity.timed[part.key].value"
        :dimension="part.dimension"
        :min="0"
        :max="part.max"
        :save="(value) => workspace.act(setTimedPart(crew.id, activity.id, part.key, value))"
      />
    </template>
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
