<script setup lang="ts">
import { computed, ref } from 'vue'
import { toldUse } from '@/core/log'
import { useForecastStore } from '@/data/forecastStore'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppStepper from '@/ui/AppStepper.vue'
import AmountField from './AmountField.vue'
import { useEntryWords } from './entryWords'
import { useEntryForm } from './useEntryForm'
import { useLogging } from './useLogging'
import WhenField from './WhenField.vue'

/** A use with all that can be said of it: how many, who, how much, when; or that it was left out. */
const props = defineProps<{ activity: string | null; at: string | null }>()
const emit = defineEmits<{ done: [words: string] }>()
const forecast = useForecastStore()
const { isCounted } = useLogging()
const { activityName } = useEntryWords()

const activities = computed(() => forecast.crew?.activities.filter(({ kind }) => kind !== 'bowl-seal') ?? [])
const activity = ref(props.activity ?? activities.value[0]?.id ?? '')
const of = computed(() => activities.value.find(({ id }) => id === activity.value) ?? null)
const n = ref(1)
const person = ref('')
const litres = ref<number | null>(null)
const minutes = ref<number | null>(null)
/** On top of what was expected anyway. */
const isExtra = ref(false)
const [isLitresWrong, isMinutesWrong] = [ref(false), ref(false)]
const { at, fault, refused, save: log } = useEntryForm(emit, props.at)
const MOST = 100
const MOST_LITRES = 1000
const MOST_MINUTES = 240

function save(count: number) {
  const name = activityName(activity.value)
  const entry = toldUse(at.value, activity.value, count, {
    person: person.value === '' ? null : person.value,
    litres: count === 0 ? null : litres.value,
    minutes: count === 0 ? null : minutes.value,
    isExtra: isExtra.value && count > 0 && !isCounted(activity.value),
  })
  log([entry], t.log.made(name, count), !isLitresWrong.value && !isMinutesWrong.value)
}
</script>

<template>
  <form class="mt-3 grid gap-4" data-testid="use-form" @submit.prevent="save(n)">
    <ChoiceField
      :label="t.log.use.activity"
      :value="activity"
      :options="activities.map(({ id, name }) => ({ value: id, label: name }))"
      @choose="activity = $event"
    />
    <p class="text-soft">{{ isCounted(activity) ? t.log.use.counted : t.log.use.expected }}</p>
    <AppStepper
      :value="n"
      :text="String(n)"
      :min="1"
      :max="MOST"
      :fewer="t.log.use.fewer"
      :more="t.log.use.moreOf"
      @change="n = $event"
    />
    <div class="grid grid-cols-2 items-start gap-4">
      <ChoiceField
        v-if="of?.per === 'person' && (forecast.crew?.persons.length ?? 0) > 1"
        :label="t.log.use.who"
        :value="person"
        :options="[
          { value: '', label: t.log.use.nobody },
          ...(forecast.crew?.persons ?? []).map(({ id, name }) => ({ value: id, label: name })),
        ]"
        @choose="person = $event"
      />
      <AmountField
        v-if="of?.role !== 'toilet'"
        v-model="litres"
        v-model:wrong="isLitresWrong"
        :label="t.log.use.litres"
        dimension="volume"
        :max="MOST_LITRES"
      />
      <AmountField
        v-if="of?.timed"
        v-model="minutes"
        v-model:wrong="isMinutesWrong"
        :label="t.log.use.minutes"
        dimension="number"
        :max="MOST_MINUTES"
      />
      <WhenField v-model="at" :fault="fault" />
    </div>
    <label v-if="!isCounted(activity)" class="flex min-h-11 items-center gap-3">
      <input v-model="isExtra" type="checkbox" class="h-6 w-6 accent-[var(--ink)]" data-testid="use-extra" />
      {{ t.log.use.isExtra }}
    </label>
    <p v-if="refused" class="font-semibold" role="alert">{{ refused }}</p>
    <div class="flex flex-wrap gap-3">
      <AppButton kind="primary" @click="save(n)">{{ t.log.use.save }}</AppButton>
      <AppButton v-if="!isCounted(activity)" @click="save(0)">{{ t.log.use.not }}</AppButton>
    </div>
  </form>
</template>
