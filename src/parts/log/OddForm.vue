<script setup lang="ts">
import { computed, ref } from 'vue'
import { toldOdd } from '@/core/log'
import { addWallDays } from '@/core/calendar'
import { useForecastStore } from '@/data/forecastStore'
import { useLogStore } from '@/data/logStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppChoices from '@/ui/AppChoices.vue'
import { useEntryForm } from './useEntryForm'
import { useLogging } from './useLogging'
import WhenField from './WhenField.vue'

/** A stretch in which something else moved levels: a leak, a visitor. */
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const log = useLogStore()
const { wrongTime } = useLogging()
const REASONS = ['leak', 'visitor', 'other'] as const
const why = ref<(typeof REASONS)[number]>('visitor')
const container = ref('')
const start = forecast.stay?.start ?? log.at
const dayBefore = addWallDays(log.at, -1)
const from = ref(dayBefore < start ? start : dayBefore)
const { at, fault, refused, save: add } = useEntryForm(emit)
const fromFault = ref<string | null>(null)
const tanks = computed(() => [
  { value: '', label: t.log.odd.all },
  ...(forecast.rig?.containers ?? []).map(({ id: value, name }) => ({ value, label: name })),
])
const reasons = REASONS.map((value) => ({ value, label: t.log.odd.reasons[value] }))

function save() {
  fromFault.value = wrongTime(from.value) ?? (from.value > at.value ? t.log.odd.reversed : null)
  const of = container.value === '' ? null : container.value
  add([toldOdd(at.value, from.value, of, why.value)], t.log.odd.reasons[why.value], fromFault.value === null)
}
</script>

<template>
  <form class="mt-3 grid gap-4" data-testid="odd-form" @submit.prevent="save">
    <p class="text-soft">{{ t.log.odd.text }}</p>
    <AppChoices :label="t.log.odd.why" :value="why" :options="reasons" @choose="why = $event" />
    <ChoiceField :label="t.log.odd.tank" :value="container" :options="tanks" @choose="container = $event" />
    <div class="grid grid-cols-2 items-start gap-4">
      <WhenField v-model="from" :label="t.log.odd.from" :fault="fromFault" />
      <WhenField v-model="at" :label="t.log.odd.until" :fault="fault" />
    </div>
    <p v-if="refused" class="font-semibold" role="alert">{{ refused }}</p>
    <div>
      <AppButton kind="primary" @click="save">{{ t.log.odd.save }}</AppButton>
    </div>
  </form>
</template>
