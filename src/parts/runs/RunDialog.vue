<script setup lang="ts">
import { computed, onBeforeUnmount, watch } from 'vue'
import { PARTS, type Part } from '@/core/calendar'
import { found, type Run, type RunStep } from '@/core/domain'
import { owned } from '@/core/quantities'
import { repeated } from '@/core/errands'
import { useForecastStore } from '@/data/forecastStore'
import { LIMITS } from '@/document'
import ChoiceField from '@/parts/fields/ChoiceField.vue'
import FoldSection from '@/parts/FoldSection.vue'
import QuantityField from '@/parts/fields/QuantityField.vue'
import TextField from '@/parts/fields/TextField.vue'
import { useDayOptions } from '@/parts/useDayOptions'
import * as t from '@/texts/t'
import AppButton from '@/ui/AppButton.vue'
import AppDialog from '@/ui/AppDialog.vue'
import { useOpenRun } from './openRun'
import RunSteps from './RunSteps.vue'
import RunTroubles from './RunTroubles.vue'
import { useRuns } from './useRuns'
import { useRunWords } from './useRunWords'

/** A run to be changed: when and where, what is done, what it takes. Everything counts at once. */
const openRun = useOpenRun()
const forecast = useForecastStore()
const runs = useRuns()
const words = useRunWords()
const answer = computed(() => runs.answers.value.find(({ run }) => run.id === openRun.id) ?? null)
/** A run that went, or another screen, closes it: it does not come back with an undo. */
watch(answer, (now) => void (now === null && openRun.close()))
onBeforeUnmount(() => openRun.close())
const cost = computed(() => runs.cost.value?.runs.find(({ run }) => run === openRun.id) ?? null)
const copies = computed(() =>
  answer.value ? repeated(answer.value.run, { stay: forecast.stay! }, runs.newId) : [],
)
const days = useDayOptions(() => forecast.stay!)
const places = computed(() => [
  { value: '', label: t.runs.field.noPlace },
  ...(forecast.stay?.places ?? []).map(({ id, name }) => ({ value: id, label: name })),
])

function change(what: string, next: Partial<Run>) {
  const run = found(forecast.stay!.runs, openRun.id!, 'run')
  return runs.replace({ ...run, ...next }, `${what} ${run.id}`)
}
const NUMBERS = [
  { key: 'minutes', dimension: 'number', limits: LIMITS.runMinutes },
  { key: 'kilometres', dimension: 'distance', limits: LIMITS.kilometres },
  { key: 'fee', dimension: 'number', limits: LIMITS.fee },
  { key: 'bother', dimension: 'number', limits: LIMITS.bother },
] as const
/** What the owner typed stands; else what its place and the road say, as everywhere. */
function valueOf(run: Run, key: (typeof NUMBERS)[number]['key']): number {
  const known = cost.value
  if (run[key].by === 'owner' || known === null || !answer.value?.isPossible) return run[key].value
  if (key === 'minutes') return Math.round(known.minutes / 5) * 5
  if (key === 'kilometres') return known.kilometres
  return key === 'fee' ? known.money : run.bother.value
}
const stepsAnswer = computed(() => t.runs.stepsOf(answer.value?.run.steps.length ?? 0))
const setSteps = (steps: RunStep[]) => change('steps', { steps })
</script>

<template>
  <AppDialog
    v-if="answer && cost"
    open
    :title="answer.run.name"
    :close-label="t.runs.close"
    @close="openRun.close()"
  >
    <div data-testid="run-dialog">
      <p class="figure mt-2 text-lg leading-snug font-semibold" role="status">
        {{ words.changes(answer).join(' · ') || t.runs.nothing }}
      </p>
      <RunTroubles :answer="answer" class="mt-2" />
      <div class="mt-4 grid grid-cols-2 items-start gap-4">
        <ChoiceField
          :label="t.runs.field.day"
          :value="String(answer.run.day)"
          :options="days.options.value"
          @choose="runs.move(answer.run.id, { day: Number($event), part: answer.run.part })"
        />
        <ChoiceField
          :label="t.runs.field.part"
          :value="answer.run.part"
          :options="PARTS.map((part) => ({ value: part, label: t.parts[part] }))"
          @choose="runs.move(answer.run.id, { day: answer.run.day, part: $event as Part })"
        />
        <ChoiceField
          class="col-span-2 sm:col-span-1"
          :label="t.runs.field.place"
          :value="answer.run.place ?? ''"
          :options="places"
          @choose="change('place', { place: $event === '' ? null : $event })"
        />
        <TextField
          class="col-span-2 sm:col-span-1"
          :label="t.runs.field.name"
          :value="answer.run.name"
          :save="(name) => change('name', { name })"
        />
      </div>
      <div class="mt-4 border-t border-line">
        <FoldSection id="run-steps" :title="t.runs.stepTitle" :answer="stepsAnswer">
          <RunSteps :answer="answer" :save="setSteps" />
        </FoldSection>
        <FoldSection id="run-takes" :title="t.runs.whatItTakes" :answer="words.takes(answer, cost)">
          <div class="grid grid-cols-2 items-start gap-4 sm:grid-cols-4">
            <QuantityField
              v-for="{ key, dimension, limits } in NUMBERS"
              :key="key"
              :label="key === 'fee' && !cost.isFeeKnown ? t.runs.field.feeUnknown : t.runs.field[key]"
              :value="valueOf(answer.run, key)"
              :dimension="dimension"
              :min="limits.min"
              :max="limits.max"
              :save="(value) => change(key, { [key]: owned(value) })"
            />
          </div>
        </FoldSection>
      </div>
      <p class="mt-4 text-[0.95rem] text-soft">{{ t.runs.safety }}</p>
      <div class="mt-4 flex flex-wrap gap-3">
        <AppButton kind="primary" @click="openRun.close()">{{ t.runs.close }}</AppButton>
        <AppButton v-if="copies.length > 0" @click="runs.add(copies)">{{ t.runs.repeat }}</AppButton>
        <AppButton @click="runs.remove(answer.run.id)">{{ t.runs.remove }}</AppButton>
      </div>
    </div>
  </AppDialog>
</template>
