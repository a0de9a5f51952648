<script setup lang="ts">
import { computed } from 'vue'
import { USE_STYLES, litresADay, type StartChoices } from '@/document/starters'
import { useAmounts } from '@/parts/useAmounts'
import * as t from '@/texts/t'
import AppChoices from '@/ui/AppChoices.vue'
import AppStepper from '@/ui/AppStepper.vue'
import AppSwitch from '@/ui/AppSwitch.vue'

const props = defineProps<{ choices: StartChoices }>()
defineEmits<{ change: [change: Partial<StartChoices>] }>()
const MOST_PEOPLE = 12
const { volume } = useAmounts()
/** What an adult drinks in a day. */
const DRINKING_L = 2.6
const styles = USE_STYLES.map((value) => ({ value, label: t.start.style[value] }))
/** To a litre: no more is known of it. */
const means = computed(() => {
  const { style } = props.choices
  return t.start.amountMeans[style](volume(Math.round(litresADay(style, DRINKING_L))))
})
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
    <div>
      <AppChoices
        :label="t.start.styles"
        :value="choices.style"
        :options="styles"
        @choose="$emit('change', { style: $event })"
      />
      <p class="mt-2 max-w-[52ch] text-soft" data-testid="use-style">{{ means }}</p>
    </div>
    <div class="-ml-2 flex items-center gap-1">
      <AppSwitch :on="choices.pet" :label="t.start.pet" @change="$emit('change', { pet: $event })" />
      <span aria-hidden="true">{{ t.start.pet }}</span>
    </div>
  </div>
</template>
