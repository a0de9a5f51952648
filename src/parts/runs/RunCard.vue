<script setup lang="ts">
import { computed, ref } from 'vue'
import { repeated } from '@/core/errands'
import type { RunAnswer, RunCost } from '@/core/schedule'
import { useForecastStore } from '@/data/forecastStore'
import * as t from '@/texts/t'
import { refusalWords } from '@/parts/fields/refusalWords'
import AppButton from '@/ui/AppButton.vue'
import { useOpenRun } from './openRun'
import RunTroubles from './RunTroubles.vue'
import { shifted, useRuns, whenOf } from './useRuns'
import { useRunWords } from './useRunWords'

/** One run of the list: what it does to every container, what it takes, and what is wrong with it. */
const props = defineProps<{ answer: RunAnswer; cost: RunCost }>()
const forecast = useForecastStore()
const openRun = useOpenRun()
const runs = useRuns()
const words = useRunWords()
const run = computed(() => props.answer.run)
const place = computed(() => forecast.stay?.places.find(({ id }) => id === run.value.place)?.name ?? null)
const changes = computed(() => words.changes(props.answer))
/** What an errand in town is for. */
const offers = computed(() =>
  (forecast.stay?.places.find(({ id }) => id === run.value.place)?.offers ?? [])
    .map((offer) => t.places.offerNames[offer])
    .join(', '),
)
const there = computed(() => words.there(props.answer))
const isNear = computed(() => runs.isNear(run.value))
/** Why it was not logged. */
const refused = ref('')
function done() {
  const result = runs.done(run.value)
  refused.value = result.ok ? '' : refusalWords(result.faults) || t.runs.doneNothing
}
const copies = computed(() => (forecast.stay ? repeated(run.value, { stay: forecast.stay }, runs.newId) : []))
</script>

<template>
  <li class="border-b border-line py-3" :data-testid="`run-${run.id}`">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <p class="w-full font-semibold text-soft sm:w-44">{{ whenOf(forecast.stay!, run, true) }}</p>
      <div class="min-w-0 grow">
        <button
          type="button"
          class="min-h-11 text-left text-xl leading-tight font-bold underline decoration-line decoration-2 underline-offset-4"
          :aria-label="t.runs.edit(place ? `${run.name}, ${place}` : run.name, whenOf(forecast.stay!, run))"
          @click="openRun.open(run.id)"
        >
          {{ run.name }}<span v-if="place" class="font-semibold">, {{ place }}</span>
        </button>
        <p class="figure leading-snug" data-testid="run-does">
          <template v-if="changes.length > 0">
            <template v-for="(one, k) in changes" :key="one"
              ><span class="whitespace-nowrap">{{ one }}{{ k < changes.length - 1 ? ' ·' : '' }}</span
              >{{ ' ' }}</template
            >
          </template>
          <template v-else-if="run.steps.length > 0">{{ t.runs.nothing }}</template>
          <template v-else>{{ offers }}</template>
        </p>
        <p class="text-[0.95rem] leading-snug text-soft" data-testid="run-takes">
          {{ words.takes(answer, cost) }}
        </p>
        <p v-if="there" class="figure text-[0.95rem] leading-snug font-semibold" data-testid="run-there">
          {{ there }}
        </p>
        <RunTroubles :answer="answer" class="mt-1" />
        <p v-if="refused" class="font-semibold" role="alert">{{ refused }}</p>
        <div class="mt-1 flex flex-wrap gap-x-4">
          <RouterLink
            v-if="run.steps.length > 0"
            :to="`/cards/run/${run.id}`"
            class="inline-grid min-h-11 place-items-center border-2 border-ink px-4 font-semibold"
            :aria-label="t.cards.doItFor(run.name)"
            >{{ t.cards.doIt }}</RouterLink
          >
          <AppButton v-if="isNear" kind="quiet" @click="done">{{ t.runs.done }}</AppButton>
          <AppButton kind="quiet" @click="runs.move(run.id, shifted(run, -1))">{{
            t.runs.earlier
          }}</AppButton>
          <AppButton kind="quiet" @click="runs.move(run.id, shifted(run, 1))">{{ t.runs.later }}</AppButton>
          <AppButton v-if="copies.length > 0" kind="quiet" @click="runs.add(copies)">{{
            t.runs.repeat
          }}</AppButton>
          <AppButton kind="quiet" @click="runs.remove(run.id)">{{ t.runs.remove }}</AppButton>
        </div>
      </div>
    </div>
  </li>
</template>
