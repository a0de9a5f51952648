<script setup lang="ts">
import { SHOWER_RATES, type ShowerHabit, type StartChoices } from '@/document/starters'
import { t } from '@/texts'
import AppChoices from '@/ui/AppChoices.vue'
import AppStepper from '@/ui/AppStepper.vue'
import AppSwitch from '@/ui/AppSwitch.vue'

defineProps<{ choices: StartChoices }>()
defineEmits<{ change: [change: Partial<StartChoices>] }>()
const MOST_PEOPLE = 12
const showers = (Object.keys(SHOWER_RATES) as ShowerHabit[]).map((value) => ({
  value,
  label: t.start.shower[value],
}))
</script>

<template>
  <div class="space-y-5">
    <div>
      <p class="mb-1 text-[0.92rem] font-semibold text-soft">{{ t.start.people }}</p>
      <AppStepper
        :value="choices.persons"
        :text="t.camp.people(choices.persons)"
        :min="1"
        :max="MOST_PEOPLE"
        :fewer="t.start.fewer"
        :more="t.start.more"
        @change="$emit('change', { persons: $event })"
      />
    </div>
    <AppChoices
      :label="t.start.showers"
      :value="choices.showers"
      :options="showers"
      @choose="$emit('change', { showers: $event })"
    />
    <div class="-ml-2 flex items-center gap-1">
      <AppSwitch :on="choices.pet" :label="t.start.pet" @change="$emit('change', { pet: $event })" />
      <span aria-hidden="true">{{ t.start.pet }}</span>
    </div>
  </div>
</template>
